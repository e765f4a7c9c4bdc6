import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { navigation, visit } from './address';
import { said, toast } from './said';

vi.mock('next/navigation', () => navigation);
vi.mock('../ui/toast', () => toast);

// What was looked for and not found is told without the whole page. Whether a part is hidden by styles is for the
// browser's tests: working it out takes most of the time here. A slow machine under load is no fault: it is waited for.
configure({
  defaultHidden: true,
  asyncUtilTimeout: 20_000,
  getElementError: (message) => new Error(message?.split('\n\n')[0] ?? ''),
});

beforeEach(() => {
  visit('/');
  said.length = 0;
});
afterEach(cleanup);

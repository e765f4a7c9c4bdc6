import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { PATIENCE_MS } from '../../../testing/patience';
import { navigation, visit } from './address';
import { said, toast } from './said';

vi.mock('next/navigation', () => navigation);
vi.mock('../ui/toast', () => toast);

// What was looked for and not found is told without the whole page. Whether a part is hidden by styles is for the
// browser's tests: working it out takes most of the time here.
configure({
  defaultHidden: true,
  asyncUtilTimeout: PATIENCE_MS,
  getElementError: (message) => new Error(message?.split('\n\n')[0] ?? ''),
});

beforeEach(() => {
  visit('/');
  said.length = 0;
});
afterEach(cleanup);

import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { PATIENCE_MS } from '../../../testing/patience';
import { navigation, visit } from './address';
import { said, toast } from './said';

vi.mock('next/navigation', () => navigation);
vi.mock('../ui/toast', () => toast);

// There are no workers under the tests: what they do is done in the page.
vi.mock('@/workers/clips', async () => (await import('./clipsWorker')).inPage);
vi.mock('@/workers/day', async () => (await import('./dayWorker')).inPage);
vi.mock('@/workers/drills', async () => (await import('./drillsWorker')).inPage);
vi.mock('@/workers/eye', async () => (await import('./eyeWorker')).inPage);
vi.mock('@/workers/files', async () => (await import('./filesWorker')).inPage);
vi.mock('@/workers/learn', async () => (await import('./learnWorker')).inPage);
vi.mock('@/workers/rehearse', async () => (await import('./rehearseWorker')).inPage);
vi.mock('@/workers/worth', async () => (await import('./worthWorker')).inPage);

// What was looked for and not found is told without the whole page.
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

// Styles are for the browser's tests: looking them up for every name and role takes most of the time here.
window.getComputedStyle = (element) => (element as HTMLElement).style;

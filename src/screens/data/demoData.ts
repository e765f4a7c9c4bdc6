import type { Records } from '@/core/records/kinds';

/** The demo data, which is written once when the app is built and ships beside it. */
export async function demoData(): Promise<Records> {
  const response = await fetch('/demo.json');
  if (!response.ok) throw new Error(`the demo data is not there (${response.status}); load the page anew`);
  return (await response.json()) as Records;
}

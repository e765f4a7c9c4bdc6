import * as messages from '@/language/data';
import type { Records } from '@/core/records/kinds';

/** The demo data, which is written once when the app is built and ships beside it. */
export async function demoData(): Promise<Records> {
  const response = await fetch('/demo.json');
  if (!response.ok) throw new Error(messages.theDemoDataIsNot({ status: response.status }));
  return (await response.json()) as Records;
}

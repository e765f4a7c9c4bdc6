import * as messages from '@/language/data';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { WordedError } from '@/words/whyText';

/** The demo data, which is written once when the app is built and ships beside it. */
export async function demoData(): Promise<Records> {
  const response = await fetch('/demo.json');
  if (!response.ok) throw new WordedError(messages.theDemoDataIsNot({ status: response.status }));
  return { ...noRecords(), ...((await response.json()) as Partial<Records>) };
}

import type { ClipReport } from '@/core/records/clipReport';
import { findingsOf } from '@/core/inspect/findings';
import type { Measured } from '@/core/inspect/seen';
import type { PlannedShot } from '@/core/inspect/planned';
import { findingText } from './findingText';

/** What was measured of a clip as its file, findings worded. */
export function clipReport(
  file: ClipReport['file'],
  measured: Measured,
  unread: string | null,
  planned: PlannedShot | null,
): ClipReport {
  const { container, pictures, sound } = measured;
  return {
    kind: 'lynxeye/clip-report',
    version: 1,
    file,
    container,
    pictures,
    sound,
    unread,
    findings: findingsOf(measured, planned).map((found) => ({
      ...found,
      text: findingText(found, pictures, planned),
    })),
  };
}

import type { PlannedShot } from '@/core/inspect/planned';
import type { ClipReport, MeasuredClip } from '@/core/records/clipReport';
import { findingText, unreadText } from './findingText';

/** What was measured of a clip as its file, findings worded. */
export function clipReport(measured: MeasuredClip, planned: PlannedShot | null): ClipReport {
  const { pictures, findings } = measured;
  const filmed = planned && { settings: planned.settings, filters: planned.brief.filters };
  return {
    kind: 'lynxeye/clip-report',
    version: 1,
    ...measured,
    unread: unreadText(measured),
    findings: findings.map((found) => ({ ...found, text: findingText(found, pictures, filmed) })),
  };
}

import type { Container, MeasuredClip, Unread } from '../records/clipReport';
import { findingsOf } from './findings';
import type { PlannedShot } from './planned';
import type { ClipMeasures } from './seen';

/** What was measured of a clip and what was found in it, as it is kept. */
export function measuredClip(
  file: MeasuredClip['file'],
  measured: ClipMeasures,
  unread: Unread | null,
  planned: PlannedShot | null,
): MeasuredClip {
  const { container, pictures, sound } = measured;
  return { file, container, pictures, sound, unread, findings: findingsOf(measured, planned) };
}

/** Why pictures stayed unread, or what of the file is not there; `decoded`: whether they can be decoded here. */
export function unreadOf(
  { frames }: Container,
  { cutShort, decoded }: { cutShort: boolean; decoded: boolean },
): Unread | null {
  if (frames === 0) return 'noFrames';
  if (!decoded) return 'notDecoded';
  return cutShort ? 'cutShort' : null;
}

import type { Gear } from '../records/outing';
import type { Pins } from '../records/settings';
import type { Resource } from './daySheet';

/**
 * What would keep a camera from running out: each tried on the day itself, and told only when the day then lasts. The
 * gentlest first.
 */
export type DayRemedy = {
  cameraId: string;
  what: Resource;
  addedLoss: number;
  /** What else of this camera still runs out, the soonest first. */
  leaves: readonly Resource[];
} & (
  | { how: 'bitRate'; mbps: number; pins: readonly PartPins[] }
  | { how: 'codec'; mbps: number; pins: readonly PartPins[] }
  | { how: 'frameRate'; fps: number; pins: readonly PartPins[] }
  | { how: 'resolution'; width: number; height: number; pins: readonly PartPins[] }
  | { how: 'card'; capacityGb: number; gear: Gear }
  | { how: 'spareCard'; capacityGb: number; gear: Gear; pause: NewPause | null }
  | { how: 'spareCell'; count: number; gear: Gear; pause: NewPause | null }
  | { how: 'charge'; charging: 'breaks' | 'recording'; ampereHours: number; gear: Gear }
  | { how: 'pauses'; entryId: string; pauses: readonly { afterMinutes: number; minutes: number }[] }
);

export interface PartPins {
  partId: string;
  pins: Pins;
}

/** A stop to be made within a recording, so that the camera can be reached. */
export interface NewPause {
  entryId: string;
  afterMinutes: number;
  minutes: number;
}

import type { Change } from '../changes/change';
import type { Stop } from '../changes/stop';
import type { Resource } from '../day/daySheet';

/**
 * What would keep a camera from running out: each tried on the day itself, and told only when the day then lasts. The
 * gentlest first.
 */
export type Cure = {
  cameraId: string;
  what: Resource;
  addedLoss: number;
  /** What else of this camera still runs out, the soonest first. */
  leaves: readonly Resource[];
  /** What taking it changes. */
  changes: readonly Change[];
} & (
  | { how: 'bitRate'; mbps: number }
  | { how: 'codec'; mbps: number }
  | { how: 'frameRate'; fps: number }
  | { how: 'resolution'; width: number; height: number }
  | { how: 'card'; capacityGb: number }
  | { how: 'spareCard'; capacityGb: number; stop: NewStop | null }
  | { how: 'spareCell'; count: number; stop: NewStop | null }
  | { how: 'charge'; charging: 'breaks' | 'recording'; ampereHours: number }
  | { how: 'stops'; entryId: string; stops: readonly Stop[] }
);

/** A stop to be made within a recording, so that the camera can be reached. */
export type NewStop = { entryId: string } & Stop;

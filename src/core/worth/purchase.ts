import { otherCameras } from '../changes/camera';
import type { CameraChange } from '../changes/camera';
import { strengthsNotAtHand } from '../changes/filter';
import type { FilterChange } from '../changes/filter';
import { steadierMounts } from '../changes/mount';
import type { MountChange } from '../changes/mount';
import type { DayPart } from '../day/schedule';

/** A thing that a person could buy. What goes on or into a camera is for one of them. */
export type Purchase =
  | FilterChange
  | MountChange
  | CameraChange
  | { what: 'card' | 'cell' | 'bank'; cameraId: string };

/** One name for a thing wherever it is priced. */
export function purchaseId(thing: Purchase): string {
  switch (thing.what) {
    case 'filter':
      return `filter/${thing.cameraId}/${thing.filter.id}`;
    case 'mount':
      return `mount/${thing.mount}`;
    case 'camera':
      return `camera/${thing.cameraId}/${thing.archetype}`;
    case 'card':
    case 'cell':
    case 'bank':
      return `${thing.what}/${thing.cameraId}`;
  }
}

/** What might help some recordings: every strength of filter not at hand, a steadier mount, another camera. */
export function offeredFor(parts: readonly DayPart[]): Purchase[] {
  return [...strengthsNotAtHand(parts), ...steadierMounts(parts), ...otherCameras(parts)];
}

import { ARCHETYPE_IDS, ARCHETYPES } from '../camera/archetypes';
import type { ArchetypeId } from '../camera/archetypes';
import type { Brief } from '../brief/brief';
import { camerasOf } from '../day/schedule';
import type { DayPart } from '../day/schedule';

/** Another camera in the place of one that is there. */
export interface CameraChange {
  what: 'camera';
  cameraId: string;
  archetype: ArchetypeId;
}

/** Every other archetype, for each camera. */
export function otherCameras(parts: readonly DayPart[]): CameraChange[] {
  return camerasOf(parts).flatMap(({ id: cameraId }) =>
    ARCHETYPE_IDS.filter((archetype) => archetype !== cameraId).map((archetype): CameraChange => ({
      what: 'camera',
      cameraId,
      archetype,
    })),
  );
}

export function briefWithCamera(brief: Brief, { archetype }: CameraChange): Brief {
  return { ...brief, camera: ARCHETYPES[archetype] };
}

import type { RecordingMode, Stabilization } from '../vocabulary/modes';
import type { SchoolId } from '../vocabulary/schools';
import type { Screen } from '../vocabulary/screens';
import type { YieldedWish } from './kept';
import type { ForcedBy, Neighbour } from './neighbours';
import type { OffsetCause } from '../loss/picture';
import type { Surroundings } from '../vocabulary/surroundings';
import type { LightColour } from '../light/kelvin';
import type { TermChange } from '../search/judged';

/** Who holds a setting: the person, or what the shot's day decides; `false`: nobody, it was worked out. */
export type PinnedBy = 'person' | 'day' | false;

/** Why each setting is what it is, as figures; `words/` says it. Seconds, stops, EV100, degrees, pixels, per cent. */
export type Reason = {
  pinned: PinnedBy;
  /** What the next value to either side would cost. */
  beside: readonly Neighbour[];
} & (
  | {
      setting: 'frameRate';
      timelineFps: number;
      slowdown: number;
      neededFps: number;
      captureFps: number;
      seenFps: number;
    }
  | {
      setting: 'shutterSeconds';
      cause: ShutterCause;
      seconds: number;
      floorSeconds: number;
      naturalSeconds: number;
      shakeFloorSeconds: number;
      smearPct: number;
      captureFps: number;
      shownFps: number;
      school: SchoolId;
      /** For *weigh it*: what each pure school would win and lose against this choice. */
      against: { school: SchoolId; gains: readonly TermChange[]; costs: readonly TermChange[] }[];
      /** Wishes of the school that cost more to keep than it would pay. */
      yielded: readonly YieldedWish[];
      /** What this shutter leaves of the lamps' pulse, 0…1; `null` without lamps. */
      pulseLeft: number | null;
    }
  | {
      setting: 'filter';
      ids: readonly string[];
      filterStops: number;
      evMax: number;
      fNumber: number;
      seconds: number;
      isoMin: number;
      wantsEv: number;
      excessStops: number;
      guardStops: number;
      auto: boolean;
      brightSeconds: number;
    }
  | {
      setting: 'iso';
      min: number;
      max: number;
      baseIso: number;
      ceiling: number;
      evMin: number;
      isoWanted: number;
      underStops: number;
    }
  | {
      setting: 'resolution';
      width: number;
      height: number;
      deliveredWidth: number;
      usableWidth: number;
      editKeeps: number;
      screen: Screen;
      /** Of the delivered picture on that screen, pixels a degree of sight. */
      sightPxPerDegree: number;
      /** What keeps it smaller than the camera could. */
      forcedBy: ForcedBy | null;
      stabilization: Stabilization;
      frameRate: number;
    }
  | {
      setting: 'view';
      /** As delivered, and as filmed before the cut to its shape. */
      horizontalDeg: number;
      filmedDeg: number;
      leastDeg: number;
      mostDeg: number;
      /** What of the frame's height the subject fills, and what it should fill at least, 0…1; `null` without one. */
      filled: number | null;
      /** Whether the ride wants a view beside it. */
      ofRide: boolean;
      wantedShare: number | null;
      fromSphere: boolean;
    }
  | {
      setting: 'bitRateMbps';
      codec: 'avc' | 'hevc';
      bitRateMbps: number;
      /** As written; and the rate at which AVC would be as good, Mbit/s. */
      bitsPerPixel: number;
      avcRateMbps: number;
      cardShare: number;
      recordSeconds: number;
    }
  | {
      setting: 'stabilization';
      swingDeg: number;
      heldDeg: number;
      tiltDeg: number;
      school: SchoolId;
      steadiedInEdit: boolean;
      /** A hold would make the cabin swim. */
      swims: boolean;
      smearPct: number;
    }
  | {
      setting: 'whiteBalance';
      auto: boolean;
      graded: boolean;
      light: LightColour;
    }
  | { setting: 'colour'; grade: 'none' | 'light' | 'full'; baseIso: number; guardStops: number }
  | {
      setting: 'exposureOffsetStops';
      stops: number;
      floats: boolean;
      evMax: number;
      cause: OffsetCause;
      surroundings: Surroundings;
      /** The frame's mean, and what meters take for middle grey, per cent; stops between the two. */
      reflectancePct: number;
      greyPct: number;
      fullStops: number;
      faceStops: number;
    }
  | { setting: 'codec'; codec: 'avc' | 'hevc' }
  | { setting: 'recording'; recording: RecordingMode }
  | { setting: 'bitDepth'; bitDepth: 8 | 10; log: boolean }
  | { setting: 'sharpening' | 'noiseReduction'; graded: boolean }
);

export type ShutterCause = 'pinned' | 'natural' | 'shakeFloor' | 'traded' | 'running' | 'slower';

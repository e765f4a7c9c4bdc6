import type { Brief } from '../brief/brief';
import type { Term } from '../loss/table';
import type { Container, Found, Pictures, Sound } from '../records/clipReport';
import type { Pins } from '../records/settings';
import type { PlannedShot } from './planned';

/** All that is known of a clip. */
export interface ClipMeasures {
  container: Container;
  /** The file ends before its pictures do. */
  cutShort: boolean;
  pictures: Pictures | null;
  sound: Sound | null;
}

/** A finding before its cure: the conditions as they turned out, and the loss that a cure must halve; or plainly the cure. */
export interface Detected extends Omit<Found, 'change'> {
  cure?: { measured: (brief: Brief, planned: PlannedShot) => Brief; term: Term } | undefined;
  change?: Pins | undefined;
}

/** Looks for one fault; `null`: it is not there, or could not be told. */
export type Detector = (measured: ClipMeasures, planned: PlannedShot | null) => Detected | null;

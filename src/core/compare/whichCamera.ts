import type { Solution } from '../answer/solve';
import type { CameraProfile } from '../camera/profile';
import type { Pins, Settings } from '../records/settings';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';
import { settingsOf } from '../search/settingsOf';

/** A camera of the kit on the shot at hand, solved for it as for the one it is planned with. */
export interface OnCamera {
  camera: CameraProfile;
  /** The one it is planned with. */
  chosen: boolean;
  settings: Settings;
  score: number;
  /** What decides beside the one it is planned with, the largest first. */
  gains: TermChange[];
  costs: TermChange[];
  /** It cannot keep the shot's pins: this is its answer without them. */
  withoutPins: boolean;
}

/** Every camera side by side, the least loss first; one that has no answer at all is left out. */
export function whichCamera(solution: Solution, cameras: readonly CameraProfile[]): OnCamera[] {
  const { space, loss, score, settings } = solution;
  const { brief, school } = space;
  const others = cameras.filter(({ id }) => id !== brief.camera.id);
  return [
    { camera: brief.camera, chosen: true, settings, score, gains: [], costs: [], withoutPins: false },
    ...others.flatMap((camera): OnCamera[] => {
      for (const pins of [brief.pins, NO_PINS]) {
        const judged = judgedBy(space, { ...brief, camera, pins }, school.id);
        if (!judged) continue;
        return [
          {
            camera,
            chosen: false,
            settings: settingsOf(judged.space, judged.candidate),
            score: judged.score,
            ...changesFrom(space, loss, judged.loss),
            withoutPins: pins === NO_PINS && Object.keys(brief.pins).length > 0,
          },
        ];
      }
      return [];
    }),
  ].sort((a, b) => a.score - b.score);
}

const NO_PINS: Pins = {};

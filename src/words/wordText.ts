import * as messages from '@/language/words/word';
import type { Solution } from '@/core/answer/solve';
import { REFERENCE_ISO } from '@/core/light/exposureValue';
import { SCENES } from '@/core/vocabulary/scenes';
import { SCHOOL_HABITS } from '@/core/vocabulary/schools';
import type { WordId } from '@/core/vocabulary/words';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { SCHOOL_LABEL, STABILIZATION_LABEL } from './labels';
import { evText } from './settingText';

/** A word as it is shown, and what it means in one sentence. */
export const WORD_LABEL: Record<WordId, string> = messages.label;
export const WORD_MEANS: Record<WordId, string> = {
  ...messages.means,
  ev: messages.means.ev({
    iso: REFERENCE_ISO,
    sun: SCENES.openSun.evMax,
    shade: SCENES.openShade.evMax,
    room: SCENES.litRoom.evMax,
  }),
  angle: messages.means.angle({ aim: SCHOOL_HABITS.weigh.aim.angleDeg }),
};

/** What a word comes to on a shot; `null` where it has no figure of its own there. */
export function wordFigure(word: WordId, solution: Solution): string | null {
  const { space, candidate, exposure, figures, settings, score, holds } = solution;
  const evs = { evMin: evText(space.light.evMin), evMax: evText(space.light.evMax) };
  const window = { from: evText(exposure.windowEvMin), to: evText(exposure.windowEvMax) };
  switch (word) {
    case 'stop':
      return messages.lightSpans({ stops: tenths(space.light.evMax - space.light.evMin) });
    case 'ev':
      return messages.lightFromTo(evs);
    case 'stopRule':
      return messages.windowAndLight({ ...window, ...evs });
    case 'window':
      return messages.windowOf({ ...window, stops: tenths(exposure.windowEvMax - exposure.windowEvMin) });
    case 'highlightGuard':
      return messages.guardOf({ stops: tenths(candidate.colour.sensor.guardStops) });
    case 'shakeFloor':
      return messages.floorOf({ seconds: shutterFraction(2 ** figures.shakeFloorLog) });
    case 'angle':
      return messages.angleOf({ degrees: trimmed(settings.shutterAngleDeg, 0) });
    case 'loss':
      return messages.lossOf({ score: tenths(score) });
    case 'school':
      return messages.schoolOf({ school: SCHOOL_LABEL[space.school.id] });
    case 'hold':
      return messages.holdOf({ hold: STABILIZATION_LABEL[settings.stabilization] });
    case 'holds':
      return messages.holdsOf({ from: evText(holds.evMin), to: evText(holds.evMax) });
    case 'pin':
      return messages.pinsOf({
        count: Object.keys(space.brief.pins).length - Object.keys(space.brief.held).length,
      });
    case 'heldByTheDay':
      return messages.heldOf({ count: Object.keys(space.brief.held).length });
    case 'weighIt':
    case 'setUp':
      return null;
  }
}

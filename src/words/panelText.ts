import * as messages from '@/language/words/panel';
import { exposureSpare } from '@/core/answer/spare';
import type { Solution } from '@/core/answer/solve';
import { modesOf } from '@/core/camera/modeTable';
import { TERMS } from '@/core/loss/table';
import { cameraCount } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { WORTH_A_WORD } from '@/core/search/judged';
import { tenths, trimmed } from '@/core/units/format';
import { changes } from './changesText';
import { MOUNT_LABEL, PAIR_LABEL, STABILIZATION_LABEL } from './labels';
import { evText, settingText } from './settingText';
import type { FilterNotation } from './settingText';

/** What stands in a panel of the Bench, in a line: enough to see whether it is worth opening. */
export const PANEL_RESULT = {
  choice: ({ space, loss, score }) => {
    const terms = TERMS.map((term) => ({ term, by: space.school.weights[term] * loss[term] }))
      .filter(({ by }) => by > WORTH_A_WORD)
      .sort((a, b) => b.by - a.by);
    return terms.length === 0
      ? messages.nothingLost
      : messages.lossOf({ score: tenths(score), terms: changes(terms) });
  },
  preview: ({ motion }) =>
    messages.smearAndSteps({
      smearPct: trimmed(motion.shakeSmearPctWidth, 2),
      stepPct: trimmed(motion.stepPctWidth, 1),
    }),
  tradeOff: (solution) => {
    const { brightStops, darkStops } = exposureSpare(solution);
    return messages.spareStops({ bright: spareText(brightStops), dark: spareText(darkStops) });
  },
  light: ({ space }) =>
    messages.evFromTo({ evMin: evText(space.light.evMin), evMax: evText(space.light.evMax) }),
  filters: ({ space, settings }, _, notation) =>
    settingText('filter', settings, space.brief.filters, notation),
  readings: (_, { light }) =>
    light?.kind === 'readings'
      ? messages.readings({ count: light.readings.length })
      : light?.kind === 'reading'
        ? messages.readings({ count: 1 })
        : messages.noReadings,
  lamps: ({ space }) =>
    space.light.pulseHz === null
      ? messages.nothingPulses
      : messages.pulsesAt({ pulseHz: trimmed(space.light.pulseHz, 0) }),
  framing: ({ space, settings }) =>
    messages.viewAndNearest({
      view: settingText('view', settings, space.brief.filters),
      nearestM: trimmed(space.brief.motion.nearestM, 1),
    }),
  steadiness: ({ space, settings }) =>
    messages.holdAgainst({
      hold: STABILIZATION_LABEL[settings.stabilization],
      degPerS: trimmed(space.brief.motion.shakeDegPerSRms, 0),
    }),
  mounts: ({ space }) => MOUNT_LABEL[space.brief.mount.kind],
  modes: ({ space }) =>
    messages.modesOf({ count: modesOf(space.brief.camera).length, camera: space.brief.camera.name }),
  cameras: (_, shot) => messages.cameras({ count: cameraCount(shot) }),
  coverage: ({ settings }) => messages.seesDeg({ degrees: trimmed(settings.view.horizontalDeg, 0) }),
  pair: (_, { pair }) => (pair ? PAIR_LABEL[pair.kind] : messages.noSecondHalf),
  lapse: (_, { timeLapse }) => (timeLapse ? messages.isATimeLapse : messages.noTimeLapse),
} satisfies Record<string, (solution: Solution, whole: Shot, notation: FilterNotation) => string>;

function spareText(stops: number): string {
  return stops < -0.05
    ? messages.lost({ stops: tenths(-stops) })
    : messages.spare({ stops: tenths(Math.max(0, stops)) });
}

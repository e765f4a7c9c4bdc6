import * as messages from '@/language/words/reason';
import type { Light } from '@/core/records/shot';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { SCENE_LABEL } from '../labels';
import { capital } from '../sentences';
import type { ReasonText } from '../sentences';
import { evText, filterText } from '../settingText';
import type { ReasonOf, Telling } from './telling';

function brightName(light: Light): string {
  return light.kind === 'scene' ? capital(SCENE_LABEL[brighter(light)]) : messages.theBrightEnd;
}

function brighter(light: Extract<Light, { kind: 'scene' }>): Extract<Light, { kind: 'scene' }>['from'] {
  return SCENE_ORDER.indexOf(light.from) < SCENE_ORDER.indexOf(light.to) ? light.from : light.to;
}

/** Scenes from the brightest to the darkest, as the labels list them. */
const SCENE_ORDER = Object.keys(SCENE_LABEL);

export function filterReasonText(reason: ReasonOf<'filter'>, { light, kit }: Telling): ReasonText {
  const { evMax, fNumber, seconds, isoMin, wantsEv, excessStops, filterStops, guardStops } = reason;
  const name = filterText({ ids: reason.ids, stops: filterStops }, kit);
  const opening = messages.isAtFSAnd({
    light: brightName(light),
    evMax: evText(evMax),
    fNumber: trimmed(fNumber, 1),
    seconds: shutterFraction(seconds),
    isoMin,
    wantsEv: evText(wantsEv),
  });
  const left = excessStops - filterStops;
  const steps = [
    messages.log2Log2100({
      fNumber: trimmed(fNumber, 1),
      seconds: shutterFraction(seconds),
      isoMin,
      wantsEv: evText(wantsEv),
    }),
    messages.stopsFilterLeft({
      evMax: evText(evMax),
      wantsEv: evText(wantsEv),
      excessStops: evText(excessStops),
      filterStops: trimmed(filterStops, 1),
      left: evText(left),
    }),
  ];
  if (reason.auto) {
    const shutter = messages.theShutterRunsToS({ brightSeconds: shutterFraction(reason.brightSeconds) });
    const short =
      filterStops === 0
        ? messages.noFilterAtTheBright({ shutter })
        : messages.takesAndAtTheBright({ name, filterStops: trimmed(filterStops, 1), shutter });
    return { text: `${opening} ${short}`, short, steps };
  }
  if (excessStops <= 0.05) {
    const short =
      filterStops > 0
        ? messages.takesMore({ name, filterStops: trimmed(filterStops, 1) })
        : messages.nothingToTakeAwaySo;
    return { text: `${opening} ${short}`, short, steps };
  }
  const taken =
    filterStops === 0
      ? messages.noFilterTakesAny
      : messages.takes({ name, filterStops: trimmed(filterStops, 1) });
  const rest =
    left > guardStops + 0.05
      ? messages.stayTheGuardBearsThe({ left: tenths(left), guardStops: tenths(guardStops) })
      : left > 0.05
        ? messages.theLastGoesToThe({ left: tenths(left) })
        : left < -0.5
          ? messages.moreThanTheBrightEnd({ left: tenths(-left) })
          : messages.whichCoversIt;
  const short =
    filterStops === 0 && left <= guardStops + 0.05
      ? messages.withinTheGuardSo({ excessStops: tenths(excessStops) })
      : messages.stopsTooMuch({ excessStops: tenths(excessStops), taken, rest });
  return { text: `${opening} ${short}`, short, steps };
}

export function isoReasonText(reason: ReasonOf<'iso'>, { light }: Telling): ReasonText {
  const { min, max, baseIso, evMin, isoWanted, underStops, ceiling } = reason;
  const wanted =
    isoWanted < 100 ? trimmed(isoWanted, isoWanted < 10 ? 1 : 0) : Math.round(isoWanted / 10) * 10;
  const dark =
    light.kind === 'scene' && light.from !== light.to ? messages.theDarkestStretch : messages.theDarkEnd;
  const steps = [
    messages.baseISOCeiling({ baseIso, ceiling }),
    messages.atTheExposureAsksFor({
      evMin: evText(evMin),
      wanted,
      underStops: underStops > 0.05 ? messages.stopsAbove({ underStops: tenths(underStops), max }) : '',
    }),
  ];
  if (underStops > 0.05)
    return {
      text: messages.upToWouldAskFor({ max, dark, wanted, underStops: tenths(underStops) }),
      steps,
    };
  if (min === max) return { text: messages.fixedSoBrightnessDoesNot, steps };
  return { text: messages.fromBaseToAsksFor({ max, dark, wanted }), steps };
}

import * as messages from '@/language/words/card';
import { soundAdvice } from '@/core/answer/soundAdvice';
import type { Brief } from '@/core/brief/brief';
import type { Settings } from '@/core/records/settings';
import type { CheckWorth } from '@/core/rehearse/checks';
import type { Slip } from '@/core/rehearse/unknowns';
import { trimmed } from '@/core/units/format';
import { soundCheck } from './soundText';

/** One line of the check before the run. */
export interface Check {
  id: string;
  text: string;
}

/** What to look at before the run, in the order of hands around the camera. `preset`: the set-up it is called up by. */
export function checksFor(brief: Brief, settings: Settings, preset: string | null = null): Check[] {
  const kinds = settings.filter.ids.map((id) => brief.filters.find((filter) => filter.id === id)?.kind);
  return [
    { id: 'clock', text: messages.clockSet },
    { id: 'card', text: messages.cardEmptyGBFastEnough({ cardGb: brief.limits.cardGb }) },
    { id: 'battery', text: messages.batteryFull },
    { id: 'doors', text: messages.doorsShut },
    { id: 'lens', text: messages.lensClean },
    settings.filter.ids.length > 0
      ? { id: 'filter', text: messages.filterSeated }
      : { id: 'filter', text: messages.nothingLeftOnTheLens },
    ...(kinds.includes('polarizer') ? [{ id: 'polarizer', text: messages.polarizerTurned }] : []),
    ...soundAdvice(brief).map((one) => ({ id: `sound-${one.code}`, text: soundCheck(one) })),
    ...(preset === null ? [] : [{ id: 'setup', text: messages.setUpCalledUp({ preset }) }]),
    { id: 'horizon', text: messages.horizonStraight },
    { id: 'tight', text: messages.mountTightTetherOn },
    { id: 'view', text: messages.viewClearOfHandsAnd },
    { id: 'lock', text: messages.screenAndOrientationLocked },
    { id: 'test', text: messages.testClipLookedAtClipping },
    { id: 'running', text: messages.recordingSeen },
  ];
}

/** The check that is made against a slip. */
const AGAINST: Record<Slip, string> = {
  forgottenFilter: 'filter',
  wrongSetup: 'setup',
  startedLate: 'running',
  wetLens: 'lens',
};
/** What saves less is not told. */
const TOLD_FROM = 0.005;

/** Checks that save something first, with how much; the others in the order of hands. */
export function bySaving(
  checks: readonly Check[],
  worth: readonly CheckWorth[],
): (Check & { saves: number })[] {
  const savesOf = (id: string): number =>
    worth.filter(({ slip }) => AGAINST[slip] === id).reduce((sum, { saves }) => sum + saves, 0);
  return checks
    .map((check) => {
      const saves = savesOf(check.id);
      return { ...check, saves: saves < TOLD_FROM ? 0 : saves };
    })
    .sort((one, other) => other.saves - one.saves);
}

/** What saves most over a whole day, told by shot. */
export function worthALook(worth: readonly CheckWorth[], most: number): CheckWorth[] {
  return worth.filter(({ saves }) => saves >= TOLD_FROM).slice(0, most);
}

/** "Hut evening: the filter changed and seated" */
export function lookTwiceText(shot: string, slip: Slip): string {
  return messages.lookTwice({ shot, check: messages.against[slip] });
}

export function savesText(saves: number): string {
  return messages.saves({ saves: trimmed(saves, 2) });
}

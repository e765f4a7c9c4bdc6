import type { Brief } from '../brief/brief';
import { schoolOf } from '../loss/schools';
import type { Term } from '../loss/table';
import type { Pins, Settings } from '../records/settings';
import { solvedWith } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import { omit } from '../units/omit';
import { heldBySettings } from './planned';
import type { PlannedShot } from './planned';

/** What is set with one turn of a hand, the smallest first. A list of one means that nothing else changes with it. */
const TURNS: readonly (readonly (keyof Pins)[])[] = [
  ['filter'],
  ['iso'],
  ['shutterSeconds', 'shutterMode', 'shutterFloorSeconds'],
  ['bitRateMbps', 'codec'],
  ['exposureOffsetStops'],
  ['stabilization'],
  ['colour', 'bitDepth'],
  ['view', 'stabilization'],
  ['shutterSeconds', 'shutterMode', 'shutterFloorSeconds', 'filter'],
  ['shutterSeconds', 'shutterMode', 'shutterFloorSeconds', 'iso'],
  ['frameRate', 'shutterSeconds', 'shutterMode', 'shutterFloorSeconds', 'bitRateMbps', 'codec'],
];
/** A change cures when it leaves less than this share of the loss. */
const CURES = 0.5;
/** What was seen to be wrong counts so many times from now on. */
const SEEN_COUNTS = 4;
/** Each turn more is worth it only for so much loss saved beside. */
const TURN_COSTS = 0.15;

/**
 * The one smallest change that cures a term: the shot under the conditions as measured is solved again with everything
 * held as it was filmed but what one turn sets; of those that cure, the one that loses least in all. `null`: none does.
 */
export function oneChange(planned: PlannedShot, measured: Brief, term: Term): Pins | null {
  const held = heldBySettings(measured, planned.settings);
  const own = schoolOf(measured.look);
  const school = { ...own, weights: { ...own.weights, [term]: SEEN_COUNTS * own.weights[term] } };
  const before = solvedWith(measured, held, school);
  if (!before || before.loss[term] <= 0) return null;
  let best: { change: Pins; cost: number } | null = null;
  for (const keys of TURNS) {
    const after = solvedWith(
      measured,
      keys.reduce<Pins>((pins, key) => omit(pins, key), held),
      school,
    );
    if (!after || after.loss[term] > CURES * before.loss[term]) continue;
    const cost = after.score + TURN_COSTS * (keys.length - 1);
    if (cost >= Math.min(before.score, best?.cost ?? Infinity)) continue;
    const change = changed(planned.settings, settingsOf(after.space, after.candidate), measured, keys);
    if (Object.keys(change).length > 0) best = { change, cost };
  }
  return best?.change ?? null;
}

/** What of one turn's settings came out otherwise. */
function changed(from: Settings, to: Settings, measured: Brief, keys: readonly (keyof Pins)[]): Pins {
  const [before, after] = [heldBySettings(measured, from), heldBySettings(measured, to)];
  return Object.fromEntries(
    keys.flatMap((key) =>
      after[key] === undefined || JSON.stringify(after[key]) === JSON.stringify(before[key])
        ? []
        : [[key, after[key]]],
    ),
  );
}

import { briefOf } from '@/core/brief/brief';
import { angleCount, partName, shotOfAngle } from '@/core/records/secondAngles';
import type { Pair, Shot } from '@/core/records/shot';
import { pairSheet, wantedBlurPct } from '@/core/together/pairSheet';
import type { PairDemand, PairHalf, PairSheet } from '@/core/together/pairSheet';
import { solve } from '@/core/answer/solve';
import { shutterFraction, trimmed } from '@/core/units/format';
import { HAND_LABEL, PAIR_LABEL, TURN_LABEL, viewLabel } from './labels';

/** "550°/s: a quarter turn in 0.16 s". */
export function turnText({ turnDegPerS, quarterTurnSeconds }: PairHalf): string {
  return `${trimmed(turnDegPerS, 0)}°/s: a quarter turn in ${trimmed(quarterTurnSeconds, 2)} s`;
}

/** How each half is to be turned, in one sentence, or nothing where nothing turns. */
export function turnSentence(pair: Pair, sheet: PairSheet, blurPct: number): string | null {
  if (pair.kind !== 'whip' && pair.kind !== 'falling') return null;
  const way = pair.kind === 'falling' ? 'down' : TURN_LABEL[pair.turn ?? 'right'];
  const [first, second] = sheet.halves;
  const same = Math.abs(first.turnDegPerS / second.turnDegPerS - 1) < 0.02;
  const asked = `For a blur of ${trimmed(blurPct, 0)} % at ${shutterFraction(first.settings.shutterSeconds)} s, turn ${way} at ${turnText(first)}`;
  return same
    ? `${asked}, in both halves.`
    : `${asked} in the first half; in the second at ${turnText(second)}.`;
}

/** What a card says of a pair: how the halves join, how to turn, and which hand. Empty for a shot that is none. */
export function pairCardLines(shot: Shot): string[] {
  const { pair } = shot;
  if (!pair) return [];
  const at = angleCount(shot);
  const [first, second] = [0, at].map((index) => solve(briefOf(shotOfAngle(shot, index)).brief));
  const lines = [`Joins by ${PAIR_LABEL[pair.kind]}: ${partName(shot, 0)}, then ${partName(shot, at)}.`];
  if (first?.solved && second?.solved) {
    const sheet = pairSheet(pair, first.solution, second.solution);
    const turning = turnSentence(pair, sheet, wantedBlurPct(pair));
    if (turning !== null) lines.push(turning);
    if (!sheet.joins) lines.push('The halves do not join yet: see Pair on the Bench.');
  }
  if (pair.hand !== undefined && pair.hand !== 'none')
    lines.push(`Camera in the ${HAND_LABEL[pair.hand]}, in both halves.`);
  return lines;
}

/** What a kind of pair asks of both halves, with what is amiss. */
export function demandText(demand: PairDemand, sheet: PairSheet): string {
  const [first, second] = sheet.halves;
  const both = (name: string, value: (half: PairHalf) => string): string =>
    `${name}: ${value(first)} and ${value(second)}`;
  switch (demand.what) {
    case 'blur':
      return both('Blur of the turn as planned', (half) => `${trimmed(half.plannedBlurPct, 0)} %`);
    case 'angle180':
      return both('Shutter held at 180°', ({ settings }) =>
        settings.shutterMode === 'auto' ? 'runs' : `${trimmed(settings.shutterAngleDeg, 0)}°`,
      );
    case 'stabilizationOff':
      return both('Stabilization off', ({ settings }) => (settings.stabilization === 'off' ? 'off' : 'on'));
    case 'lowFrameRate':
      return both('A low frame rate', ({ settings }) => `${trimmed(settings.frameRate, 3)} fps`);
    case 'filterOn':
      return both('A filter for the long shutter', ({ settings }) =>
        settings.filter.stops > 0 ? `${trimmed(settings.filter.stops, 1)} stops` : 'none',
      );
    case 'widest':
      return both('The widest view', ({ settings }) => viewLabel(settings.view.id));
    case 'straightView':
      return both('A straight or middle view, which meets the sky more easily', ({ settings }) =>
        viewLabel(settings.view.id),
      );
    case 'fixedShutter':
      return both('Exposure held', ({ settings }) => (settings.shutterMode === 'fixed' ? 'held' : 'runs'));
  }
}

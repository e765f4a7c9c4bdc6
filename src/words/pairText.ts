import * as messages from '@/language/words/pair';
import { briefOf } from '@/core/brief/brief';
import { cameraCount, shotOfPart } from '@/core/records/secondAngles';
import type { Pair, Shot } from '@/core/records/shot';
import { pairSheet, wantedBlurPct } from '@/core/together/pairSheet';
import type { PairDemand, PairHalf, PairSheet } from '@/core/together/pairSheet';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction, trimmed } from '@/core/units/format';
import { HAND_LABEL, PAIR_LABEL, TURN_LABEL, viewLabel } from './labels';
import { partName } from './shotName';

/** "550°/s: a quarter turn in 0.16 s". */
function turnText({ turnDegPerS, quarterTurnSeconds }: PairHalf): string {
  return messages.sAQuarterTurnIn({
    turnDegPerS: trimmed(turnDegPerS, 0),
    quarterTurnSeconds: trimmed(quarterTurnSeconds, 2),
  });
}

/** How each half is to be turned, in one sentence, or nothing where nothing turns. */
export function turnSentence(pair: Pair, sheet: PairSheet, blurPct: number): string | null {
  if (pair.kind !== 'whip' && pair.kind !== 'falling') return null;
  const way = pair.kind === 'falling' ? messages.down : TURN_LABEL[pair.turn ?? 'right'];
  const [first, second] = sheet.halves;
  const same = Math.abs(first.turnDegPerS / second.turnDegPerS - 1) < 0.02;
  const asked = messages.forABlurOfAt({
    blurPct: trimmed(blurPct, 0),
    shutterSeconds: shutterFraction(first.settings.shutterSeconds),
    way,
    first: turnText(first),
  });
  return same
    ? messages.inBothHalves({ asked })
    : messages.inTheFirstHalfIn({ asked, second: turnText(second) });
}

/**
 * What a card says of a pair: how the halves join, how to turn, and which hand; the halves as they are carried, or each by
 * itself. Empty for a shot that is none.
 */
export function pairCardLines(shot: Shot, carried?: readonly (Solution | null)[]): string[] {
  const { pair } = shot;
  if (!pair) return [];
  const at = cameraCount(shot);
  const [first, second] = carried ?? [0, at].map((index) => solutionAlone(shotOfPart(shot, index)));
  const lines = [
    messages.joinsByThen({ kind: PAIR_LABEL[pair.kind], shot: partName(shot, 0), shot2: partName(shot, at) }),
  ];
  if (first && second) {
    const sheet = pairSheet(pair, first, second);
    const turning = turnSentence(pair, sheet, wantedBlurPct(pair));
    if (turning !== null) lines.push(turning);
    if (!sheet.joins) lines.push(messages.theHalvesDoNotJoin);
  }
  if (pair.hand !== undefined && pair.hand !== 'none')
    lines.push(messages.cameraInTheInBoth({ hand: HAND_LABEL[pair.hand] }));
  return lines;
}

function solutionAlone(half: Shot): Solution | null {
  const outcome = solve(briefOf(half).brief);
  return outcome.solved ? outcome.solution : null;
}

/** What a kind of pair asks of both halves, with what is amiss. */
export function demandText(demand: PairDemand, sheet: PairSheet): string {
  const [first, second] = sheet.halves;
  const both = (name: string, value: (half: PairHalf) => string): string =>
    messages.and({ name, first: value(first), second: value(second) });
  switch (demand.what) {
    case 'blur':
      return both(messages.blurOfTheTurnAs, (half) => `${trimmed(half.plannedBlurPct, 0)} %`);
    case 'angle180':
      return both(messages.shutterHeldAt180, ({ settings }) =>
        settings.shutterMode === 'auto' ? messages.runs : `${trimmed(settings.shutterAngleDeg, 0)}°`,
      );
    case 'stabilizationOff':
      return both(messages.stabilizationOff, ({ settings }) =>
        settings.stabilization === 'off' ? messages.off : messages.on,
      );
    case 'lowFrameRate':
      return both(messages.aLowFrameRate, ({ settings }) =>
        messages.fps({ frameRate: trimmed(settings.frameRate, 3) }),
      );
    case 'filterOn':
      return both(messages.aFilterForTheLong, ({ settings }) =>
        settings.filter.stops > 0
          ? messages.stops({ stops: trimmed(settings.filter.stops, 1) })
          : messages.none,
      );
    case 'widest':
      return both(messages.theWidestView, ({ settings }) => viewLabel(settings.view.id));
    case 'straightView':
      return both(messages.aStraightOrMiddleView, ({ settings }) => viewLabel(settings.view.id));
    case 'fixedShutter':
      return both(messages.exposureHeld, ({ settings }) =>
        settings.shutterMode === 'fixed' ? messages.held : messages.runs,
      );
  }
}

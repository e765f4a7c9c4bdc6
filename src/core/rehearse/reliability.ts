import { proposedVerdicts } from '../inspect/verdicts';
import type { Clip } from '../records/clip';
import type { CutReason, Verdict } from '../vocabulary/verdicts';
import { chanceOf } from './chance';
import type { Chance } from './chance';
import type { Failure } from './simulated';
import type { RehearsedShot } from './rehearse';

/** A chance that was said, and whether it came so. */
export interface ChanceAndOutcome {
  p: number;
  came: boolean;
}

/** How what was said stands to what came. */
export interface Reliability {
  said: number;
  clips: number;
  /** Mean square of chance less outcome, 0 the best; and that of always saying how often it came. Source: Brier 1950. */
  brier: number;
  brierOfRate: number;
  /** Tenths of chance in which anything was said: what was said on the mean, and how often it came. */
  tenths: readonly { said: number; came: Chance; count: number }[];
}

/** The failures that a clip tells of, by its verdict and by why it was cut off. */
const BY_VERDICT: Partial<Record<Failure, Verdict>> = { over: 'whiteSky', under: 'tooDark', smear: 'smear' };
const BY_CUT: Partial<Record<Failure, CutReason>> = {
  card: 'cardFull',
  power: 'batteryFlat',
  heat: 'tooHot',
};

/** What was said of the shots whose clips came back, judged by the person or looked at whole; others say nothing. */
export function saidOf(
  shots: readonly RehearsedShot[],
  clips: readonly Clip[],
): { said: ChanceAndOutcome[]; clips: number } {
  const byPart = new Map(shots.map((shot) => [shot.id, shot]));
  const said: ChanceAndOutcome[] = [];
  let told = 0;
  for (const clip of clips) {
    const shot = byPart.get(`${clip.entryId ?? ''}/${clip.part}`);
    const verdicts = verdictsOf(clip);
    if (!shot || !verdicts) continue;
    told += 1;
    for (const [code, verdict] of Object.entries(BY_VERDICT) as [Failure, Verdict][])
      said.push({ p: shot.chances[code].p, came: verdicts.has(verdict) });
    for (const [code, reason] of Object.entries(BY_CUT) as [Failure, CutReason][])
      said.push({ p: shot.chances[code].p, came: clip.cutReason === reason });
  }
  return { said, clips: told };
}

function verdictsOf({ verdicts, looked, measured }: Clip): ReadonlySet<Verdict> | null {
  if (verdicts.length > 0) return new Set(verdicts);
  return looked === 'whole' && measured.pictures ? new Set(proposedVerdicts(measured, null)) : null;
}

export function reliabilityOf(said: readonly ChanceAndOutcome[], clips: number): Reliability {
  const rate = said.filter(({ came }) => came).length / Math.max(1, said.length);
  const square = (of: (one: ChanceAndOutcome) => number): number =>
    said.reduce((sum, one) => sum + (of(one) - (one.came ? 1 : 0)) ** 2, 0) / Math.max(1, said.length);
  const tenths = Array.from({ length: 10 }, (_, tenth) =>
    said.filter(({ p }) => Math.min(9, Math.floor(10 * p)) === tenth),
  );
  return {
    said: said.length,
    clips,
    brier: square(({ p }) => p),
    brierOfRate: square(() => rate),
    tenths: tenths.flatMap((some) =>
      some.length === 0
        ? []
        : [
            {
              said: some.reduce((sum, { p }) => sum + p, 0) / some.length,
              came: chanceOf(some.filter(({ came }) => came).length, some.length),
              count: some.length,
            },
          ],
    ),
  };
}

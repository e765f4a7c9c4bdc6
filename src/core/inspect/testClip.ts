import type { Found, MeasuredClip } from '../records/clipReport';
import type { FindingCode } from '../vocabulary/findings';
import { isBlocked } from './verdicts';

/** What a test clip says: go, or what is to be changed first, the worst first. */
export interface TestVerdict {
  change: Found[];
  blocked: boolean;
  go: boolean;
}

/** It is to be short, and says nothing of how long the run will be. */
const NOT_ASKED: readonly FindingCode[] = ['cutOff'];
/** What another camera at the same place tells: where it stands, what it hears and how the lamps pulse. */
const OF_THE_PLACE: readonly FindingCode[] = ['tilt', 'flicker', 'wind', 'clippedSound', 'silent'];

/** `standIn`: it was filmed with another camera at the place of the one that will film. */
export function testVerdict(
  { findings, pictures }: Pick<MeasuredClip, 'findings' | 'pictures'>,
  mount: Parameters<typeof isBlocked>[1],
  standIn: boolean,
): TestVerdict {
  const change = findings.filter(({ code }) =>
    standIn ? OF_THE_PLACE.includes(code) : !NOT_ASKED.includes(code),
  );
  const blocked = isBlocked(pictures, mount);
  return { change, blocked, go: change.length === 0 && !blocked };
}

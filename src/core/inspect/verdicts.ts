import type { FindingCode, Pictures } from '../records/clipReport';
import { LIMITS } from './limits';
import type { Verdict } from '../records/logEntry';

/** The verdict that a finding speaks for; some have none of their own, and sound is not a verdict on the picture. */
const VERDICT_OF: Partial<Record<FindingCode, Verdict>> = {
  over: 'whiteSky',
  under: 'tooDark',
  smear: 'smear',
  stutter: 'stutter',
  strobing: 'strobing',
  noise: 'noisy',
  tilt: 'tilted',
  soft: 'outOfFocus',
  flicker: 'flicker',
  cutOff: 'cutOff',
};
const WITHOUT_ONE: readonly FindingCode[] = ['shake', 'drift', 'bitRate'];

/** What is found proposes: each verdict once, or good where none is against it. */
export function proposedVerdicts({ findings, pictures }: Found): Verdict[] {
  const against = new Set(findings.flatMap(({ code }) => VERDICT_OF[code] ?? []));
  if (isBlocked(pictures)) against.add('blocked');
  if (against.size > 0) return [...against];
  return findings.some(({ code }) => WITHOUT_ONE.includes(code)) ? ['other'] : ['good'];
}

interface Found {
  findings: readonly { code: FindingCode }[];
  pictures: Pick<Pictures, 'blockedPct'> | null;
}

/** Something in front of the lens takes more of the view than a mount's own parts do. */
export function isBlocked(pictures: Found['pictures']): boolean {
  return (pictures?.blockedPct ?? 0) > LIMITS.blockedPct.value;
}

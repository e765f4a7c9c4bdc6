import type { FindingCode } from '../records/clipReport';
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

/** What the findings propose: each verdict once, or good where none is against it. */
export function proposedVerdicts(findings: readonly { code: FindingCode }[]): Verdict[] {
  const against = new Set(findings.flatMap(({ code }) => VERDICT_OF[code] ?? []));
  if (against.size > 0) return [...against];
  return findings.some(({ code }) => WITHOUT_ONE.includes(code)) ? ['other'] : ['good'];
}

import type { Brief } from '../brief/brief';
import { habitsOf } from '../vocabulary/mounts';
import type { Pictures } from '../records/clipReport';
import type { FindingCode } from '../vocabulary/findings';
import { LIMITS } from './limits';
import type { Verdict } from '../vocabulary/verdicts';

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
export function proposedVerdicts({ findings, pictures }: Found, mount: Mount | null): Verdict[] {
  const against = new Set(findings.flatMap(({ code }) => VERDICT_OF[code] ?? []));
  if (isBlocked(pictures, mount)) against.add('blocked');
  if (against.size > 0) return [...against];
  return findings.some(({ code }) => WITHOUT_ONE.includes(code)) ? ['other'] : ['good'];
}

interface Found {
  findings: readonly { code: FindingCode }[];
  pictures: Pick<Pictures, 'blockedPct'> | null;
}

type Mount = Pick<Brief['mount'], 'kind' | 'place'>;

/** Something in front of the lens takes more of the view than hands, bar or bow of its mount do. */
export function isBlocked(pictures: Found['pictures'], mount: Mount | null): boolean {
  const usual = mount !== null && habitsOf(mount.kind, mount.place).inTheWay.length > 0;
  const limit = usual ? LIMITS.blockedBesideGearPct : LIMITS.blockedPct;
  return (pictures?.blockedPct ?? 0) > limit.value;
}

import type { Recording } from '@/core/inspect/logbook';
import * as messages from '@/language/words/lastTime';
import { FINDING_LABEL } from './findingLabel';
import { decapitalized } from './sentences';
import { VERDICT_LABEL } from './labels';

/** "smear, tilted horizon", or that nothing was against it: what a person said of it before what was found. */
export function cameOfIt({ verdicts, findings }: Pick<Recording, 'verdicts' | 'findings'>): string {
  const against = verdicts.filter((verdict) => verdict !== 'good');
  if (against.length > 0) return against.map((verdict) => VERDICT_LABEL[verdict]).join(', ');
  if (findings.length > 0) return findings.map((code) => decapitalized(FINDING_LABEL[code])).join(', ');
  return messages.wentWell;
}

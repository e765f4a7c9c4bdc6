import { briefOf } from '@/core/brief/brief';
import type { InPlan } from '@/core/brief/brief';
import { isTimeLapse } from '@/core/records/filmedAs';
import { lapseOf } from '@/core/timeLapse/lapseAnswer';
import type { Shot } from '@/core/records/shot';
import { answerOne } from '@/words/answer';
import type { ShortAnswer } from './shots';

/** What a list tells of one camera's answer; for the workers alone, which solve. */
export function shortAnswerOf(shot: Shot, inPlan: InPlan): ShortAnswer {
  const lapse = isTimeLapse(shot) ? lapseOf(briefOf(shot, inPlan).brief) : null;
  // A time-lapse has a plan of its own.
  if (lapse) return { settings: lapse.settings, cautions: 0, whyFilter: '' };
  const answer = answerOne(shot, inPlan);
  if (answer.kind !== 'lynxeye/answer') return { refused: answer.reasons.map(({ text }) => text).join('; ') };
  const cautions = answer.warnings.filter(({ severity }) => severity !== 'note');
  return {
    settings: answer.settings,
    cautions: cautions.length,
    ...(cautions[0] ? { caution: cautions[0].text } : {}),
    whyFilter: answer.why.find(({ setting }) => setting === 'filter')?.text ?? '',
  };
}

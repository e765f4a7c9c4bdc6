import { expose } from 'comlink';
import { shotOfPart } from '@/core/records/secondAngles';
import { answerOne } from '@/words/answer';
import type { ShotsWorker } from './shots';

const worker: ShotsWorker = {
  solve(shot, inPlan) {
    const answer = answerOne(shotOfPart(shot, 0), inPlan);
    if (answer.kind !== 'lynxeye/answer')
      return { refused: answer.reasons.map(({ text }) => text).join('; ') };
    const cautions = answer.warnings.filter(({ severity }) => severity !== 'note');
    return {
      settings: answer.settings,
      cautions: cautions.length,
      ...(cautions[0] ? { caution: cautions[0].text } : {}),
      whyFilter: answer.why.find(({ setting }) => setting === 'filter')?.text ?? '',
    };
  },
};

expose(worker);

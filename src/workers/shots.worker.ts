import { expose } from 'comlink';
import { answerShot } from '@/words/answer';
import type { ShotsWorker } from './shots';

const worker: ShotsWorker = {
  solve(shot) {
    const answer = answerShot(shot);
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

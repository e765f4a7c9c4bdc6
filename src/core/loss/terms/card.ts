import { start } from '../../units/estimate';
import { cardUse, writtenMbps } from '../../camera/card';
import type { FileFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  cutOff: start(3, 'a recording cut off is a lost shot, found at home'),
  perOctave: start(4, 'the more is missing, the likelier it is the end that mattered'),
};

/** Recording longer than the card. A loop writes over itself and never fills one. */
export const card: TermOf<'card', FileFacts> = {
  id: 'card',
  owner: 'file',
  seen: 'the recording is cut off by a full card',
  formula:
    'cutOff as soon as the recording is longer than the card, octaves past it × perOctave; none for a loop',
  slopes,
  noteFrom: 0,
  remedies: [],
  loss: ({ brief, mode, encoding }) => {
    if (mode.recording === 'loop') return 0;
    const use = cardUse(
      writtenMbps(encoding.bitRateMbps, brief.camera),
      brief.limits.recordSeconds,
      brief.limits.cardGb,
    );
    return use > 1 ? slopes.cutOff.value + slopes.perOctave.value * Math.log2(use) : 0;
  },
};

import { start } from '../../units/estimate';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  wholePicture: start(
    1,
    'a fifth of the picture given up is a fifth of just noticeable: its pixels are counted with the resolution',
  ),
};

/** Picture given up to steadying in the edit. */
export const editCrop: TermOf<'editCrop', FrameFacts> = {
  id: 'editCrop',
  owner: 'frame',
  seen: 'the edges of what was filmed are not in the film',
  formula: 'share of the width given up × wholePicture',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ frame }) => slopes.wholePicture.value * (1 - frame.editKeeps),
};

import { start } from '../../units/estimate';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  wholePicture: start(
    1,
    'a fifth of the picture given up is a fifth of just noticeable: its pixels are counted with the resolution',
  ),
  work: start(
    0.8,
    'every clip goes through the edit once more: an evening for a day of clips, and nothing to post from the field',
  ),
};

/** What steadying in the edit costs: picture, and work. */
export const editCrop: TermOf<'editCrop', FrameFacts> = {
  id: 'editCrop',
  owner: 'frame',
  seen: 'the edges of what was filmed are not in the film',
  formula: 'steadied in the edit: work, and share of the width given up × wholePicture',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ frame, steadiedInEdit }) =>
    (steadiedInEdit ? slopes.work.value : 0) + slopes.wholePicture.value * (1 - frame.editKeeps),
};

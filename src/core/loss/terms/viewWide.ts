import { start } from '../../units/estimate';
import { LEAST_SHARE, LOST_BELOW_SHARE } from '../../optics/framing';
import { drawnBy, mostViewDeg, shareFilled } from '../frame';
import type { Demands, FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  bent: start(1.5, 'edges bow and the middle shrinks; half as wide again as usual is seen at once'),
  small: start(
    0.3,
    'somebody acting, or talking, fills less of the height than is usual: what they do is read less well',
  ),
  tiny: start(
    0.7,
    'under a fifth of the height a figure is part of the place, and no longer who the shot is about',
  ),
  lost: start(1, 'under a fortieth of the height it is a dot'),
};

/** Edges bent beyond the usual, and a subject that fills less of the height than it should. */
export const viewWide: TermOf<'viewWide', FrameFacts> = {
  id: 'viewWide',
  owner: 'frame',
  seen: 'edges bend, or the subject is small in the frame',
  formula:
    'octaves of view past what the shot bears × bent; octaves of the drawn subject under what it should fill of the height × small, under a fifth × tiny more, under a fortieth × lost more',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ brief, demands, mode, frame }) => {
    const most = mostViewDeg(demands, mode);
    const bent = frame.horizontalDeg <= most ? 0 : Math.log2(frame.horizontalDeg / most);
    return slopes.bent.value * bent + smallLoss(demands, shareFilled(brief, drawnBy(mode, frame)));
  },
};

function smallLoss({ subjectShare }: Demands, filled: number | null): number {
  if (subjectShare === null || filled === null) return 0;
  const under = (share: number): number => Math.max(0, Math.log2(share / filled));
  return (
    slopes.small.value * under(subjectShare) +
    slopes.tiny.value * under(Math.min(LEAST_SHARE, subjectShare)) +
    slopes.lost.value * under(LOST_BELOW_SHARE)
  );
}

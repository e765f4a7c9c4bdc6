import { start } from '../../units/estimate';
import { LOST_BELOW_SHARE } from '../../optics/framing';
import { mostViewDeg } from '../frame';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  bent: start(1.5, 'edges bow and the middle shrinks; half as wide again as usual is seen at once'),
  lost: start(2, 'a subject under a fortieth of the frame is a dot'),
};

/** Edges bent beyond the usual, and a subject smaller than one part in forty of the width. */
export const viewWide: TermOf<'viewWide', FrameFacts> = {
  id: 'viewWide',
  owner: 'frame',
  seen: 'edges bend, or the subject is lost in the frame',
  formula: 'octaves of view past what the shot bears × bent; octaves of the subject under a fortieth × lost',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ demands, mode, frame }) => {
    const most = mostViewDeg(demands, mode);
    const { subjectDeg } = demands;
    const bent = frame.horizontalDeg <= most ? 0 : Math.log2(frame.horizontalDeg / most);
    const lostDeg = LOST_BELOW_SHARE * frame.horizontalDeg;
    return (
      slopes.bent.value * bent +
      (subjectDeg === null || subjectDeg >= lostDeg ? 0 : slopes.lost.value * Math.log2(lostDeg / subjectDeg))
    );
  },
};

import { start } from '../../units/estimate';
import { MOST_STRAIGHTENED_DEG, straightenKeeps } from '../../optics/crop';
import { TILT_UNSEEN_DEG, tiltHeldDeg } from '../frame';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  unseenDeg: start(TILT_UNSEEN_DEG, 'a horizon off by less is not seen without a ruler'),
  perDegree: start(0.3, 'three degrees more are seen at once: sea and roofs run downhill all day'),
  most: start(3, 'past ten degrees it is simply crooked, or taken for meant'),
  cut: start(2, 'straightened in the edit it costs pixels like any other cut'),
};

/** What a hold of the camera rights is no loss; in the edit it is straightened by a crop. */
export const tilt: TermOf<'tilt', FrameFacts> = {
  id: 'tilt',
  owner: 'frame',
  seen: 'the horizon leans for the whole run',
  formula:
    'degrees past unseenDeg that no hold rights × perDegree, at most `most`; in the edit octaves cut × cut',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ brief, mode, steadiedInEdit }) => {
    const off = Math.abs(brief.mount.tiltDeg);
    if (off <= slopes.unseenDeg.value || off <= tiltHeldDeg(mode)) return 0;
    if (steadiedInEdit) {
      const { width, height } = brief.playback.deliver;
      return (
        slopes.cut.value * -Math.log2(straightenKeeps(Math.min(off, MOST_STRAIGHTENED_DEG), width, height))
      );
    }
    return Math.min(slopes.most.value, slopes.perDegree.value * (off - slopes.unseenDeg.value));
  },
};

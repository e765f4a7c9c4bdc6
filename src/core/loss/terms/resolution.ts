import { start } from '../../units/estimate';
import type { Screen } from '../../vocabulary/screens';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(2, 'half the pixels across is plainly soft on a screen that shows them all'),
  reserve: start(1.5, 'half as many again as delivered leave room to straighten and re-frame'),
  noReserve: start(0.3, 'without that room nothing is lost yet, but nothing can be mended'),
  idleFrom: start(2, 'twice the delivered width bears any cut that is usual'),
  idle: start(0.05, 'pixels past that nobody sees fill card, cell and heat margin'),
  phone: start(
    0.5,
    'a phone in the hand hides half of what is missing: the eye tells no more at that distance',
  ),
  laptop: start(0.8, 'a window on a laptop hides a fifth'),
  large: start(1.3, 'a television or projector fills more of the sight than a desk screen'),
};
const DEMAND: Readonly<Record<Screen, number>> = {
  phone: slopes.phone.value,
  laptop: slopes.laptop.value,
  desktop: 1,
  tv: slopes.large.value,
  projector: slopes.large.value,
};

/** Pixels across the delivered frame, after every cut. */
export const resolution: TermOf<'resolution', FrameFacts> = {
  id: 'resolution',
  owner: 'frame',
  seen: 'the picture is soft on the screen it is watched on, or has no room for the edit',
  formula:
    '(octaves short of the delivered width × perOctave + octaves short of reserve × noReserve) × the screen; octaves past idleFrom × idle',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ brief, frame }) => {
    const needed = brief.playback.deliver.width;
    const short = Math.max(0, Math.log2(needed / frame.widthPx));
    const reserve = Math.max(0, Math.log2((slopes.reserve.value * needed) / frame.widthPx) - short);
    const idle = Math.max(0, Math.log2(frame.widthPx / (slopes.idleFrom.value * needed)));
    return (
      DEMAND[brief.playback.screen] * (slopes.perOctave.value * short + slopes.noReserve.value * reserve) +
      slopes.idle.value * idle
    );
  },
};

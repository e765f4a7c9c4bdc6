import { encodingBitsPerPixel } from '../../camera/card';
import { start } from '../../units/estimate';
import { ACTIVITY_HABITS } from '../../vocabulary/activities';
import type { FileFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(1, 'half the bits that texture needs breaks gravel, leaves and spray into blocks'),
};

/** Bits per pixel short of what the texture needs. */
export const bitRate: TermOf<'bitRate', FileFacts> = {
  id: 'bitRate',
  owner: 'file',
  seen: 'fine, fast texture breaks up into blocks',
  formula: 'octaves of bits a pixel short of what the activity’s texture needs × perOctave',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ brief, mode, encoding }) =>
    slopes.perOctave.value *
    Math.max(
      0,
      Math.log2(ACTIVITY_HABITS[brief.mount.activity].bitsPerPixel / encodingBitsPerPixel(mode, encoding)),
    ),
};

import { encodingBitsPerPixel } from '../../camera/card';
import type { Activity } from '../../vocabulary/words';
import type { FileFacts } from '../frame';
import { start } from '../term';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(1, 'half the bits that texture needs breaks gravel, leaves and spray into blocks'),
};
/** AVC-equivalent bits per pixel and frame at which coding starts to show, by how fine and fast the texture is (start). */
export const BITS_PER_PIXEL: Readonly<Record<Activity, number>> = {
  still: 0.08,
  walking: 0.12,
  running: 0.16,
  riding: 0.2,
  paddling: 0.22,
  climbing: 0.14,
  skating: 0.16,
  surfing: 0.22,
  driving: 0.16,
  flying: 0.16,
  playing: 0.14,
};

/** Bits per pixel short of what the texture needs. */
export const bitRate: TermOf<'bitRate', FileFacts> = {
  id: 'bitRate',
  owner: 'file',
  label: 'bit rate',
  seen: 'fine, fast texture breaks up into blocks',
  formula: 'octaves of bits a pixel short of what the activity’s texture needs × perOctave',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ brief, mode, encoding }) =>
    slopes.perOctave.value *
    Math.max(0, Math.log2(BITS_PER_PIXEL[brief.mount.activity] / encodingBitsPerPixel(mode, encoding))),
};

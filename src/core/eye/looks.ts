import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { FILE_VERSION } from '../schema/versions';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';

type Look = Omit<ShotInput, 'kind' | 'version'>;

const nd = (...factors: number[]): NonNullable<ShotInput['filters']> =>
  factors.map((factor) => ({ id: `nd${factor}`, kind: 'nd', stops: Math.round(Math.log2(factor)) }));

/** Made-up shots to look at: between them every trade that pictures can show. */
const LOOKS: readonly Look[] = [
  // A trail out of the sun into the wood: white sky, dark shade, grain, the look of movement, smear.
  {
    mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
    light: { kind: 'scene', from: 'openSun', to: 'lightWood' },
    filters: nd(4, 8, 16, 32, 64),
  },
  // A gorge by kayak.
  {
    mount: { kind: 'chest', ground: 'mixed', activity: 'paddling' },
    light: { kind: 'range', evMin: 9, evMax: 14.5 },
    filters: nd(4, 16),
  },
  // At dusk every stop is grain, smear or shade.
  {
    mount: { kind: 'handlebar', ground: 'mixed', activity: 'riding' },
    light: { kind: 'range', evMin: 3.5, evMax: 5.5 },
    filters: [],
    limits: { lamps: 'none' },
  },
  // Somebody passes near, in the wood.
  {
    mount: { kind: 'tripod', activity: 'riding' },
    motion: { subject: { speedMps: 16, distanceM: 1.5, sizeM: 1.8, sideM: 1.5 } },
    light: { kind: 'range', evMin: 7, evMax: 7.3 },
    filters: [],
    limits: { lamps: 'none', isoCeiling: 800 },
  },
  // Slowed eight times under cloud: steps, grain or dark.
  {
    playback: { slowdown: 8 },
    mount: { kind: 'tripod', activity: 'playing' },
    motion: { subject: { speedMps: 5, distanceM: 5, sizeM: 1.8, sideM: 5 } },
    light: { kind: 'range', evMin: 6, evMax: 8 },
    filters: [],
    limits: { lamps: 'none' },
  },
  // Slowed two and a half times, late in the day.
  {
    playback: { slowdown: 2.5 },
    mount: { kind: 'chest', ground: 'rough', activity: 'running' },
    light: { kind: 'range', evMin: 5, evMax: 7 },
    filters: [],
    limits: { lamps: 'none' },
  },
  // Somebody rides ahead: a dot, a bent edge, or cut at the rim.
  {
    mount: { kind: 'chest', ground: 'rough', activity: 'riding' },
    motion: { subject: { speedMps: 6, distanceM: 14, sizeM: 1.8 } },
    light: { kind: 'range', evMin: 12, evMax: 13 },
    filters: nd(8, 16),
  },
  // A run by hand.
  {
    mount: { kind: 'hand', ground: 'rough', activity: 'running' },
    motion: { subject: { speedMps: 3, distanceM: 1.2, sizeM: 1.8 } },
    light: { kind: 'range', evMin: 11, evMax: 12.5 },
    filters: nd(8),
  },
  // Low over the ground, in the sun.
  {
    mount: { kind: 'vehicleOutside', ground: 'mixed', activity: 'driving' },
    motion: { travelMps: 14, nearestM: 0.7 },
    light: { kind: 'range', evMin: 13.5, evMax: 15 },
    filters: nd(4, 8),
  },
];

export function looks(): Brief[] {
  return LOOKS.map(
    (look) => briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, ...look })).brief,
  );
}

import { SCENES } from '../vocabulary/scenes';
import type { LampKind } from '../vocabulary/lamps';
import { pulseHzOfMains } from './flicker';
import type { Light } from './lightSchema';

/** Where artificial light comes from in a shot. */
export const LAMPS = ['byLight', 'none', 'mains', 'screen'] as const;
export type Lamps = (typeof LAMPS)[number];

/** What a shot says of its lamps. `byLight`: lit from the mains where the light has lamps. */
export interface LampsToldBy {
  lamps: Lamps;
  mainsHz: number;
  /** Pulses a second of a screen or a dimmed light. */
  screenHz: number;
}

/**
 * The lamps in a light: those told, else those that light the named scene. Light told by figures alone has none: dusk, a wood
 * and the dawn are as dark as a lit room, and lit by the sky.
 */
export function lampsIn(light: Light): LampKind {
  if (light.lamps !== undefined) return light.lamps;
  return light.kind === 'scene' && (SCENES[light.from].lamps || SCENES[light.to].lamps) ? 'unknown' : 'none';
}

export function isLamplit(light: Light): boolean {
  return lampsIn(light) !== 'none';
}

/** The pulse in the light, Hz, or `null` when nothing pulses. `lit`: there are lamps in the light. */
export function pulseOf({ lamps, mainsHz, screenHz }: LampsToldBy, lit: boolean): number | null {
  if (lamps === 'screen') return screenHz;
  if (lamps === 'mains' || (lamps === 'byLight' && lit)) return pulseHzOfMains(mainsHz);
  return null;
}

/**
 * Countries whose mains run at 60 Hz, ISO 3166; all others at 50. Japan has both: 50 in the east, 60 in the west, its
 * border near 137.5° E. Source: IEC, *World plugs*, from public knowledge; ask on the spot where it matters.
 */
const SIXTY = new Set(
  (
    'AG AI AS AW BM BR BS BZ CA CO CR CU DO EC GT GU GY HN HT KN KR KY LR MF MH MP MS MX NI PA PE PH PR PW ' +
    'SA SR SV TC TT TW US UM VE VG VI FM'
  ).split(' '),
);
const JAPAN_SIXTY_WEST_OF = 137.5;

/** Mains frequency of a country, and of the side of it where two are in use. */
export function mainsHzOf(country: string, lon: number): 50 | 60 {
  if (country === 'JP') return lon < JAPAN_SIXTY_WEST_OF ? 60 : 50;
  return SIXTY.has(country) ? 60 : 50;
}

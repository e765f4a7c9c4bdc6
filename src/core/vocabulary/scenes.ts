/**
 * Named scenes and their light, EV100, as an incident meter or a grey card would give it, and its colour, K, with how far
 * that may be off, mired. Starting estimates from long-published exposure and daylight tables; a person's own readings
 * replace them. `lamps` marks scenes lit from the mains, where flicker matters and the colour is that of whatever hangs there.
 */
export const SCENES = {
  snowSun: sky(16, 5600),
  openSun: sky(15, 5500),
  hazySun: sky(14, 5700),
  brightCloud: sky(13, 6200),
  overcast: sky(12, 6500),
  openShade: sky(12, 7500),
  heavyOvercast: sky(11, 6800),
  afterSunset: { ...sky(9, 7500), evMax: 11 },
  lightWood: sky(11, 6300),
  denseWood: { ...sky(8, 6600), evMax: 9 },
  gorgeFloor: sky(10, 7500),
  brightHall: lit(8, 4000),
  sportsHall: lit(7, 4000),
  litRoom: lit(6, 2900),
  litStreet: lit(5, 2700),
  dimHall: lit(4, 3000),
  fullMoon: sky(-2, 4200),
} as const satisfies Record<string, Scene>;

interface Scene {
  evMin: number;
  evMax: number;
  lamps: boolean;
  kelvin: number;
  offMired: number;
}

/** A sky's colour may be off by a cloud, mired (start). */
function sky(ev: number, kelvin: number): Scene {
  return { evMin: ev, evMax: ev, lamps: false, kelvin, offMired: 10 };
}

/** Of lamps that nobody named the kind is a guess, mired (start). */
function lit(ev: number, kelvin: number): Scene {
  return { evMin: ev, evMax: ev, lamps: true, kelvin, offMired: 40 };
}

export type SceneName = keyof typeof SCENES;

export const SCENE_NAMES = Object.keys(SCENES) as [SceneName, ...SceneName[]];

/**
 * Named scenes and their light, EV100, as an incident meter or a grey card would give it.
 * Starting estimates from long-published exposure tables; a person's own readings replace them.
 * `lamps` marks scenes lit from the mains, where flicker matters.
 */
export const SCENES = {
  snowSun: { evMin: 16, evMax: 16, lamps: false },
  openSun: { evMin: 15, evMax: 15, lamps: false },
  hazySun: { evMin: 14, evMax: 14, lamps: false },
  brightCloud: { evMin: 13, evMax: 13, lamps: false },
  overcast: { evMin: 12, evMax: 12, lamps: false },
  openShade: { evMin: 12, evMax: 12, lamps: false },
  heavyOvercast: { evMin: 11, evMax: 11, lamps: false },
  afterSunset: { evMin: 9, evMax: 11, lamps: false },
  lightWood: { evMin: 11, evMax: 11, lamps: false },
  denseWood: { evMin: 8, evMax: 9, lamps: false },
  gorgeFloor: { evMin: 10, evMax: 10, lamps: false },
  brightHall: { evMin: 8, evMax: 8, lamps: true },
  sportsHall: { evMin: 7, evMax: 7, lamps: true },
  litRoom: { evMin: 6, evMax: 6, lamps: true },
  litStreet: { evMin: 5, evMax: 5, lamps: true },
  dimHall: { evMin: 4, evMax: 4, lamps: true },
  fullMoon: { evMin: -2, evMax: -2, lamps: false },
} as const;

export type SceneName = keyof typeof SCENES;

export const SCENE_NAMES = Object.keys(SCENES) as [SceneName, ...SceneName[]];

/** Lamps by kind, from the warmest to the coolest; `unknown`: some, of a colour nobody knows. */
export const LAMP_KINDS = [
  'sodium',
  'dimmed',
  'tungsten',
  'warmLed',
  'halogen',
  'stage',
  'neutralLed',
  'coolTube',
  'daylightLed',
  'unknown',
  'none',
] as const;
export type LampKind = (typeof LAMP_KINDS)[number];

/** Colour of each kind, K, and how far one of it may be off, mired (start). */
export const LAMP_COLOUR: Readonly<
  Record<Exclude<LampKind, 'unknown' | 'none'>, { kelvin: number; offMired: number }>
> = {
  sodium: { kelvin: 2100, offMired: 15 },
  dimmed: { kelvin: 2400, offMired: 30 },
  tungsten: { kelvin: 2800, offMired: 10 },
  warmLed: { kelvin: 2900, offMired: 15 },
  halogen: { kelvin: 3200, offMired: 10 },
  stage: { kelvin: 3200, offMired: 20 },
  neutralLed: { kelvin: 4000, offMired: 12 },
  coolTube: { kelvin: 4500, offMired: 20 },
  daylightLed: { kelvin: 5700, offMired: 15 },
};

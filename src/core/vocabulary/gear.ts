/**
 * What of the person and the vehicle can stand before the lens, with the colour it is drawn in: red, green and blue,
 * linear, 0…1.
 */
export const GEAR = {
  hands: [0.09, 0.11, 0.16],
  bar: [0.03, 0.03, 0.035],
  rail: [0.05, 0.05, 0.05],
  bow: [0.34, 0.1, 0.04],
  board: [0.42, 0.4, 0.33],
  brim: [0.05, 0.06, 0.05],
  arm: [0.06, 0.06, 0.065],
  head: [0.22, 0.1, 0.06],
  dash: [0.04, 0.04, 0.045],
  bonnet: [0.05, 0.12, 0.2],
  rotors: [0.1, 0.1, 0.1],
} as const satisfies Record<string, readonly [number, number, number]>;

export type GearKind = keyof typeof GEAR;

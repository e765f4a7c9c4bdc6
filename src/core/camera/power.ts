/** Cells, banks and the cold. Watt hours, watts, degrees Celsius. */

/** A cell nobody told anything of: that of a usual action camera (start). */
export const USUAL_CELL = { ampereHours: 1.72, volts: 3.85, count: 1 } as const;

const BANK_CELL_V = 3.7;
/** What of a bank's charge reaches the camera: its own conversion and the cable's loss (start). */
const BANK_EFFICIENCY = 0.85;
/** A cell gives its rating down to here; below, a hundredth less a degree: about a fifth less at 0 °C (start). */
export const WARM_C = 20;
const LOSS_PER_DEGREE = 0.01;
const LEAST_SHARE = 0.4;
/** Into a camera over its socket, W (start: 5 V at 1.5 A). */
export const CHARGE_W = 7.5;

export function cellWh({ ampereHours, volts }: { ampereHours: number; volts: number }): number {
  return ampereHours * volts;
}

/** usable Wh = Ah × 3.7 V × 0.85 */
export function bankUsableWh(ampereHours: number, cellV = BANK_CELL_V, efficiency = BANK_EFFICIENCY): number {
  return ampereHours * cellV * efficiency;
}

/** What of a cell's rating it gives at this temperature. */
export function coldShare(airC: number): number {
  return Math.min(1, Math.max(LEAST_SHARE, 1 - LOSS_PER_DEGREE * (WARM_C - airC)));
}

/** Why a recording ended. Amounts in decimal gigabytes, watt-hours and minutes. */
export const ENDINGS = ['cardFull', 'batteryFlat', 'tooHot', 'piece', 'button', 'unknown'] as const;
export type Ending = (typeof ENDINGS)[number];

interface EndFacts {
  seconds: number;
  plannedSeconds: number | null;
  /** All of the day's clips on the card up to the end of this one, and what the card holds. */
  card: { filledGb: number; usableGb: number } | null;
  /** Drawn from the cell since it was put in, and what it gives. */
  cell: { drawnWh: number; givesWh: number } | null;
  /** Minutes into the recording at which the plan has the camera shut down for heat. */
  heatMinutes: number | null;
  /** Another piece begins where this one ends. */
  goesOn: boolean;
  /** Movement in the last second over that of the rest: a hand at the button. */
  lastSecondMoves: number | null;
}

/** A limit counts as reached from this share of it on: figures of cells and heat are known to about a tenth. */
const CARD_REACHED = 0.97;
const CELL_REACHED = 0.9;
const HEAT_WITHIN = 0.15;
const HAND_TIMES = 1.8;
/** A clip this near to its planned length was stopped as planned. */
const AS_PLANNED = 0.1;

/** The first cause that fits, the surest first. */
export function endedBy({
  seconds,
  plannedSeconds,
  card,
  cell,
  heatMinutes,
  goesOn,
  lastSecondMoves,
}: EndFacts): Ending {
  if (goesOn) return 'piece';
  if (card && card.filledGb >= CARD_REACHED * card.usableGb) return 'cardFull';
  if (lastSecondMoves !== null && lastSecondMoves >= HAND_TIMES) return 'button';
  if (plannedSeconds !== null && Math.abs(seconds / plannedSeconds - 1) <= AS_PLANNED) return 'button';
  if (cell && cell.drawnWh >= CELL_REACHED * cell.givesWh) return 'batteryFlat';
  if (heatMinutes !== null && Math.abs(seconds / 60 / heatMinutes - 1) <= HEAT_WITHIN) return 'tooHot';
  return 'unknown';
}

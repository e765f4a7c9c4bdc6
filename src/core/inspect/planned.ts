import { solve } from '../answer/solve';
import type { Brief } from '../brief/brief';
import { pinsOf } from '../compare/variants';
import type { Lens } from '../optics/projection';
import type { Pins, Settings } from '../records/settings';

/** The shot that a clip was filmed for: what was known of it, and the settings it was filmed at. */
export interface PlannedShot {
  brief: Brief;
  settings: Settings;
  /** Per cent of the width that a degree takes in the middle of the delivered frame. */
  pctPerDegree: number;
  /** How long it was to run; `null`: nobody said. */
  recordSeconds: number | null;
  /** Of the delivered frame, for turning smear back into shake. */
  lens: Lens;
}

/** `settings`: as filmed, where they are known; else those of the answer. `null`: nothing fits the shot. */
export function plannedShot(
  brief: Brief,
  { settings, recordSeconds = null }: { settings?: Settings; recordSeconds?: number | null } = {},
): PlannedShot | null {
  const outcome = solve(settings ? { ...brief, pins: heldBySettings(brief, settings) } : brief);
  if (!outcome.solved) return null;
  const { solution } = outcome;
  const { projection } = solution.candidate.mode.view;
  return {
    brief,
    settings: settings ?? solution.settings,
    pctPerDegree: solution.figures.pctPerDegree,
    recordSeconds,
    lens: { horizontalDeg: solution.settings.view.horizontalDeg, projection },
  };
}

/** Every setting as it was: the view by its name, for a hold crops it; filters that the bag no longer holds left to the solver. */
export function heldBySettings({ filters }: Brief, settings: Settings): Pins {
  const { filter, view, ...pins } = pinsOf(settings);
  const known = settings.filter.ids.every((id) => filters.some((one) => one.id === id));
  return {
    ...pins,
    ...(view ? { view: { id: view.id } } : {}),
    ...(known && filter ? { filter } : {}),
  };
}

/**
 * The fewest stored set-ups of a camera that serve a day. A shot is served by a set-up when its loss under it is within
 * a tolerance of its own best; where the slots are too few, the set that adds least loss. Exact up to twelve set-ups to
 * choose from (every subset is tried); beyond that greedy, then improved by exchange, and said so.
 */
export interface PresetChoice {
  /** Set-ups kept, by their row in `extra`'s columns. */
  kept: readonly number[];
  /** Which of them serves each shot. */
  serves: readonly number[];
  /** What that adds to each shot's loss. */
  extra: readonly number[];
  /** Whether each shot is served within the tolerance. */
  within: boolean;
  exact: boolean;
}

/** What a shot may lose to a shared set-up without anybody seeing it, loss (start: a quarter of just noticeable). */
const PRESET_TOLERANCE = 0.25;
const EXACT_UP_TO = 12;

/**
 * `extra[shot][setup]`: what a set-up adds to the loss of a shot; Infinity where it cannot serve it. `null`: even with
 * all slots some shot is served by none.
 */
export function choosePresets(
  extra: readonly (readonly number[])[],
  slots: number,
  tolerance = PRESET_TOLERANCE,
): PresetChoice | null {
  const setups = extra[0]?.length ?? 0;
  if (extra.length === 0 || setups === 0 || slots < 1)
    return extra.length === 0 ? { kept: [], serves: [], extra: [], within: true, exact: true } : null;
  return setups <= EXACT_UP_TO
    ? exactly(extra, setups, slots, tolerance)
    : nearly(extra, setups, slots, tolerance);
}

function exactly(
  extra: readonly (readonly number[])[],
  setups: number,
  slots: number,
  tolerance: number,
): PresetChoice | null {
  let best: PresetChoice | null = null;
  for (let mask = 1; mask < 1 << setups; mask += 1) {
    const kept: number[] = [];
    for (let at = 0; at < setups; at += 1) if (mask & (1 << at)) kept.push(at);
    if (kept.length > slots) continue;
    const choice = servedBy(extra, kept, tolerance, true);
    if (choice && (best === null || better(choice, best))) best = choice;
  }
  return best;
}

/** Within the tolerance comes first, then fewer set-ups, then less loss; out of it, less loss, then fewer. */
export function better(a: PresetChoice, b: PresetChoice): boolean {
  if (a.within !== b.within) return a.within;
  const [lossA, lossB] = [sum(a.extra), sum(b.extra)];
  if (a.within && a.kept.length !== b.kept.length) return a.kept.length < b.kept.length;
  if (Math.abs(lossA - lossB) > 1e-9) return lossA < lossB;
  return a.kept.length < b.kept.length;
}

export function servedBy(
  extra: readonly (readonly number[])[],
  kept: readonly number[],
  tolerance: number,
  exact: boolean,
): PresetChoice | null {
  const serves: number[] = [];
  const added: number[] = [];
  for (const row of extra) {
    let found = -1;
    for (const at of kept) if ((row[at] ?? Infinity) < (row[found] ?? Infinity)) found = at;
    const loss = row[found];
    if (loss === undefined || !Number.isFinite(loss)) return null;
    serves.push(found);
    added.push(loss);
  }
  return { kept, serves, extra: added, within: added.every((loss) => loss <= tolerance), exact };
}

function nearly(
  extra: readonly (readonly number[])[],
  setups: number,
  slots: number,
  tolerance: number,
): PresetChoice | null {
  const all = Array.from({ length: setups }, (_, at) => at);
  // A shot that a set cannot serve counts as very bad, so that the search has a slope to follow.
  const cost = (kept: readonly number[]): number =>
    sum(extra.map((row) => Math.min(1000, ...kept.map((at) => row[at] ?? Infinity))));
  let best: PresetChoice | null = null;
  let kept: number[] = [];
  while (kept.length < Math.min(slots, setups)) {
    const next = all
      .filter((at) => !kept.includes(at))
      .reduce((a, b) => (cost([...kept, b]) < cost([...kept, a]) ? b : a));
    kept = exchanged([...kept, next], all, cost);
    const choice = servedBy(extra, kept, tolerance, false);
    if (choice && (best === null || better(choice, best))) best = choice;
    if (choice?.within) break;
  }
  return best;
}

function exchanged(
  start: number[],
  all: readonly number[],
  cost: (kept: readonly number[]) => number,
): number[] {
  let kept = start;
  let least = cost(kept);
  for (let round = 0; round < 20; round += 1) {
    const before = least;
    kept.forEach((_, at) => {
      for (const other of all) {
        if (kept.includes(other)) continue;
        const tried = kept.map((one, index) => (index === at ? other : one));
        const loss = cost(tried);
        if (loss < least - 1e-12) [kept, least] = [tried, loss];
      }
    });
    if (least >= before) break;
  }
  return kept;
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

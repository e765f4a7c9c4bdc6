import type { DayRemedy } from './dayRemedy';
import { airAtC, pausePlan } from './heat';
import { recordingLoad } from './recording';
import { left } from './remedyBench';
import type { Bench } from './remedyBench';
import type { DayPart } from './schedule';

/** A stop to cool, minutes (start). */
const COOL_MINUTES = [3, 5, 8, 12, 20];

/** A part with more pauses, and what it had. */
export function pausedAt(
  part: DayPart,
  pauses: readonly { afterMinutes: number; minutes: number }[],
): DayPart {
  let stretches = [...part.stretches];
  for (const { afterMinutes, minutes } of [...pauses].sort((a, b) => a.afterMinutes - b.afterMinutes)) {
    let left = afterMinutes * 60_000;
    stretches = stretches.flatMap((span) => {
      const length = span.toMs - span.fromMs;
      if (left === Infinity)
        return [{ fromMs: span.fromMs + minutes * 60_000, toMs: span.toMs + minutes * 60_000 }];
      if (left >= length) {
        left -= length;
        return [span];
      }
      const cut = span.fromMs + left;
      left = Infinity;
      if (cut <= span.fromMs)
        return [{ fromMs: span.fromMs + minutes * 60_000, toMs: span.toMs + minutes * 60_000 }];
      return [
        { fromMs: span.fromMs, toMs: cut },
        { fromMs: cut + minutes * 60_000, toMs: span.toMs + minutes * 60_000 },
      ];
    });
  }
  return { ...part, stretches, toMs: stretches.at(-1)?.toMs ?? part.toMs };
}

/** Stops to cool, the shortest that work. */
export function heatRemedies(bench: Bench): DayRemedy[] {
  const { camera, recorded, out, day } = bench;
  const one = recorded.find(({ part }) => part.id === out.partId);
  if (!one) return [];
  const { part, answer } = one;
  const load = recordingLoad(part, answer);
  const airC = airAtC(day.air, (part.fromMs - day.fromMs) / 3_600_000);
  const recordMinutes = part.brief.limits.recordSeconds / 60;
  for (const minutes of COOL_MINUTES) {
    const pauses = pausePlan(camera.heat, { ...load, airC }, recordMinutes, airC + load.sunC, minutes);
    if (!pauses || pauses.length === 0) continue;
    const whole: DayPart = {
      ...part,
      stretches: [{ fromMs: part.fromMs, toMs: part.fromMs + recordMinutes * 60_000 }],
    };
    const paused = recorded.map((other) =>
      other === one ? { ...one, part: pausedAt(whole, pauses) } : other,
    );
    const leaves = left(bench, paused, bench.gear);
    if (leaves)
      return [
        {
          cameraId: camera.id,
          what: out.what,
          addedLoss: 0,
          leaves,
          how: 'pauses',
          entryId: part.entryId,
          pauses,
        },
      ];
  }
  return [];
}

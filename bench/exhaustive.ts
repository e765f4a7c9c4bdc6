import type { Candidate } from '@/core/solve/candidate';
import { figuresOf, frameTerms, rateTerms } from '@/core/solve/candidate';
import { driftHarm, expose, filterHarm, noiseHarm, overHarm, underHarm } from '@/core/solve/exposureHarm';
import { bitRateHarm, cardHarm } from '@/core/solve/modeHarm';
import { angleHarm, flickerHarm, smearHarm, strobingHarm, subjectBlurHarm } from '@/core/solve/shutterHarm';
import { encodingsKept } from '@/core/solve/allowedModes';
import { schoolAllows } from '@/core/solve/space';
import type { Space } from '@/core/solve/space';
import type { Term } from '@/core/solve/terms';

/**
 * The least score by looking at every candidate: no bounds, no closed forms, no order that helps. What does not change
 * within a loop is worked out before it, and that is all. `null` when the space is empty.
 */
export function exhaustiveSearch(space: Space): { candidate: Candidate; score: number; seen: number } | null {
  const { brief, sensor, light, school } = space;
  const { weights } = school;
  let best: { candidate: Candidate; score: number } | null = null;
  let seen = 0;
  for (const mode of space.modes) {
    const ofMode = weighted({ ...rateTerms(space, mode.frameRate), ...frameTerms(space, mode) }, weights);
    const figures = figuresOf(space, mode);
    for (const encoding of encodingsKept(brief, mode)) {
      const ofEncoding =
        weights.bitRate * bitRateHarm(brief, mode, encoding) + weights.card * cardHarm(brief, encoding);
      for (const shutter of space.shutters.get(mode.frameRate) ?? []) {
        if (!schoolAllows(space, mode, shutter)) continue;
        const windows = shutter.spanStops > 0 ? space.autoIsoWindows : space.isoWindows;
        for (const filter of space.filters)
          for (const iso of windows) {
            seen++;
            const exposure = expose(sensor, light, shutter, filter.stops, iso);
            const { brightLog, darkLog } = exposure;
            const score =
              ofMode +
              ofEncoding +
              weights.over * overHarm(exposure.overStops, sensor.guardStops) +
              weights.under * underHarm(exposure.underStops) +
              weights.noise * noiseHarm(sensor, iso, exposure) +
              weights.drift * driftHarm(shutter, iso, exposure) +
              weights.filter * filterHarm(filter) +
              weights.angle * angleHarm(figures, brightLog, darkLog, shutter.longestLog) +
              weights.smear * smearHarm(figures, darkLog) +
              weights.subjectBlur * subjectBlurHarm(figures, darkLog) +
              weights.strobing * strobingHarm(figures, brightLog) +
              weights.flicker * flickerHarm(figures, light.pulseHz, brightLog, darkLog);
            if (best === null || score < best.score)
              best = { candidate: { mode, encoding, shutter, filter, iso }, score };
          }
      }
    }
  }
  return best && { ...best, seen };
}

function weighted(terms: Partial<Record<Term, number>>, weights: Record<Term, number>): number {
  return Object.entries(terms).reduce((sum, [term, harm]) => sum + weights[term as Term] * harm, 0);
}

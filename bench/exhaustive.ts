import type { Candidate } from '@/core/search/candidate';
import { figuresOf, frameTerms, rateTerms } from '@/core/search/candidate';
import { driftLoss, expose, filterLoss, noiseLoss, overLoss, underLoss } from '@/core/loss/exposureLoss';
import { bitRateLoss, cardLoss } from '@/core/loss/modeLoss';
import { angleLoss, flickerLoss, smearLoss, strobingLoss, subjectBlurLoss } from '@/core/loss/shutterLoss';
import { encodingsKept } from '@/core/search/allowedModes';
import { schoolAllows } from '@/core/search/space';
import type { Space } from '@/core/search/space';
import type { Term } from '@/core/loss/terms';

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
        weights.bitRate * bitRateLoss(brief, mode, encoding) + weights.card * cardLoss(brief, encoding);
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
              weights.over * overLoss(exposure.overStops, sensor.guardStops) +
              weights.under * underLoss(exposure.underStops) +
              weights.noise * noiseLoss(sensor, iso, exposure) +
              weights.drift * driftLoss(shutter, iso, exposure) +
              weights.filter * filterLoss(filter) +
              weights.angle * angleLoss(figures, brightLog, darkLog, shutter.longestLog) +
              weights.smear * smearLoss(figures, darkLog) +
              weights.subjectBlur * subjectBlurLoss(figures, darkLog) +
              weights.strobing * strobingLoss(figures, brightLog) +
              weights.flicker * flickerLoss(figures, light.pulseHz, brightLog, darkLog);
            if (best === null || score < best.score)
              best = { candidate: { mode, encoding, shutter, filter, iso }, score };
          }
      }
    }
  }
  return best && { ...best, seen };
}

function weighted(terms: Partial<Record<Term, number>>, weights: Record<Term, number>): number {
  return Object.entries(terms).reduce((sum, [term, loss]) => sum + weights[term as Term] * loss, 0);
}

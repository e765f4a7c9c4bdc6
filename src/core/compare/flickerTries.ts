import { shutterAngleDeg } from '../playback/shutterAngle';
import { flickerResidual, flickerSafeShutters, pulseSeen } from '../light/flicker';
import type { PulseSeen } from '../light/flicker';
import type { Brief } from '../brief/brief';
import type { Candidate } from '../search/candidate';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';
import type { Space } from '../search/space';
import type { Loss } from '../loss/table';

/** A shutter free of the lamps' pulse, taken instead of the answer's, all else as the answer has it. */
interface SafeShutter {
  seconds: number;
  angleDeg: number;
  score: number;
  gains: TermChange[];
  costs: TermChange[];
}

/** The safe shutters of the answer's frame rate under a pulse, longest first, with what each costs. */
export function safeShutters(space: Space, chosen: Candidate, loss: Loss, pulseHz: number): SafeShutter[] {
  const { brief } = space;
  const { frameRate, resolution, view, stabilization } = chosen.mode;
  return flickerSafeShutters(pulseHz, frameRate).flatMap((seconds) => {
    const pins = {
      frameRate,
      resolution: { width: resolution.width, height: resolution.height },
      view: { id: view.id },
      stabilization,
      ...(brief.pins.filter ? { filter: brief.pins.filter } : {}),
      shutterSeconds: seconds,
      shutterMode: 'fixed' as const,
    };
    const judged = judgedBy(space, { ...brief, pins }, space.school.id);
    if (!judged) return [];
    return [
      {
        seconds,
        angleDeg: shutterAngleDeg(frameRate, seconds),
        score: judged.score,
        ...changesFrom(space, loss, judged.loss),
      },
    ];
  });
}

/** One frame rate under a pulse: how it is seen when played, and its shutters that are free of it. */
interface RateUnderPulse extends PulseSeen {
  frameRate: number;
  /** Left of the pulse at 180°, 0…1. */
  residualAt180: number;
  safe: number[];
}

export function ratesUnderPulse(
  frameRates: readonly number[],
  pulseHz: number,
  { playback, camera }: Pick<Brief, 'playback' | 'camera'>,
): RateUnderPulse[] {
  return frameRates.map((frameRate) => ({
    frameRate,
    ...pulseSeen(pulseHz, frameRate, playback, camera.readoutSeconds),
    residualAt180: flickerResidual(pulseHz, 1 / (2 * frameRate)),
    safe: flickerSafeShutters(pulseHz, frameRate),
  }));
}

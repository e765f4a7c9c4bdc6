import type { Subject } from '@/core/optics/framing';
import { clamp } from '@/core/units/stops';
import type { ShotChange } from '../../../data/useShotEditing';

/** What dragging in the framing view does to a shot: rounded as a person would say it. */
export interface FramingMoves {
  subject: (change: { distanceM?: number; sideM?: number }) => void;
  pitch: (pitchDeg: number) => void;
  done: () => void;
}

/** Two figures of a distance are enough: 0.35, 1.2, 14. */
export function roundDistance(metres: number): number {
  return metres === 0 ? 0 : Number(metres.toPrecision(2));
}

export function movedSubject(from: Subject, change: { distanceM?: number; sideM?: number }): ShotChange {
  return (shot) => ({
    ...shot,
    motion: {
      ...shot.motion,
      subject: {
        sizeM: from.sizeM,
        distanceM: from.distanceM,
        ...shot.motion?.subject,
        ...(change.distanceM === undefined
          ? {}
          : { distanceM: clamp(roundDistance(change.distanceM), 0.05, 10_000) }),
        ...(change.sideM === undefined ? {} : { sideM: clamp(roundDistance(change.sideM), -10_000, 10_000) }),
      },
    },
  });
}

export function turnedDown(pitchDeg: number): ShotChange {
  return (shot) => ({ ...shot, mount: { ...shot.mount, pitchDeg: Math.round(clamp(pitchDeg, -90, 90)) } });
}

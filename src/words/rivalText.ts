import type { Filter } from '@/core/filters/kit';
import type { Rival } from '@/core/compare/rivals';
import { shutterFraction, trimmed } from '@/core/units/format';
import { alternativeLabel } from './alternativeText';
import { STABILIZATION_LABEL } from './labels';

/** What an answer is looked at beside, in a few words. */
export function rivalText(rival: Rival, kit: readonly Filter[]): string {
  switch (rival.code) {
    case 'alternative':
      return alternativeLabel(rival.alternative, kit);
    case 'angle':
      return `the shutter at ${rival.degrees}°`;
    case 'shutter':
      return `the shutter at ${shutterFraction(rival.seconds)} s`;
    case 'frameRate':
      return `filmed at ${trimmed(rival.fps, 3)} fps`;
    case 'stabilization':
      return rival.stabilization === 'off'
        ? 'without stabilization'
        : `stabilization: ${STABILIZATION_LABEL[rival.stabilization]}`;
    case 'noFilter':
      return 'without a filter';
  }
}

/** Stays the same while the answer behind it changes. */
export function rivalKey(rival: Rival): string {
  switch (rival.code) {
    case 'alternative': {
      const { way } = rival.alternative;
      return way.code === 'school' ? `school-${way.school}` : way.code;
    }
    case 'angle':
      return `angle-${rival.degrees}`;
    case 'shutter':
      return 'short';
    case 'frameRate':
      return `fps-${rival.fps}`;
    case 'stabilization':
      return `hold-${rival.stabilization}`;
    case 'noFilter':
      return 'noFilter';
  }
}

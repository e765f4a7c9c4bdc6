import * as messages from '@/language/words/variant';
import type { Filter } from '@/core/filters/kit';
import type { Variant } from '@/core/compare/variants';
import { shutterFraction, trimmed } from '@/core/units/format';
import { alternativeLabel } from './alternativeText';
import { STABILIZATION_LABEL } from './labels';

/** What an answer is looked at beside, in a few words. */
export function variantText(variant: Variant, kit: readonly Filter[]): string {
  switch (variant.code) {
    case 'alternative':
      return alternativeLabel(variant.alternative, kit);
    case 'angle':
      return messages.theShutterAt({ degrees: variant.degrees });
    case 'shutter':
      return messages.theShutterAtS({ seconds: shutterFraction(variant.seconds) });
    case 'frameRate':
      return messages.filmedAtFps({ fps: trimmed(variant.fps, 3) });
    case 'stabilization':
      return variant.stabilization === 'off'
        ? messages.withoutStabilization
        : messages.stabilization({ stabilization: STABILIZATION_LABEL[variant.stabilization] });
    case 'noFilter':
      return messages.withoutAFilter;
  }
}

/** Stays the same while the answer behind it changes. */
export function variantKey(variant: Variant): string {
  switch (variant.code) {
    case 'alternative': {
      const { way } = variant.alternative;
      return way.code === 'school' ? `school-${way.school}` : way.code;
    }
    case 'angle':
      return `angle-${variant.degrees}`;
    case 'shutter':
      return 'short';
    case 'frameRate':
      return `fps-${variant.fps}`;
    case 'stabilization':
      return `hold-${variant.stabilization}`;
    case 'noFilter':
      return 'noFilter';
  }
}

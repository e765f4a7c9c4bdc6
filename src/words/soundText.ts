import * as messages from '@/language/words/sound';
import type { SoundAdvice } from '@/core/answer/soundAdvice';
import { trimmed } from '@/core/units/format';

/** What to do, in a sentence. */
export function soundText(advice: SoundAdvice): string {
  switch (advice.code) {
    case 'slowed':
      return messages.slowed({ slowdown: trimmed(advice.slowdown, 2) });
    case 'wind':
      return messages.wind({
        stream: trimmed(advice.streamMps, 0),
        travel: trimmed(advice.travelMps, 0),
        wind: trimmed(advice.windMps, 0),
      });
    case 'outside':
      return messages.outside({ stream: trimmed(advice.streamMps, 0) });
    case 'windows':
      return messages.windows;
    case 'opening':
      return messages.opening;
    case 'slate':
      return messages.slate;
  }
}

/** The same as a line of the check before the run. */
export function soundCheck({ code }: SoundAdvice): string {
  return messages.check[code];
}

import * as messages from '@/language/store';
import { WordedError } from '@/words/whyText';

/** Everything kept was taken away while the page was open: by the browser's own settings, or by another program. */
export class Cleared extends WordedError {
  constructor() {
    super(messages.cleared);
  }
}

import type { FindingCode } from '@/core/records/clipReport';
import * as messages from '@/language/words/finding';

export const FINDING_LABEL: Record<FindingCode, string> = messages.label;

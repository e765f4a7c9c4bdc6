import type { FindingCode } from '@/core/vocabulary/findings';
import * as messages from '@/language/words/finding';

export const FINDING_LABEL: Record<FindingCode, string> = messages.label;

import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import * as messages from '@/language/words/reasonTitle';

export const PAGE_TITLE: Record<ReasonPage, string> = messages.title;

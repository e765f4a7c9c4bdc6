import { create } from 'zustand';
import type { WordId } from '@/core/vocabulary/words';

/** The word whose meaning is shown, and what it comes to on the shot that was open. */
export const useMeaning = create<{ shown: { word: WordId; figure: string | null } | null }>(() => ({
  shown: null,
}));

export function showMeaning(word: WordId, figure: string | null): void {
  useMeaning.setState({ shown: { word, figure } });
}

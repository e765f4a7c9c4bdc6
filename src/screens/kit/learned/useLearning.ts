'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { CorrectedFigure } from '@/core/learn/learn';
import type { Kept } from '@/core/learn/takes';
import { figureId } from '@/core/records/figures';
import type { Figure, LearnedRecord } from '@/core/records/learned';
import { learnFrom } from '@/workers/learn';
import { namesIn } from '@/words/learnedNames';
import type { Names } from '@/words/learnedText';
import { useDecisions } from '../../data/learned';
import { useKit } from '../../data/kit';
import { useRepository } from '../../data/repository';
import { withoutPictures } from '../../data/clips';
import { useAsked } from '../../data/useAsked';

/** Everything that came back says of the figures, and what the person decided. */
export interface Learning {
  corrected: readonly CorrectedFigure[];
  decisions: ReadonlyMap<string, LearnedRecord>;
  names: Names;
}

export type LearningState = Learning | { failed: string } | null;

/** `null` while it is worked out. */
export function useLearning(): LearningState {
  const repository = useRepository();
  const decisions = useDecisions(repository);
  const kit = useKit();
  const kept = useLiveQuery(async (): Promise<Kept | undefined> => {
    if (!repository) return undefined;
    const all = await repository.queries.together('shots', 'outings', 'log', 'clips', 'measured');
    return { ...all, clips: all.clips.map(withoutPictures) };
  }, [repository]);
  const asked = useAsked(kept, learnFrom);
  return useMemo(() => {
    if (!asked || !decisions || !kit || !kept) return null;
    if ('failed' in asked) return { failed: asked.failed };
    return {
      corrected: withDecided(asked.answer, decisions),
      decisions: new Map(decisions.map((one) => [one.id, one])),
      names: namesIn({ kit, shots: kept.shots }),
    };
  }, [asked, decisions, kit, kept]);
}

/** Less sure than this share of what was known before, nothing worth telling came back. */
const TOLD_FROM = 0.95;

/** What is worth telling, and what is in use though what it rests on is gone. */
function withDecided(
  corrected: readonly CorrectedFigure[],
  decisions: readonly LearnedRecord[],
): CorrectedFigure[] {
  const known = new Set(corrected.map(({ figure }) => figureId(figure)));
  const decided = new Set(decisions.map(({ id }) => id));
  return [
    ...corrected.filter(
      ({ figure, spread, spreadBefore }) =>
        decided.has(figureId(figure)) || spread < TOLD_FROM * spreadBefore,
    ),
    ...decisions
      .filter(({ id }) => !known.has(id))
      .map(({ learned }) => ({ ...learned, spreadBefore: learned.spread })),
  ];
}

/** Those of one thing. */
export function ofThing(learning: Learning, is: (figure: Figure) => boolean): Learning {
  return { ...learning, corrected: learning.corrected.filter(({ figure }) => is(figure)) };
}

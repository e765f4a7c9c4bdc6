'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { skillsOf } from '@/core/drill/next';
import type { Skill } from '@/core/drill/next';
import { withOwn } from '@/core/records/figures';
import type { Practised } from '@/core/records/practised';
import { ownZone, todayIn } from '@/formats/today';
import { useOwn } from '../../data/learned';
import { useOutings } from '../../data/outings';
import { useLog, useRepository, useShots } from '../../data/repository';

/** All there is to practise, with what is the person's own; undefined while it loads. */
export function useSkills(): Skill[] | undefined {
  const log = useLog();
  const outings = useOutings();
  const shots = useShots();
  const own = useOwn();
  return useMemo(() => {
    if (!log || !outings || !shots) return undefined;
    const records = new Map(shots.map((one) => [one.id, one]));
    return skillsOf(log, outings, records, todayIn(ownZone(), Date.now())).map((skill) =>
      skill.own ? { ...skill, own: { ...skill.own, shot: withOwn(skill.own.shot, own) } } : skill,
    );
  }, [log, outings, shots, own]);
}

/** Every drill that was answered; `null`: none yet, undefined while it loads. */
export function usePractised(): Practised | null | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () => (repository ? repository.queries.one('practised', 'mine') : undefined),
    [repository],
  );
}

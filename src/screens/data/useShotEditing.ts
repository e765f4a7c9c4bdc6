'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { FollowingOuting } from '@/store/repository';
import { useSame } from './useSame';
import { useRepository } from './repository';

export type ShotChange = (shot: Shot) => Shot;

/** Quick changes of one label in a row, such as typing or nudging, become one step of undo after this pause, milliseconds. */
const PAUSE = 450;

export interface ShotEditing {
  /** The shot as it stands with everything not yet written. */
  shot: Shot;
  /** Shows a change at once; it is written after a pause, or by `commit`. */
  preview: (label: string, change: ShotChange) => void;
  /** Writes at once: what was previewed, and the change given; one step where both have the same label. */
  commit: (label: string, change?: ShotChange) => void;
  /** The same, for fields: rejects when it was not written. */
  save: (label: string, change: ShotChange) => Promise<void>;
}

/** A change on its way to the database: shown until the record that holds it has come back. */
interface Written {
  change: ShotChange;
  landed: boolean;
}

/**
 * Live editing of one kept shot. What is written goes through undo; what is only previewed costs nothing. The shot
 * shown is the record with all changes that it does not hold yet, so a slow write never shows an older shot in between.
 * `following`: the outing whose day the shot is looked at in.
 */
export function useShotEditing(record: ShotRecord, following?: FollowingOuting): ShotEditing {
  const repository = useRepository();
  const [pending, setPending] = useState<readonly Written[]>([]);
  const waiting = useRef<{
    previewed: Written | null;
    label: string;
    timer: ReturnType<typeof setTimeout> | null;
  }>({ previewed: null, label: '', timer: null });
  // What comes back from the database is what was shown all along: it is not answered a second time.
  const kept = useSame(record.shot);
  const shot = useSame(
    useMemo(() => pending.reduce((before, { change }) => change(before), kept), [pending, kept]),
  );

  const follows = useRef(following);
  useEffect(() => {
    follows.current = following;
  }, [following]);
  const latest = useRef(record.updatedAt);
  useEffect(() => {
    latest.current = record.updatedAt;
    setPending((all) => (all.some(({ landed }) => landed) ? all.filter(({ landed }) => !landed) : all));
  }, [record]);

  const write = useCallback((): Promise<void> => {
    const { previewed, label, timer } = waiting.current;
    if (timer) clearTimeout(timer);
    waiting.current = { previewed: null, label: '', timer: null };
    if (!previewed || !repository) return Promise.resolve();
    const gone = (): void => setPending((all) => all.filter((each) => each !== previewed));
    // The store writes one after the other, each from what the one before has left.
    return repository.changeShot(record.id, label, previewed.change, follows.current).then(
      (updatedAt) => {
        if (updatedAt === null || updatedAt === latest.current) gone();
        else setPending((all) => all.map((each) => (each === previewed ? { ...each, landed: true } : each)));
      },
      (error: unknown) => {
        // What was not written is no longer shown as if it were.
        gone();
        throw error;
      },
    );
  }, [repository, record.id]);

  // Leaving the page or the shot loses nothing, and what is undone is what was shown last.
  useEffect(() => () => void write(), [write]);
  useEffect(() => repository?.history.before(write), [repository, write]);

  const add = useCallback(
    (label: string, change: ShotChange) => {
      // However late the pause is noticed, what another hand did before is a step of its own.
      if (waiting.current.label !== label) void write();
      const before = waiting.current.previewed;
      const both: Written = {
        change: before ? (given: Shot) => change(before.change(given)) : change,
        landed: false,
      };
      waiting.current.previewed = both;
      waiting.current.label = label;
      setPending((all) => [...all.filter((each) => each !== before), both]);
    },
    [write],
  );

  const preview = useCallback(
    (label: string, change: ShotChange) => {
      add(label, change);
      if (waiting.current.timer) clearTimeout(waiting.current.timer);
      waiting.current.timer = setTimeout(() => void write(), PAUSE);
    },
    [add, write],
  );
  const commit = useCallback(
    (label: string, change?: ShotChange) => {
      if (change) add(label, change);
      void write();
    },
    [add, write],
  );
  const save = useCallback(
    (label: string, change: ShotChange) => {
      add(label, change);
      return write();
    },
    [add, write],
  );
  return useMemo(() => ({ shot, preview, commit, save }), [shot, preview, commit, save]);
}

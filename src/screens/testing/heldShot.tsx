import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Solution } from '@/core/answer/solve';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { useAnswer } from '../data/useAnswer';
import type { Solved } from '../data/useAnswer';
import type { ShotEditing } from '../data/useShotEditing';

/** A shot that is kept in the page alone, and the names of what was done to it. */
export interface HeldShot {
  now: () => Shot;
  labels: string[];
  /** What is drawn of it, anew after each change. */
  Over: (props: { children: (open: ShotInPage) => ReactNode }) => ReactNode;
}

export interface ShotInPage {
  shot: Shot;
  editing: ShotEditing;
  brief: Brief;
  solved: Solved;
  /** Of a shot that has an answer. */
  solution: Solution;
}

/** Every change must leave a shot that could be written. */
export function holdShot(first: Shot): HeldShot {
  let shot = first;
  const labels: string[] = [];
  return {
    now: () => shot,
    labels,
    Over: function Over({ children }) {
      const [shown, setShown] = useState(shot);
      const change = (label: string, made?: (shot: Shot) => Shot): void => {
        labels.push(label);
        if (!made) return;
        const next = made(shot);
        const read = readShot(next);
        if (!read.ok) throw new Error(`${label}: ${JSON.stringify(read.faults)}`);
        shot = next;
        setShown(next);
      };
      const editing: ShotEditing = {
        shot: shown,
        preview: change,
        commit: change,
        save: (label, made) => {
          change(label, made);
          return Promise.resolve();
        },
      };
      const solved = useAnswer(shown);
      const { brief, solution } = solved;
      return children({
        shot: shown,
        editing,
        brief,
        solved,
        get solution() {
          if (!solution) throw new Error('no answer');
          return solution;
        },
      });
    },
  };
}

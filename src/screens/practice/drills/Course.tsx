'use client';

import * as messages from '@/language/practice/drills';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { Drill } from '@/core/drill/drill';
import type { Skill } from '@/core/drill/next';
import type { Tried } from '@/core/records/practised';
import { DRILL_LABEL } from '@/words/drillText';
import { nextDrillFor } from '@/workers/drills';
import type { DrillWish } from '@/workers/drills';
import { useOwn } from '../../data/learned';
import { useAsked } from '../../data/useAsked';
import { OneDrill } from './OneDrill';
import styles from './drills.module.css';

/** One drill after the other, until so many were answered. */
export function Course({
  skills,
  tried,
  most,
  onAnswered,
  onDone,
}: {
  skills: readonly Skill[];
  tried: readonly Tried[];
  most: number;
  onAnswered: (one: Omit<Tried, 'at'>) => Promise<void>;
  onDone: () => void;
}): ReactNode {
  const { mine } = useOwn();
  const wishNow = (number: number): { number: number; wish: DrillWish } => ({
    number,
    wish: { skills, tried, now: new Date().toISOString(), mine },
  });
  // What is asked next is asked once the one before is done with: what is kept meanwhile changes no drill that stands.
  const [{ number, wish }, setAt] = useState(() => wishNow(0));
  const asked = useAsked(wish, nextDrillFor);
  if (asked && 'failed' in asked) return <p role="alert">{messages.failed({ why: asked.failed })}</p>;
  const drill = asked?.of === wish ? asked.answer : undefined;
  if (drill === null) return <p role="status">{messages.none}</p>;
  const lastOne = number + 1 >= most;
  return (
    <section className={styles.course} aria-labelledby="drill-title">
      <div className={styles.head}>
        <h2 id="drill-title">
          {messages.of({
            at: number + 1,
            most,
            kind: drill ? DRILL_LABEL[drill.kind] : messages.working,
          })}
        </h2>
        <Button type="text" onClick={onDone}>
          {messages.stop}
        </Button>
      </div>
      {drill ? (
        <OneDrill
          key={number}
          drill={drill}
          next={lastOne ? messages.done : messages.next}
          ready={tried.at(-1)?.at !== wish.tried.at(-1)?.at}
          onAnswer={(choice, seconds) => void onAnswered(answered(drill, choice, seconds))}
          onNext={() => {
            if (lastOne) onDone();
            else setAt(wishNow(number + 1));
          }}
        />
      ) : (
        <p role="status" className="quiet">
          {messages.working}
        </p>
      )}
    </section>
  );
}

function answered(
  { kind, from, id }: Drill,
  { loss, offStops }: Drill['choices'][number],
  seconds: number,
): Omit<Tried, 'at'> {
  return { kind, from, ...(id === null ? {} : { id }), loss, offStops, seconds };
}

import * as messages from '@/language/bench/choice';
import type { ReactNode } from 'react';
import { soundAdvice } from '@/core/answer/soundAdvice';
import type { Solution } from '@/core/answer/solve';
import { soundText } from '@/words/soundText';
import { WhyLink } from '../../../ui/WhyLink';
import styles from '../../bench.module.css';

/** What to do about the sound, where somebody is to be heard. */
export function SoundToDo({ solution }: { solution: Solution }): ReactNode {
  const advice = soundAdvice(solution.space.brief);
  if (advice.length === 0) return null;
  return (
    <section aria-labelledby="sound-title" className={styles.findings}>
      <h2 id="sound-title">{messages.sound}</h2>
      <p>
        {messages.speechWanted} <WhyLink page="sound" />
      </p>
      <ul>
        {advice.map((one) => (
          <li key={one.code}>{soundText(one)}</li>
        ))}
      </ul>
    </section>
  );
}

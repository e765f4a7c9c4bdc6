import type { ReactNode } from 'react';
import styles from '../../bench.module.css';
import type { PanelProps } from '../panelProps';
import { Alternatives, HoldsPanel, Reasons, Warnings } from './Findings';
import { FromKitPanel } from './FromKitPanel';
import { Schools } from './Schools';
import { WhichCamera } from './WhichCamera';
import { SoundToDo } from './SoundToDo';
import { Words } from './Words';

/** The choice: every school's answer side by side, what to mind, how long it holds, and why. */
export function ChoicePanel({
  answered: { solution, answer },
  editing,
  whole,
}: Pick<PanelProps, 'answered' | 'editing' | 'whole'>): ReactNode {
  return (
    <div className={styles.columns}>
      <Schools solution={solution} editing={editing} />
      <div className={styles.side}>
        {answer && <Warnings answer={answer} />}
        <WhichCamera solution={solution} whole={whole.shot} editing={editing} />
        <FromKitPanel solution={solution} editing={editing} />
        <HoldsPanel solution={solution} />
        <Alternatives solution={solution} editing={editing} />
        {answer && <Reasons answer={answer} />}
        <SoundToDo solution={solution} />
        <Words solution={solution} />
      </div>
    </div>
  );
}

'use client';

import * as messages from '@/language/shell';
import { Modal } from 'antd';
import type { ReactNode } from 'react';
import { PLACES_BY_KEY } from '../routes';
import { useOverlay } from './actions';
import styles from './shell.module.css';

const KEYS: readonly (readonly [keys: string, what: string])[] = [
  [messages.ctrlCmdK, messages.goAnywhere],
  ['N', messages.newShot],
  ['D', messages.duplicateTheOpenShot],
  [[...PLACES_BY_KEY.keys()].join(' '), [...PLACES_BY_KEY.values()].map(({ label }) => label).join(', ')],
  ['← →', messages.moveABlockOfThe],
  [messages.tab, messages.walkWordsTilesAndHandles],
  ['↑ ↓ ← →', messages.nudgeANumberATile],
  ['↑ ↓ ← →', messages.walkTheModeMapAnd],
  [messages.shift, messages.byAWholeStopOr],
  [messages.space, messages.pinTheTileOrLet],
  [messages.enter, messages.openTheWordOrThe],
  [messages.deleteWord, messages.giveAWordBackTo],
  ['P', messages.printTheCardOnCarry],
  ['R', messages.recordedOnCarry],
  ['A B C', messages.betterOnPractice],
  [messages.ctrlCmdZShiftCtrl, messages.undoDoAgain],
  [messages.ctrlCmdCV, messages.copyTheOpenShotPaste],
  ['?', messages.theseKeys],
];

export function KeysDialog(): ReactNode {
  return (
    <Modal open title={messages.keys} onCancel={() => useOverlay.setState({ keys: false })} footer={null}>
      <dl className={styles.keys}>
        {KEYS.map(([keys, what]) => (
          <div key={keys}>
            <dt>{keys}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}

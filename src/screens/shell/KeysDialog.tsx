'use client';

import { Modal } from 'antd';
import type { ReactNode } from 'react';
import { useOverlay } from './actions';
import styles from './shell.module.css';

const KEYS: readonly (readonly [keys: string, what: string])[] = [
  ['Ctrl/Cmd + K', 'go anywhere'],
  ['N', 'new shot'],
  ['D', 'duplicate the open shot'],
  ['1 2 3 4 5 6', 'Start, Bench, Outing, Carry, Log, Kit'],
  ['← →', 'move a block of the ribbon by five minutes, with Shift by half an hour'],
  ['Tab', 'walk words, tiles and handles'],
  ['↑ ↓ ← →', 'nudge a number, a tile or a handle by one step'],
  ['↑ ↓ ← →', 'walk the mode map and the parts of the Bench'],
  ['Shift + ↑ ↓', 'by a whole stop or a big step'],
  ['Space', 'pin the tile, or let it go'],
  ['Enter', 'open the word or the tile'],
  ['Delete', 'give a word back to its usual value'],
  ['P', 'print the card (on Carry)'],
  ['R', 'recorded (on Carry)'],
  ['Ctrl/Cmd + Z, Shift + Ctrl/Cmd + Z', 'undo, do again'],
  ['Ctrl/Cmd + C, V', 'copy the open shot, paste one'],
  ['?', 'these keys'],
];

export function KeysDialog(): ReactNode {
  return (
    <Modal open title="Keys" onCancel={() => useOverlay.setState({ keys: false })} footer={null}>
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

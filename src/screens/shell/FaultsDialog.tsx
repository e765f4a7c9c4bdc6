'use client';

import { Button, Modal } from 'antd';
import type { ReactNode } from 'react';
import { faultLine } from '@/core/plan/faults';
import type { Fault } from '@/core/plan/faults';
import { useOverlay } from './deeds';
import styles from './shell.module.css';

/** Why a file was not taken: every fault with its place. */
export function FaultsDialog({ name, faults }: { name: string; faults: readonly Fault[] }): ReactNode {
  const close = (): void => useOverlay.setState({ faults: null });
  return (
    <Modal
      open
      title={`Nothing was taken from ${name}`}
      onCancel={close}
      footer={
        <Button type="primary" onClick={close}>
          Close
        </Button>
      }
    >
      <p>These places need mending first; your data is as it was.</p>
      <ul className={styles.faults}>
        {faults.map((fault, index) => (
          <li key={index}>{faultLine(fault)}</li>
        ))}
      </ul>
    </Modal>
  );
}

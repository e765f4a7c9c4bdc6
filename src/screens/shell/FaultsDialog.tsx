'use client';

import { Button, Modal } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useRepository } from '../data/repository';
import { FaultList } from '../ui/FaultList';
import { useToast } from '../ui/toast';
import { useIncomingState } from '../files/incomingState';
import type { NotTaken } from '../files/incomingState';
import { keep } from '../files/importFiles';

/** Names told of what a file holds that is not sound. */
const NAMES_TOLD = 12;

/** Why a file was not taken: every fault with its place; and what of it is sound, to be taken without the rest. */
export function FaultsDialog({ one }: { one: NotTaken }): ReactNode {
  const repository = useRepository();
  const toast = useToast();
  const [busy, setBusy] = useState(false);
  const { name, faults, sound, faulty } = one;
  const close = (): void =>
    useIncomingState.setState(({ notTaken }) => ({ notTaken: notTaken.filter((other) => other !== one) }));
  const takeSound = (): void => {
    if (!repository || !sound) return;
    setBusy(true);
    const left = faulty.slice(0, NAMES_TOLD).map((record) => `"${record}"`);
    const more = faulty.length - left.length;
    const leftBehind = `${left.join(', ')}${more > 0 ? ` and ${more} more` : ''}.`;
    void keep(repository, name, sound, [leftBehind], toast).then(close);
  };
  return (
    <Modal
      open
      title={`Nothing was taken from ${name}`}
      onCancel={close}
      footer={[
        ...(sound
          ? [
              <Button key="sound" loading={busy} onClick={takeSound}>
                Take the rest without{' '}
                {faulty.length === 1 ? `"${faulty[0] ?? ''}"` : `those ${faulty.length}`}
              </Button>,
            ]
          : []),
        <Button key="close" type="primary" onClick={close}>
          Close
        </Button>,
      ]}
    >
      <p>These places need mending first; your data is as it was.</p>
      <FaultList faults={faults} />
    </Modal>
  );
}

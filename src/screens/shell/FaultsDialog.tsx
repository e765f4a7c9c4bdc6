'use client';

import * as messages from '@/language/shell';
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
  const { name, by, faults, sound, faulty } = one;
  const close = (): void =>
    useIncomingState.setState(({ notTaken }) => ({ notTaken: notTaken.filter((other) => other !== one) }));
  const takeSound = (): void => {
    if (!repository || !sound) return;
    setBusy(true);
    const left = faulty.slice(0, NAMES_TOLD).map((record) => `"${record}"`);
    const more = faulty.length - left.length;
    const leftBehind = `${left.join(', ')}${more > 0 ? messages.andMore({ more }) : ''}.`;
    void keep(repository, { name, by, taking: sound, leftBehind: [leftBehind] }, toast).then(close);
  };
  return (
    <Modal
      open
      title={messages.nothingWasTakenFrom({ name })}
      onCancel={close}
      footer={[
        ...(sound
          ? [
              <Button key="sound" loading={busy} onClick={takeSound}>
                {messages.takeTheRestWithout({ count: faulty.length, value: faulty[0] ?? '' })}
              </Button>,
            ]
          : []),
        <Button key="close" type="primary" onClick={close}>
          {messages.close}
        </Button>,
      ]}
    >
      <p>{messages.thesePlacesNeedMendingFirst}</p>
      <FaultList faults={faults} />
    </Modal>
  );
}

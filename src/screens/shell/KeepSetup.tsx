'use client';

import * as messages from '@/language/shell';
import { Input, Modal } from 'antd';
import Link from 'next/link';
import { useId, useState } from 'react';
import type { ReactNode } from 'react';
import { LONGEST_SETUP_NAME } from '@/core/records/names';
import { kitCameras, freeSlot, setupsOf, withSetup } from '@/core/records/slots';
import type { KitCamera } from '@/core/records/slots';
import { useKit } from '../data/kit';
import { useKeeping } from '../data/keeping';
import type { Keepable } from '../data/keeping';
import { useRepository } from '../data/repository';
import { writeFaultText } from '../data/writeFault';
import { ChoiceField } from '../ui/Fields';
import { useToast } from '../ui/toast';
import styles from './shell.module.css';

/** Asks for the name of a set-up, and for the camera and the slot that hold it. */
export function KeepSetup({ kept }: { kept: Keepable }): ReactNode {
  const kit = useKit();
  const close = (): void => useKeeping.setState({ kept: null });
  if (!kit) return null;
  const cameras = kitCameras(kit);
  // The camera itself before one of its kind.
  const first = cameras.find(({ thing }) => thing.profile.id === kept.profile.id) ?? cameras[0];
  if (!first)
    return (
      <Modal open title={messages.keepAsSetUp} onCancel={close} footer={null}>
        <p>
          {messages.setUpsAreKeptWith} <Link href="/kit">{messages.addItInTheKit}</Link>
        </p>
      </Modal>
    );
  return <Asked kept={kept} cameras={cameras} first={first} close={close} />;
}

function Asked({
  kept,
  cameras,
  first,
  close,
}: {
  kept: Keepable;
  cameras: readonly KitCamera[];
  first: KitCamera;
  close: () => void;
}): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const nameId = useId();
  const [camera, setCamera] = useState(first);
  const [slot, setSlot] = useState(freeSlot(first.thing));
  const [name, setName] = useState(kept.name.slice(0, LONGEST_SETUP_NAME));
  const { profile } = camera.thing;
  const setups = setupsOf(camera.thing);
  const chosen = name.trim();
  const keep = (): void => {
    if (slot === null || chosen === '') return;
    const { settings, intervalSeconds } = kept;
    repository
      ?.changeKit(camera.id, messages.keepASetUp, (item) => ({
        ...item,
        thing: withSetup(item.thing, {
          slot,
          name: chosen,
          settings,
          ...(intervalSeconds === null ? {} : { intervalSeconds }),
        }),
      }))
      .then(() => {
        say(messages.keptAsSetUp({ slot, name: chosen, camera: profile.name }));
        close();
      })
      .catch((error: unknown) => complain(writeFaultText(error)));
  };
  return (
    <Modal
      open
      title={messages.keepAsSetUp}
      okText={messages.keepIt}
      cancelText={messages.leaveIt}
      okButtonProps={{ disabled: slot === null || chosen === '' }}
      onCancel={close}
      onOk={keep}
    >
      <div className={styles.keeping}>
        <ChoiceField
          label={messages.camera}
          value={camera.id}
          options={cameras.map(({ id, thing }) => ({ value: id, label: thing.profile.name }))}
          onCommit={(id) => {
            const other = cameras.find((one) => one.id === id) ?? first;
            setCamera(other);
            setSlot(freeSlot(other.thing));
          }}
        />
        {slot === null ? (
          <p role="status">{messages.storesNoSetUps({ camera: profile.name })}</p>
        ) : (
          <ChoiceField
            label={messages.slot}
            value={String(slot)}
            options={Array.from({ length: profile.presetSlots }, (_, at) => {
              const held = setups.find((setup) => setup.slot === at + 1);
              return {
                value: String(at + 1),
                label: held
                  ? messages.slotReplaces({ slot: at + 1, name: held.name })
                  : messages.slotEmpty({ slot: at + 1 }),
              };
            })}
            onCommit={(value) => setSlot(Number(value))}
          />
        )}
        <div>
          <label htmlFor={nameId}>{messages.nameOnTheCamera}</label>
          <Input
            id={nameId}
            value={name}
            maxLength={LONGEST_SETUP_NAME}
            onChange={(event) => setName(event.target.value)}
            onPressEnter={keep}
          />
        </div>
      </div>
    </Modal>
  );
}

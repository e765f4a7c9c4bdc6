import * as messages from '@/language/bench/cameras';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { briefOf } from '@/core/brief/brief';
import { cameraCount, addCamera, shotOfPart } from '@/core/records/secondAngles';
import type { SecondAngle, Shot } from '@/core/records/shot';
import { MOUNT_KINDS, MOUNTS } from '@/core/vocabulary/mounts';
import type { MountKind } from '@/core/vocabulary/mounts';
import { ARCHETYPE_LABEL } from '@/words/archetypeText';
import { MOUNT_LABEL } from '@/words/labels';
import { capital } from '@/words/sentences';
import { useOwnThings } from '../../../data/kit';
import type { OwnThings } from '../../../data/kit';
import type { ShotEditing } from '../../../data/useShotEditing';
import { ChoiceField } from '../../../ui/Fields';
import { options } from '../../brief/wordControls';
import styles from './cameras.module.css';

/** A further camera on the shot: which of the kit, and where it rides. */
export function AddCamera({ whole }: { whole: ShotEditing }): ReactNode {
  const { shot } = whole;
  const own = useOwnThings();
  const [cameraId, setCameraId] = useState<string | null>(null);
  const [kind, setKind] = useState<MountKind | null>(null);
  const offered = [
    ...own.cameras.map(({ id, name }) => ({ value: id, label: name })),
    ...options(ARCHETYPE_IDS, ARCHETYPE_LABEL),
  ];
  const here = Array.from({ length: cameraCount(shot) }, (_, at) => briefOf(shotOfPart(shot, at)).brief);
  const used = new Set(here.map(({ camera }) => camera.id));
  // One that is not on this shot yet; of the kit before what anybody might have.
  const next = offered.find(({ value }) => !used.has(value)) ?? offered[0];
  const chosen = cameraId ?? next?.value ?? 'mini';
  const where = kind ?? freeMount(here.map(({ mount }) => mount.kind));
  const add = (): void => {
    whole.commit(messages.addACamera, (one) => addCamera(one, angleOf(one, own, chosen, where)));
    setCameraId(null);
    setKind(null);
  };
  return (
    <div className={styles.add}>
      <ChoiceField label={messages.camera} value={chosen} options={offered} onCommit={setCameraId} />
      <ChoiceField
        label={messages.where}
        value={where}
        options={options(MOUNT_KINDS, MOUNT_LABEL)}
        onCommit={setKind}
      />
      <Button onClick={add}>{messages.addACameraTitle}</Button>
    </div>
  );
}

/** Where none of these rides yet: first where else the main camera's is usually worn. */
function freeMount(taken: readonly MountKind[]): MountKind {
  const usual = [...MOUNTS[taken[0] ?? 'helmet'].others, 'helmet', 'chest', 'tripod', 'pole'] as const;
  return usual.find((kind) => !taken.includes(kind)) ?? 'hand';
}

/** Named by where it rides, in what the shot does, out of the same bag. */
function angleOf({ mount, filters }: Shot, own: OwnThings, cameraId: string, kind: MountKind): SecondAngle {
  const profile = own.cameras.find(({ id }) => id === cameraId);
  const archetype = ARCHETYPE_IDS.find((id) => id === cameraId) ?? 'mini';
  const { activity, ground } = mount ?? {};
  return {
    name: capital(MOUNT_LABEL[kind]),
    camera: profile ? { profile } : { archetype },
    mount: {
      kind,
      ...(activity === undefined ? {} : { activity }),
      ...(ground === undefined ? {} : { ground }),
    },
    ...(filters ? { filters } : {}),
  };
}

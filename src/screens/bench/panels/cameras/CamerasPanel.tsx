'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { matchSheetOf } from '@/core/together/matchSheet';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { without } from '@/core/units/without';
import { addAngle, angleCount, partName, removeAngle, shotOfAngle } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { solve } from '@/core/answer/solve';
import { solveJointly } from '@/core/together/joint';
import { tenths } from '@/core/units/format';
import { CARD_KEYS } from '@/words/card';
import { MOUNT_LABEL } from '@/words/labels';
import { ALIGN_LINES, matchText } from '@/words/matchText';
import { Empty } from '../../../ui/Empty';
import { TextField } from '../../../ui/Fields';
import { placeUrl } from '../../../routes';
import { SettingStrip } from '../../../ui/SettingStrip';
import { useToast } from '../../../ui/toast';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './cameras.module.css';

/** Every camera on this shot, solved each for itself; what must be equal to cut them together; and the joint answer. */
export function CamerasPanel({ id, whole }: { id: string; whole: ShotEditing }): ReactNode {
  const { shot } = whole;
  const { say, complain } = useToast();
  const cameras = useMemo(() => camerasOf(shot), [shot]);
  const settings = cameras.flatMap(({ outcome }) => (outcome.solved ? [outcome.solution.settings] : []));
  const complete = settings.length === cameras.length;
  const sheet = complete && cameras[0] ? matchSheetOf(settings, cameras[0].brief.playback) : [];
  const together = sheet.every(({ same }) => same);
  const add = (): void =>
    whole.commit('add a camera', (one) =>
      addAngle(one, {
        name: 'Second camera',
        camera: { archetype: 'mini' },
        mount: { kind: 'chest', ...(one.mount?.activity ? { activity: one.mount.activity } : {}) },
      }),
    );
  const held = cameras.some(({ brief }) => SHARED.some((key) => brief.pins[key] !== undefined));
  const join = (letGo: boolean): void => {
    const joint = solveJointly(cameras.map(({ brief }) => (letGo ? withoutShared(brief) : brief)));
    if (!joint.solved) {
      complain(
        joint.alone === null
          ? 'No shared frame-rate family, shutter and colour keeps every pin. Let a pin go and try again.'
          : `${partName(shot, joint.alone)} has no answer by itself: mend it first.`,
      );
      return;
    }
    const { cameras: matched, cost } = joint.joint;
    whole.commit('solve the cameras together', (one) => ({
      ...one,
      pins: matched[0]?.pins ?? {},
      ...(one.secondAngles
        ? {
            secondAngles: one.secondAngles.map((angle, at) => ({
              ...angle,
              pins: matched[at + 1]?.pins ?? {},
            })),
          }
        : {}),
    }));
    say(`Matched. It costs ${tenths(cost)} loss over each camera by itself.`);
  };
  return (
    <section aria-labelledby="cameras-title" className={styles.panel}>
      <h2 id="cameras-title">Cameras on this shot</h2>
      <ul>
        {cameras.map(({ brief, outcome }, index) => (
          <li key={index} className={styles.camera}>
            <div className={styles.head}>
              {index === 0 ? (
                <strong>Main</strong>
              ) : (
                <TextField
                  label={`Name of camera ${index + 1}`}
                  value={partName(shot, index)}
                  maxLength={120}
                  onCommit={(name) =>
                    whole.commit('rename a camera', (one) => ({
                      ...one,
                      secondAngles: (one.secondAngles ?? []).map((angle, at) =>
                        at === index - 1 ? { ...angle, name } : angle,
                      ),
                    }))
                  }
                />
              )}
              <span>
                {brief.camera.name}, {MOUNT_LABEL[brief.mount.kind]}
                {outcome.solved && (
                  <span className="numerals quiet"> · loss {tenths(outcome.solution.score)}</span>
                )}
              </span>
              <span className={styles.actions}>
                <Link href={placeUrl('/bench', id, index)}>Set on the Bench</Link>
                {index > 0 && (
                  <Button
                    type="text"
                    danger
                    onClick={() => whole.commit('remove a camera', (one) => removeAngle(one, index))}
                    aria-label={`Remove ${partName(shot, index)}`}
                  >
                    Remove
                  </Button>
                )}
              </span>
            </div>
            {outcome.solved ? (
              <SettingStrip keys={CARD_KEYS} settings={outcome.solution.settings} kit={brief.filters} />
            ) : (
              <p role="alert">No answer with these pins.</p>
            )}
          </li>
        ))}
      </ul>
      <Button onClick={add} disabled={angleCount(shot) >= 4}>
        Add a camera
      </Button>
      <h2>Match sheet</h2>
      {cameras.length < 2 ? (
        <Empty
          title="One camera"
          text="Add a second one, and here stands what must be equal to cut them together."
        />
      ) : (
        <>
          <table className={styles.sheet}>
            <thead>
              <tr>
                <th scope="col">To cut together</th>
                {cameras.map((_, index) => (
                  <th key={index} scope="col">
                    {partName(shot, index)}
                  </th>
                ))}
                <th scope="col">So</th>
              </tr>
            </thead>
            <tbody>
              {sheet.map((item) => {
                const { name, values, so } = matchText(item);
                return (
                  <tr key={item.what} data-same={item.same}>
                    <th scope="row">{name}</th>
                    {values.map((value, index) => (
                      <td key={index} className="numerals" data-camera={partName(shot, index)}>
                        {value}
                      </td>
                    ))}
                    <td>{so}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p>
            <Button type="primary" onClick={() => join(false)} disabled={!complete || together}>
              {together ? 'They cut together' : 'Solve together'}
            </Button>{' '}
            {held && !together && (
              <Button onClick={() => join(true)}>Solve together, letting your pins on these go</Button>
            )}{' '}
            <span className="quiet">
              Pins one family, shutter, white balance and colour on all; undo takes it back.
            </span>
          </p>
          <ul className={styles.align}>
            {ALIGN_LINES.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What cameras must share: pins on these can stand in the way of matching. */
const SHARED = [
  'frameRate',
  'shutterSeconds',
  'shutterAngleDeg',
  'shutterMode',
  'shutterFloorSeconds',
  'whiteBalance',
  'colour',
  'exposureOffsetStops',
] as const;

function withoutShared(brief: Brief): Brief {
  return { ...brief, pins: SHARED.reduce<Brief['pins']>((pins, key) => without(pins, key), brief.pins) };
}

function camerasOf(shot: Shot) {
  return Array.from({ length: angleCount(shot) }, (_, index) => {
    const { brief } = briefOf(shotOfAngle(shot, index));
    return { brief, outcome: solve(brief) };
  });
}

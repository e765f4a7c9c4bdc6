'use client';

import * as messages from '@/language/bench/cameras';
import { Button } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { matchSheetOf } from '@/core/together/matchSheet';
import type { Brief } from '@/core/brief/brief';
import { omit } from '@/core/units/omit';
import { isTimeLapse } from '@/core/records/filmedAs';
import { cameraCount, MOST_CAMERAS, removeCamera } from '@/core/records/secondAngles';
import { solveJointly } from '@/core/together/joint';
import { tenths } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { MOUNT_LABEL } from '@/words/labels';
import { alignLines } from '@/words/matchText';
import { partName } from '@/words/shotName';
import { Empty } from '../../../ui/Empty';
import { TextField } from '../../../ui/Fields';
import { placeUrl } from '../../../routes';
import { SettingStrip } from '../../../ui/SettingStrip';
import { useCarriedParts } from '../../../data/useCarriedParts';
import type { CarriedPart } from '../../../data/useCarriedParts';
import { useToast } from '../../../ui/toast';
import type { ShotEditing } from '../../../data/useShotEditing';
import { MatchTable } from '../match/MatchTable';
import { AddCamera } from './AddCamera';
import styles from './cameras.module.css';

/** Every camera on this shot, solved each for itself; what must be equal to cut them together; and the joint answer. */
export function CamerasPanel({ id, whole }: { id: string; whole: ShotEditing }): ReactNode {
  const { shot } = whole;
  const { say, complain } = useToast();
  const cameras = useCarriedParts(
    shot,
    Array.from({ length: cameraCount(shot) }, (_, at) => at),
  );
  const settings = cameras.flatMap(({ outcome }) => (outcome.solved ? [outcome.solution.settings] : []));
  const complete = settings.length === cameras.length;
  const sheet = complete && cameras[0] ? matchSheetOf(settings, cameras[0].brief.playback) : [];
  const together = sheet.every(({ same }) => same);
  const held = cameras.some(({ brief }) => SHARED.some((key) => brief.pins[key] !== undefined));
  const join = (letGo: boolean): void => {
    const joint = solveJointly(cameras.map(({ brief }) => (letGo ? withoutShared(brief) : brief)));
    if (!joint.solved) {
      complain(
        joint.alone === null
          ? messages.noSharedFrameRateFamily
          : messages.hasNoAnswerByItself({ shot: partName(shot, joint.alone) }),
      );
      return;
    }
    const { cameras: matched, cost } = joint.joint;
    whole.commit(messages.solveTheCamerasTogether, (one) => ({
      ...one,
      pins: matched[0]?.pins ?? {},
      ...(one.secondAngles
        ? {
            secondAngles: one.secondAngles.map((second, at) => ({
              ...second,
              pins: matched[at + 1]?.pins ?? {},
            })),
          }
        : {}),
    }));
    say(messages.matchedItCostsLossOver({ cost: tenths(cost) }));
  };
  return (
    <section aria-labelledby="cameras-title" className={styles.panel}>
      <h2 id="cameras-title">{messages.camerasOnThisShot}</h2>
      <ul>
        {cameras.map(({ brief, outcome }, index) => (
          <CameraRow key={index} id={id} whole={whole} index={index} brief={brief} outcome={outcome} />
        ))}
      </ul>
      {cameraCount(shot) < MOST_CAMERAS ? (
        <AddCamera whole={whole} />
      ) : (
        <p className="quiet">{messages.mostCameras}</p>
      )}
      <h2>{messages.matchSheet}</h2>
      {cameras.length < 2 ? (
        <Empty title={messages.oneCamera} text={messages.addASecondOneAnd} />
      ) : (
        <>
          {complete && cameras[0] && (
            <MatchTable
              cameras={cameras.flatMap(({ brief, outcome }, index) =>
                outcome.solved
                  ? [{ name: partName(shot, index), settings: outcome.solution.settings, kit: brief.filters }]
                  : [],
              )}
              playback={cameras[0].brief.playback}
              caption={messages.matchSheet}
            />
          )}
          <p>
            <Button type="primary" onClick={() => join(false)} disabled={!complete || together}>
              {together ? messages.theyCutTogether : messages.solveTogether}
            </Button>{' '}
            {held && !together && (
              <Button onClick={() => join(true)}>{messages.solveTogetherLettingYourPins}</Button>
            )}{' '}
            <span className="quiet">{messages.pinsOneFamilyShutterWhite}</span>
          </p>
          <ul className={styles.align}>
            {alignLines(isTimeLapse(shot)).map((line) => (
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
  return { ...brief, pins: SHARED.reduce<Brief['pins']>((pins, key) => omit(pins, key), brief.pins) };
}

/** One camera of the shot: what it is called, what it is set to, and the way to its Bench. */
function CameraRow({
  id,
  whole,
  index,
  brief,
  outcome,
}: {
  id: string;
  whole: ShotEditing;
  index: number;
} & CarriedPart): ReactNode {
  const { shot } = whole;
  return (
    <li className={styles.camera}>
      <div className={styles.head}>
        {index === 0 ? (
          <strong>{partName(shot, index)}</strong>
        ) : (
          <TextField
            label={messages.nameOfCamera({ index: index + 1 })}
            value={partName(shot, index)}
            maxLength={120}
            onCommit={(name) =>
              whole.commit(messages.renameACamera, (one) => ({
                ...one,
                secondAngles: (one.secondAngles ?? []).map((second, at) =>
                  at === index - 1 ? { ...second, name } : second,
                ),
              }))
            }
          />
        )}
        <span>
          {brief.camera.name}, {MOUNT_LABEL[brief.mount.kind]}
          {outcome.solved && (
            <span className="numerals quiet">{messages.loss({ score: tenths(outcome.solution.score) })}</span>
          )}
        </span>
        <span className={styles.actions}>
          <Link href={placeUrl('/bench', id, index)}>{messages.setOnTheBench}</Link>
          {index > 0 && (
            <Button
              type="text"
              danger
              onClick={() => whole.commit(messages.removeACamera, (one) => removeCamera(one, index))}
              aria-label={messages.removeShot({ shot: partName(shot, index) })}
            >
              {messages.remove}
            </Button>
          )}
        </span>
      </div>
      {outcome.solved ? (
        <SettingStrip keys={CARD_KEYS} settings={outcome.solution.settings} kit={brief.filters} />
      ) : (
        <p role="alert">{messages.noAnswerWithThesePins}</p>
      )}
    </li>
  );
}

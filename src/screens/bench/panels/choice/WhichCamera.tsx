'use client';

import * as messages from '@/language/bench/choice';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { whichCamera } from '@/core/compare/whichCamera';
import type { OnCamera } from '@/core/compare/whichCamera';
import { cameraCount, shotOfPart } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { tenths } from '@/core/units/format';
import { changes } from '@/words/changesText';
import { settingText } from '@/words/settingText';
import { useOwnThings } from '../../../data/kit';
import { usePreference } from '../../../data/repository';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../../bench.module.css';

const SHORT = [
  'frameRate',
  'shutterSeconds',
  'filter',
  'iso',
  'resolution',
  'view',
  'stabilization',
] as const;

/** The cameras of the kit side by side on this shot, each solved; one press takes another. */
export function WhichCamera({
  solution,
  whole,
  editing,
}: {
  solution: Solution;
  /** With all its cameras: what films beside this one is not free. */
  whole: Shot;
  editing: ShotEditing;
}): ReactNode {
  const { cameras } = useOwnThings();
  const [notation] = usePreference('filterNotation');
  const rows = useMemo(() => {
    const busy = camerasIn(whole);
    return whichCamera(
      solution,
      cameras.filter(({ id }) => !busy.includes(id)),
    );
  }, [solution, cameras, whole]);
  if (rows.length < 2) return null;
  const { filters } = solution.space.brief;
  const take = ({ camera, withoutPins }: OnCamera): void =>
    editing.commit(messages.takeAnotherCamera, (shot) => {
      const other: Shot = { ...shot, camera: { profile: camera } };
      return withoutPins ? omit(other, 'pins') : other;
    });
  return (
    <section aria-labelledby="which-title" className={styles.findings}>
      <h2 id="which-title">{messages.whichCamera}</h2>
      <ul>
        {rows.map((row) => (
          <li key={row.camera.id} className={styles.alternative} data-chosen={row.chosen}>
            <span>
              <b>{row.camera.name}</b>{' '}
              <span className="numerals">{messages.lossOf({ score: tenths(row.score) })}</span>{' '}
              {row.chosen ? messages.plannedWithIt : decides(row)}.
              <br />
              <span className="quiet numerals">
                {SHORT.map((key) => settingText(key, row.settings, filters, notation)).join(' · ')}
              </span>
            </span>
            {!row.chosen && (
              <Button onClick={() => take(row)} aria-label={messages.takeCamera({ name: row.camera.name })}>
                {messages.take}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The cameras of a shot by id. */
function camerasIn(shot: Shot): (string | undefined)[] {
  return Array.from({ length: cameraCount(shot) }, (_, index) => {
    const { camera } = shotOfPart(shot, index);
    return camera && ('profile' in camera ? camera.profile.id : camera.archetype);
  });
}

function decides({ gains, costs, withoutPins }: OnCamera): string {
  const said = [
    gains.length > 0 ? messages.lessOf({ gains: changes(gains) }) : '',
    costs.length > 0 ? messages.moreOf({ costs: changes(costs) }) : '',
    withoutPins ? messages.withoutItsPins : '',
  ].filter(Boolean);
  return said.length === 0 ? messages.theSame : said.join('; ');
}

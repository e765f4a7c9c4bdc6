'use client';

import * as messages from '@/language/bench/light';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { isTimeLapse } from '@/core/records/filmedAs';
import type { ShotEditing } from '../../../data/useShotEditing';
import { BySun } from './BySun';
import { CloudHours } from './CloudHours';
import styles from './light.module.css';
import { PlaceAndTime } from './PlaceAndTime';
import { Ribbon } from './Ribbon';
import { SecondRow } from './SecondRow';
import { SkyAround } from './SkyAround';

/** The light of the shot over its day. */
export function LightPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { light } = solution.space.brief;
  const sun = light.kind === 'sun' ? light : null;
  return (
    <div className={styles.panel}>
      {sun ? (
        <>
          <PlaceAndTime light={sun} editing={editing} />
          <section aria-labelledby="ribbon-title" className={styles.section}>
            <h2 id="ribbon-title">{messages.theDaysLight}</h2>
            <Ribbon light={sun} solution={solution} editing={editing} />
            <p className={styles.small}>{messages.darkBandTheLightThe}</p>
          </section>
        </>
      ) : (
        <BySun light={light} editing={editing} />
      )}
      {sun && <SkyAround light={sun} solution={solution} editing={editing} />}
      {sun && <CloudHours light={sun} editing={editing} />}
      {!isTimeLapse(editing.shot) && <SecondRow solution={solution} />}
    </div>
  );
}

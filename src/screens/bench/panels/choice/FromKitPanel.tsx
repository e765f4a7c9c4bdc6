'use client';

import * as messages from '@/language/bench/choice';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { fromKit } from '@/core/compare/fromKit';
import type { FromKit } from '@/core/compare/fromKit';
import { cameraCount, shotOfPart } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { fromKitText, kitThingName } from '@/words/kitRemedyText';
import { useOwnThings } from '../../../data/kit';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../../bench.module.css';

/** The cameras of a shot by id. */
function camerasIn(shot: Shot): (string | undefined)[] {
  return Array.from({ length: cameraCount(shot) }, (_, index) => {
    const { camera } = shotOfPart(shot, index);
    return camera && ('profile' in camera ? camera.profile.id : camera.archetype);
  });
}

/** Where this camera and bag leave a stop or a caution: what of the kit would not. */
export function FromKitPanel({
  solution,
  whole,
  editing,
}: {
  solution: Solution;
  /** With all its cameras: what films beside this one is not free. */
  whole: Shot;
  editing: ShotEditing;
}): ReactNode {
  const own = useOwnThings();
  const better = useMemo(() => {
    const busy = camerasIn(whole);
    return fromKit(solution, { ...own, cameras: own.cameras.filter(({ id }) => !busy.includes(id)) });
  }, [solution, own, whole]);
  if (better.length === 0) return null;
  const take = ({ thing }: FromKit): void => {
    if (thing.what === 'camera')
      editing.commit(messages.takeAnotherCamera, (shot) => ({ ...shot, camera: { profile: thing.camera } }));
    else
      editing.commit(messages.takeAnotherFilterAlong, (shot) => ({
        ...shot,
        filters: [...solution.space.brief.filters, thing.filter],
      }));
  };
  return (
    <section aria-labelledby="from-kit-title" className={styles.findings}>
      <h2 id="from-kit-title">{messages.fromYourKit}</h2>
      <ul>
        {better.map((remedy) => {
          const name = kitThingName(remedy);
          return (
            <li key={`${remedy.thing.what} ${name}`} className={styles.alternative}>
              <span>{fromKitText(remedy, solution.score)}</span>
              <Button onClick={() => take(remedy)} aria-label={messages.takeOfYourKit({ name })}>
                {messages.take}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

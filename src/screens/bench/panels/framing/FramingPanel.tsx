'use client';

import * as messages from '@/language/bench/framing';
import { Select } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { subjectOf, framedThrough, framedView } from '@/core/compare/framed';
import type { FramedView } from '@/core/compare/framed';
import type { Solution } from '@/core/answer/solve';
import { viewLabel } from '@/words/labels';
import { framingLines } from '@/words/framingText';
import { useOwnThings } from '../../../data/kit';
import type { ShotEditing } from '../../../data/useShotEditing';
import { FrameDrawing } from './FrameDrawing';
import { PlanDrawing } from './PlanDrawing';
import { movedSubject, turnedDown } from './moves';
import styles from './framing.module.css';

/** Where the camera is and what it sees, from above and through the lens, to scale; one other view beside it. */
export function FramingPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, candidate } = solution;
  const { brief } = space;
  const own = useOwnThings();
  const [other, setOther] = useState<string | null>(null);
  const here = useMemo(() => framedView(space, candidate.mode), [space, candidate.mode]);
  const cameras = useMemo(() => {
    const listed = [brief.camera, ...own.cameras, ...Object.values(ARCHETYPES)];
    return [...new Map(listed.map((camera) => [camera.id, camera])).values()];
  }, [brief.camera, own.cameras]);
  const beside = useMemo(() => {
    const [cameraId, viewId] = other?.split('|') ?? [];
    const camera = cameras.find(({ id }) => id === cameraId);
    return camera && viewId !== undefined ? framedThrough(brief, camera, viewId) : null;
  }, [other, cameras, brief]);
  const subject = subjectOf(brief);
  const moves = {
    subject: (change: { distanceM?: number; sideM?: number }) =>
      editing.preview(messages.moveTheSubject, movedSubject(subject, change)),
    pitch: (pitchDeg: number) => editing.preview(messages.tiltTheCamera, turnedDown(pitchDeg)),
    done: () => editing.commit(messages.changeTheFraming),
  };
  const options = cameras.map((camera) => ({
    label: camera.name,
    options: camera.views
      .filter((view) => camera.id !== brief.camera.id || view.id !== here.viewId)
      .map((view) => ({ value: `${camera.id}|${view.id}`, label: `${camera.name}, ${viewLabel(view.id)}` })),
  }));
  return (
    <section aria-labelledby="framing-title" className={styles.panel}>
      <div className={styles.head}>
        <h2 id="framing-title">{messages.framing}</h2>
        <Select
          aria-label={messages.compareWithAnotherViewOr}
          placeholder={messages.compareWithAnotherView}
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          options={options}
          value={other}
          onChange={(value: string | undefined) => setOther(value ?? null)}
        />
      </div>
      <div className={styles.drawings}>
        <PlanDrawing brief={brief} here={here} beside={beside} moves={moves} />
        <FrameDrawing brief={brief} here={here} beside={beside} moves={moves} />
      </div>
      {!brief.motion.subject && <p className="quiet">{messages.theBriefNamesNoSubject}</p>}
      <div className={styles.facts}>
        <Facts framed={here} />
        {beside && <Facts framed={beside} dashed />}
        {other !== null && !beside && <p role="alert">{messages.thatViewCannotFilmThis}</p>}
      </div>
    </section>
  );
}

function Facts({ framed, dashed = false }: { framed: FramedView; dashed?: boolean }): ReactNode {
  return (
    <div data-dashed={dashed}>
      <h3>
        {framed.camera.name}, {viewLabel(framed.viewId)}
      </h3>
      <dl>
        {framingLines(framed).map(({ what, text, warn }) => (
          <div key={what} data-warn={warn}>
            <dt>{what}</dt>
            <dd className="numerals">{text}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

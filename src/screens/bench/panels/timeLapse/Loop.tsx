import * as messages from '@/language/bench/timeLapse';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { filmedPlainly, keptAsLoop } from '@/core/records/filmedAs';
import type { Shot } from '@/core/records/shot';
import { loopPlan } from '@/core/timeLapse/loopPlan';
import { filled } from '@/core/units/filled';
import { trimmed } from '@/core/units/format';
import { durationText } from '@/words/settingText';
import { NumberField } from '../../../ui/Fields';
import { Figures } from '../../../ui/Figures';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './timeLapse.module.css';

type Told = NonNullable<Shot['loop']>;

/** Tried until it is kept as the shot's recording, as a time-lapse is. */
export function Loop({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const kept = editing.shot.pins?.recording === 'loop';
  const [tried, setTried] = useState<Told>(editing.shot.loop ?? {});
  const trial = useMemo(
    () => (kept ? brief : { ...brief, loop: filled(brief.loop, tried) }),
    [kept, brief, tried],
  );
  const plan = useMemo(() => loopPlan(trial), [trial]);
  const { minutes, leadSeconds, eventSeconds } = trial.loop;
  const set = (label: string, more: Told): void => {
    if (kept) editing.commit(label, (shot) => keptAsLoop(shot, more));
    else setTried((before) => ({ ...before, ...more }));
  };
  return (
    <section aria-labelledby="loop-title" className={styles.panel}>
      <h2 id="loop-title">{messages.loop}</h2>
      <p className="quiet">{messages.theCameraRecordsAllThe}</p>
      <div className={styles.fields}>
        <NumberField
          label={messages.keepsTheLast}
          unit={messages.min}
          value={minutes}
          min={0.5}
          max={1440}
          onCommit={(value = 5) => set(messages.keepAnotherLength, { minutes: value })}
        />
        <NumberField
          label={messages.wantedBeforeTheEvent}
          unit={messages.unitSeconds}
          value={leadSeconds}
          min={0}
          max={3600}
          onCommit={(value = 0) => set(messages.wantMoreBefore, { leadSeconds: value })}
        />
        <NumberField
          label={messages.theEventLasts}
          unit={messages.unitSeconds}
          value={eventSeconds}
          min={0}
          max={86_400}
          onCommit={(value = 0) => set(messages.changeTheEvent, { eventSeconds: value })}
        />
      </div>
      {plan ? (
        <>
          <Figures
            items={[
              [
                messages.pressWithin,
                plan.pressWithinSeconds === null ? messages.tooShort : durationText(plan.pressWithinSeconds),
                plan.pressWithinSeconds === null,
              ],
              [messages.surelyKept, durationText(plan.keptSeconds)],
              [messages.card, `${trimmed(plan.gigabytes, 1)} GB`],
            ]}
          />
          <p role="status">
            {plan.pressWithinSeconds === null
              ? messages.theLoopIsTooShort({
                  keptSeconds: durationText(plan.keptSeconds),
                  leadSeconds: durationText(leadSeconds + eventSeconds),
                })
              : messages.afterTheEventHasEnded({
                  pressWithinSeconds: durationText(plan.pressWithinSeconds),
                  chapterSeconds: durationText(plan.chapterSeconds),
                  keptSeconds: durationText(plan.keptSeconds),
                  minutes: trimmed(minutes, 1),
                })}
          </p>
        </>
      ) : (
        <p role="status">{messages.recordsNoLoopStartEarly({ camera: brief.camera.name })}</p>
      )}
      <p>
        {kept ? (
          <Button onClick={() => editing.commit(messages.filmPlainly, filmedPlainly)}>
            {messages.filmItAsVideo}
          </Button>
        ) : (
          <Button
            disabled={!plan}
            onClick={() => editing.commit(messages.keepAsLoop, (shot) => keptAsLoop(shot, tried))}
          >
            {messages.keepItAsLoop}
          </Button>
        )}
      </p>
    </section>
  );
}

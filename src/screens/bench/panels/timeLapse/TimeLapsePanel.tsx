'use client';

import { CHANGES, TIME_LAPSE_LOOKS, USUAL_INTERVAL_SECONDS } from '@/core/vocabulary/timeLapses';
import { stopsRange } from '@/core/filters/kit';
import { Button } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Shot } from '@/core/records/shot';
import { intervalForClip, MOVING_STEP_PCT } from '@/core/playback/timeLapse';
import { timeLapsePlan, loopPlan, pacePctPerS, usualTimeLapse } from '@/core/timeLapse/timeLapsePlan';
import type { TimeLapsePlan } from '@/core/timeLapse/timeLapsePlan';
import { shutterFraction, trimmed } from '@/core/units/format';
import { CHANGE_LABEL, TIME_LAPSE_LOOK_LABEL, viewLabel } from '@/words/labels';
import { durationText, filterText } from '@/words/settingText';
import { ChoiceField, NumberField } from '../../../ui/Fields';
import { Figures } from '../../../ui/Figures';
import type { ShotEditing } from '../../../data/useShotEditing';
import { options } from '../../brief/wordParts';
import styles from './timeLapse.module.css';

/** Pictures at an interval and loops that keep the last minutes, worked out for this shot's camera, light and filters. */
export function TimeLapsePanel({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  return (
    <div className={styles.columns}>
      <TimeLapse brief={brief} editing={editing} />
      <LoopFigures brief={brief} editing={editing} />
    </div>
  );
}

type TimeLapseChange = NonNullable<Shot['timeLapse']>;

function TimeLapse({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const { timeLapse: told, playback, limits } = brief;
  const wish = useMemo(() => usualTimeLapse(brief), [brief]);
  const plan = useMemo(() => timeLapsePlan(brief, wish), [brief, wish]);
  const set = (label: string, more: TimeLapseChange): void =>
    editing.commit(label, (shot) => ({ ...shot, timeLapse: { ...shot.timeLapse, ...more } }));
  return (
    <section aria-labelledby="lapse-title" className={styles.panel}>
      <h2 id="lapse-title">Time-lapse</h2>
      <div className={styles.fields}>
        <ChoiceField
          label="What changes"
          value={told.change}
          options={options(CHANGES, CHANGE_LABEL)}
          onCommit={(change) => set('watch something else', { change })}
        />
        <ChoiceField
          label="The camera"
          value={told.moving ? 'moves' : 'stands'}
          options={[
            { value: 'stands', label: 'stands' },
            { value: 'moves', label: 'moves, steadied' },
          ]}
          onCommit={(value) => set('let the camera move or stand', { moving: value === 'moves' })}
        />
        {told.moving ? (
          <NumberField
            label="Faster than life"
            unit="×"
            value={told.speedUp}
            min={1}
            max={3600}
            onCommit={(speedUp = 15) => set('change the speed', { speedUp })}
          />
        ) : (
          <NumberField
            label="Every"
            unit="s"
            value={told.intervalSeconds ?? undefined}
            min={0.1}
            max={86_400}
            step={0.5}
            placeholder={`${trimmed(USUAL_INTERVAL_SECONDS[told.change], 1)} as usual`}
            onCommit={(intervalSeconds) =>
              editing.commit('change the interval', (shot) => {
                const rest = Object.fromEntries(
                  Object.entries(shot.timeLapse ?? {}).filter(([key]) => key !== 'intervalSeconds'),
                );
                return {
                  ...shot,
                  timeLapse: intervalSeconds === undefined ? rest : { ...rest, intervalSeconds },
                };
              })
            }
          />
        )}
        <NumberField
          label="For"
          unit="min"
          value={Math.round((limits.recordSeconds / 60) * 10) / 10}
          min={0.1}
          max={10_080}
          onCommit={(minutes = 60) =>
            editing.commit('record for another time', (shot) => ({
              ...shot,
              limits: { ...shot.limits, recordSeconds: Math.max(1, minutes * 60) },
            }))
          }
        />
        <ChoiceField
          label="Each picture open"
          value={told.look}
          options={options(TIME_LAPSE_LOOKS, TIME_LAPSE_LOOK_LABEL)}
          onCommit={(look) => set('open each picture another way', { look })}
        />
        {told.look === 'blur' && (
          <NumberField
            label="Blur"
            unit="% of the width"
            value={told.blurPct}
            min={0.01}
            max={100}
            step={0.5}
            onCommit={(blurPct = 1) => set('want another blur', { blurPct })}
          />
        )}
      </div>
      {plan ? (
        <>
          <Figures
            items={[
              ['Interval', `${trimmed(plan.intervalSeconds, 2)} s`],
              ['Clip', `${trimmed(plan.moving?.clipSeconds ?? plan.clipSeconds, 1)} s`],
              ['Shutter', longText(plan.shutterSeconds)],
              ['Filter', filterText(plan.filter, brief.filters)],
              ['ISO', String(plan.iso)],
              ['Card', `${trimmed(plan.gigabytes, plan.gigabytes < 1 ? 2 : 1)} GB`],
            ]}
          />
          <ul className={styles.whys}>
            {whys(plan, brief).map((why) => (
              <li key={why}>{why}</li>
            ))}
          </ul>
          {!plan.moving && (
            <p className={styles.fields}>
              {[10, 20].map((clip) => {
                const seconds = intervalForClip(clip, limits.recordSeconds, playback.timelineFps);
                return (
                  <Button
                    key={clip}
                    disabled={seconds < 0.1}
                    onClick={() =>
                      set('take the interval for a clip', { intervalSeconds: roundedInterval(seconds) })
                    }
                  >
                    Interval for a clip of {clip} s: {trimmed(roundedInterval(seconds), 1)} s
                  </Button>
                );
              })}
            </p>
          )}
        </>
      ) : (
        <p role="status">
          {brief.camera.name} records no {told.moving ? 'moving time-lapse' : 'time-lapse'}. Film plainly and
          speed it up in the edit, or take another camera.
        </p>
      )}
    </section>
  );
}

function roundedInterval(seconds: number): number {
  return Math.max(0.1, seconds < 2 ? Math.round(seconds * 10) / 10 : Math.round(seconds * 2) / 2);
}

/** A shutter as long as a second and more is told in seconds. */
function longText(seconds: number): string {
  return seconds >= 0.4 ? `${trimmed(seconds, 1)} s` : `${shutterFraction(seconds)} s`;
}

function whys(plan: TimeLapsePlan, brief: Brief): string[] {
  const { timelineFps } = brief.playback;
  const { resolution, view } = plan.mode;
  const lines = [
    `${plan.frames} pictures at ${trimmed(timelineFps, 3)} frames a second; life runs ${trimmed(plan.speedUp, 0)}× faster. Filmed at ${resolution.width}×${resolution.height}, ${viewLabel(view.id)}.`,
    `Open for ${trimmed((100 * plan.shutterSeconds) / plan.intervalSeconds, 0)} % of the interval: a shutter of ${trimmed(plan.shutterAngleDeg, 0)}° in the sped-up film.`,
  ];
  if (brief.timeLapse.look === 'blur')
    lines.push(`What moves crosses ${trimmed(pacePctPerS(brief), 1)} % of the width a second here.`);
  if (plan.moving) {
    const { stepPct, mostSpeedUp } = plan.moving;
    lines.push(
      stepPct > MOVING_STEP_PCT
        ? `Half the frame jumps ${trimmed(stepPct, 0)} % of the width each picture: ${trimmed(mostSpeedUp, 0)}× or slower can still be followed.`
        : `Half the frame steps ${trimmed(stepPct, 1)} % of the width each picture; up to ${Number.isFinite(mostSpeedUp) ? `${trimmed(mostSpeedUp, 0)}×` : 'any speed'} it can be followed.`,
    );
  }
  if (plan.overStops > 0.05)
    lines.push(
      brief.filters.some((filter) => stopsRange(filter).max > plan.filter.stops + 0.05)
        ? `The brightest light stays ${trimmed(plan.overStops, 1)} stops above the window; what is stronger in this bag would lose more in the dark.`
        : `No filter of this bag is dark enough: ${trimmed(plan.overStops, 1)} stops more are wanted.${brief.timeLapse.look === 'crisp' ? '' : ' Or open each picture less: crisp.'}`,
    );
  if (plan.underStops > 0.05)
    lines.push(
      `The darkest light is ${trimmed(plan.underStops, 1)} stops too dark: open each picture longer.`,
    );
  return lines;
}

function LoopFigures({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const plan = useMemo(() => loopPlan(brief), [brief]);
  const { minutes, leadSeconds, eventSeconds } = brief.loop;
  const set = (label: string, more: NonNullable<Shot['loop']>): void =>
    editing.commit(label, (shot) => ({ ...shot, loop: { ...shot.loop, ...more } }));
  return (
    <section aria-labelledby="loop-title" className={styles.panel}>
      <h2 id="loop-title">Loop</h2>
      <p className="quiet">
        The camera records all the time and keeps the last minutes; one press after the event keeps it.
      </p>
      <div className={styles.fields}>
        <NumberField
          label="Keeps the last"
          unit="min"
          value={minutes}
          min={0.5}
          max={1440}
          onCommit={(value = 5) => set('keep another length', { minutes: value })}
        />
        <NumberField
          label="Wanted before the event"
          unit="s"
          value={leadSeconds}
          min={0}
          max={3600}
          onCommit={(value = 0) => set('want more before', { leadSeconds: value })}
        />
        <NumberField
          label="The event lasts"
          unit="s"
          value={eventSeconds}
          min={0}
          max={86_400}
          onCommit={(value = 0) => set('change the event', { eventSeconds: value })}
        />
      </div>
      {plan ? (
        <>
          <Figures
            items={[
              [
                'Press within',
                plan.pressWithinSeconds === null ? 'too short' : durationText(plan.pressWithinSeconds),
              ],
              ['Surely kept', durationText(plan.keptSeconds)],
              ['Card', `${trimmed(plan.gigabytes, 1)} GB`],
            ]}
          />
          <p role="status">
            {plan.pressWithinSeconds === null
              ? `The loop is too short for this event: it surely keeps ${durationText(plan.keptSeconds)}, and ${durationText(leadSeconds + eventSeconds)} are wanted. Keep a longer one.`
              : `After the event has ended you may press for ${durationText(plan.pressWithinSeconds)}. The loop drops whole pieces of ${durationText(plan.chapterSeconds)}, so it surely keeps ${durationText(plan.keptSeconds)} of its ${trimmed(minutes, 1)} min.`}
          </p>
        </>
      ) : (
        <p role="status">{brief.camera.name} records no loop. Start early, or take another camera.</p>
      )}
    </section>
  );
}

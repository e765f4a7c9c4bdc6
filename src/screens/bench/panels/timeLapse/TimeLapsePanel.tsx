'use client';

import * as messages from '@/language/bench/timeLapse';
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
import { options } from '../../brief/wordControls';
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
      <h2 id="lapse-title">{messages.timeLapse}</h2>
      <div className={styles.fields}>
        <ChoiceField
          label={messages.whatChanges}
          value={told.change}
          options={options(CHANGES, CHANGE_LABEL)}
          onCommit={(change) => set(messages.watchSomethingElse, { change })}
        />
        <ChoiceField
          label={messages.theCamera}
          value={told.moving ? 'moves' : 'stands'}
          options={[
            { value: 'stands', label: messages.stands },
            { value: 'moves', label: messages.movesSteadied },
          ]}
          onCommit={(value) => set(messages.letTheCameraMoveOrStand, { moving: value === 'moves' })}
        />
        {told.moving ? (
          <NumberField
            label={messages.fasterThanLife}
            unit="×"
            value={told.speedUp}
            min={1}
            max={3600}
            onCommit={(speedUp = 15) => set(messages.changeTheSpeed, { speedUp })}
          />
        ) : (
          <NumberField
            label={messages.every}
            unit={messages.unitSeconds}
            value={told.intervalSeconds ?? undefined}
            min={0.1}
            max={86_400}
            step={0.5}
            placeholder={messages.asUsual({ change: trimmed(USUAL_INTERVAL_SECONDS[told.change], 1) })}
            onCommit={(intervalSeconds) =>
              editing.commit(messages.changeTheInterval, (shot) => {
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
          label={messages.forWord}
          unit={messages.min}
          value={Math.round((limits.recordSeconds / 60) * 10) / 10}
          min={0.1}
          max={10_080}
          onCommit={(minutes = 60) =>
            editing.commit(messages.recordForAnotherTime, (shot) => ({
              ...shot,
              limits: { ...shot.limits, recordSeconds: Math.max(1, minutes * 60) },
            }))
          }
        />
        <ChoiceField
          label={messages.eachPictureOpen}
          value={told.look}
          options={options(TIME_LAPSE_LOOKS, TIME_LAPSE_LOOK_LABEL)}
          onCommit={(look) => set(messages.openEachPictureAnotherWay, { look })}
        />
        {told.look === 'blur' && (
          <NumberField
            label={messages.blur}
            unit={messages.ofTheWidth}
            value={told.blurPct}
            min={0.01}
            max={100}
            step={0.5}
            onCommit={(blurPct = 1) => set(messages.wantAnotherBlur, { blurPct })}
          />
        )}
      </div>
      {plan ? (
        <>
          <Figures
            items={[
              [
                messages.interval,
                messages.intervalSeconds({ intervalSeconds: trimmed(plan.intervalSeconds, 2) }),
              ],
              [
                messages.clip,
                messages.clipSeconds({
                  clipSeconds: trimmed(plan.moving?.clipSeconds ?? plan.clipSeconds, 1),
                }),
              ],
              [messages.shutter, longText(plan.shutterSeconds)],
              [messages.filter, filterText(plan.filter, brief.filters)],
              ['ISO', String(plan.iso)],
              [messages.card, `${trimmed(plan.gigabytes, plan.gigabytes < 1 ? 2 : 1)} GB`],
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
                      set(messages.takeTheIntervalForAClip, { intervalSeconds: roundedInterval(seconds) })
                    }
                  >
                    {messages.intervalForAClipOf({ clip, seconds: trimmed(roundedInterval(seconds), 1) })}
                  </Button>
                );
              })}
            </p>
          )}
        </>
      ) : (
        <p role="status">
          {messages.recordsNoMovingTimeLapse({ camera: brief.camera.name, moving: told.moving })}
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
  return seconds >= 0.4
    ? messages.seconds({ seconds: trimmed(seconds, 1) })
    : messages.seconds({ seconds: shutterFraction(seconds) });
}

function whys(plan: TimeLapsePlan, brief: Brief): string[] {
  const { timelineFps } = brief.playback;
  const { resolution, view } = plan.mode;
  const lines = [
    messages.picturesAtFramesASecond({
      frames: plan.frames,
      timelineFps: trimmed(timelineFps, 3),
      speedUp: trimmed(plan.speedUp, 0),
      width: resolution.width,
      height: resolution.height,
      id: viewLabel(view.id),
    }),
    messages.openForOfTheInterval({
      shutterSeconds: trimmed((100 * plan.shutterSeconds) / plan.intervalSeconds, 0),
      shutterAngleDeg: trimmed(plan.shutterAngleDeg, 0),
    }),
  ];
  if (brief.timeLapse.look === 'blur')
    lines.push(messages.whatMovesCrossesOfThe({ brief: trimmed(pacePctPerS(brief), 1) }));
  if (plan.moving) {
    const { stepPct, mostSpeedUp } = plan.moving;
    lines.push(
      stepPct > MOVING_STEP_PCT
        ? messages.halfTheFrameJumpsOf({ stepPct: trimmed(stepPct, 0), mostSpeedUp: trimmed(mostSpeedUp, 0) })
        : messages.halfTheFrameStepsOf({
            stepPct: trimmed(stepPct, 1),
            mostSpeedUp: Number.isFinite(mostSpeedUp) ? `${trimmed(mostSpeedUp, 0)}×` : messages.anySpeed,
          }),
    );
  }
  if (plan.overStops > 0.05)
    lines.push(
      brief.filters.some((filter) => stopsRange(filter).max > plan.filter.stops + 0.05)
        ? messages.theBrightestLightStaysStops({ overStops: trimmed(plan.overStops, 1) })
        : messages.noFilterOfThisBag({
            overStops: trimmed(plan.overStops, 1),
            isCrisp: brief.timeLapse.look === 'crisp',
          }),
    );
  if (plan.underStops > 0.05)
    lines.push(messages.theDarkestLightIsStops({ underStops: trimmed(plan.underStops, 1) }));
  return lines;
}

function LoopFigures({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const plan = useMemo(() => loopPlan(brief), [brief]);
  const { minutes, leadSeconds, eventSeconds } = brief.loop;
  const set = (label: string, more: NonNullable<Shot['loop']>): void =>
    editing.commit(label, (shot) => ({ ...shot, loop: { ...shot.loop, ...more } }));
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
    </section>
  );
}

import * as messages from '@/language/bench/timeLapse';
import { SCENE_CHANGES, TIME_LAPSE_LOOKS, USUAL_INTERVAL_SECONDS } from '@/core/vocabulary/timeLapses';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { filmedPlainly, isTimeLapse, keptAsTimeLapse } from '@/core/records/filmedAs';
import type { Shot } from '@/core/records/shot';
import { intervalForClip } from '@/core/playback/timeLapse';
import { lapseOf } from '@/core/timeLapse/lapseAnswer';
import { filled, told } from '@/core/units/filled';
import { trimmed } from '@/core/units/format';
import { CHANGE_LABEL, TIME_LAPSE_LOOK_LABEL } from '@/words/labels';
import { lapseWarnings } from '@/core/timeLapse/lapseWarnings';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { lapseHelpText, lapseWarningText, lapseWhys } from '@/words/lapseText';
import { filterText, isoText, shutterText } from '@/words/settingText';
import { ChoiceField, NumberField } from '../../../ui/Fields';
import { Figures } from '../../../ui/Figures';
import type { ShotEditing } from '../../../data/useShotEditing';
import { options } from '../../brief/wordControls';
import styles from './timeLapse.module.css';

/** What is told of a time-lapse; `undefined` gives a value back to the usual. */
type Kept = NonNullable<Shot['timeLapse']>;

interface Telling {
  kept: boolean;
  /** The brief with what is tried. */
  trial: Brief;
  set: (label: string, more: Kept) => void;
  last: (recordSeconds: number) => void;
  keep: () => void;
}

/** What is told here is only tried until it is kept; from then on a change is one of the shot. */
function useTelling(brief: Brief, editing: ShotEditing): Telling {
  const kept = isTimeLapse(editing.shot);
  const [tried, setTried] = useState<{ told: Kept; recordSeconds?: number }>({
    told: editing.shot.timeLapse ?? {},
  });
  const trial = useMemo(() => (kept ? brief : withTried(brief, tried)), [kept, brief, tried]);
  return {
    kept,
    trial,
    set: (label, more) => {
      if (kept)
        editing.commit(label, (shot) =>
          keptAsTimeLapse({ ...shot, timeLapse: {} }, told({ ...shot.timeLapse, ...more })),
        );
      else setTried(({ told: before, ...rest }) => ({ ...rest, told: told({ ...before, ...more }) }));
    },
    last: (recordSeconds) => {
      if (kept) editing.commit(messages.recordForAnotherTime, (shot) => lasting(shot, recordSeconds));
      else setTried((before) => ({ ...before, recordSeconds }));
    },
    keep: () =>
      editing.commit(messages.keepAsTimeLapse, (shot) => {
        const lapse = keptAsTimeLapse(shot, { ...tried.told, moving: trial.timeLapse.moving });
        return tried.recordSeconds === undefined ? lapse : lasting(lapse, tried.recordSeconds);
      }),
  };
}

export function TimeLapse({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  const { kept, trial, set, last, keep } = useTelling(brief, editing);
  const { timeLapse, playback, limits } = trial;
  const lapse = useMemo(() => lapseOf(trial), [trial]);
  const plan = lapse?.plan ?? null;
  return (
    <section aria-labelledby="lapse-title" className={styles.panel}>
      <h2 id="lapse-title">{messages.timeLapse}</h2>
      <div className={styles.fields}>
        <ChoiceField
          label={messages.whatChanges}
          value={timeLapse.change}
          options={options(SCENE_CHANGES, CHANGE_LABEL)}
          onCommit={(change) => set(messages.watchSomethingElse, { change })}
        />
        <ChoiceField
          label={messages.theCamera}
          value={timeLapse.moving ? 'moves' : 'stands'}
          options={[
            { value: 'stands', label: messages.stands },
            { value: 'moves', label: messages.movesSteadied },
          ]}
          onCommit={(value) => set(messages.letTheCameraMoveOrStand, { moving: value === 'moves' })}
        />
        {timeLapse.moving ? (
          <NumberField
            label={messages.fasterThanLife}
            unit="×"
            value={timeLapse.speedUp}
            min={1}
            max={3600}
            onCommit={(speedUp = 15) => set(messages.changeTheSpeed, { speedUp })}
          />
        ) : (
          <NumberField
            label={messages.every}
            unit={messages.unitSeconds}
            value={timeLapse.intervalSeconds ?? undefined}
            min={0.1}
            max={86_400}
            step={0.5}
            placeholder={messages.asUsual({ change: trimmed(USUAL_INTERVAL_SECONDS[timeLapse.change], 1) })}
            onCommit={(intervalSeconds) => set(messages.changeTheInterval, { intervalSeconds })}
          />
        )}
        <NumberField
          label={messages.forWord}
          unit={messages.min}
          value={Math.round((limits.recordSeconds / 60) * 10) / 10}
          min={0.1}
          max={10_080}
          onCommit={(minutes = 60) => last(Math.max(1, minutes * 60))}
        />
        <ChoiceField
          label={messages.eachPictureOpen}
          value={timeLapse.look}
          options={options(TIME_LAPSE_LOOKS, TIME_LAPSE_LOOK_LABEL)}
          onCommit={(look) => set(messages.openEachPictureAnotherWay, { look })}
        />
        {timeLapse.look === 'blur' && (
          <NumberField
            label={messages.blur}
            unit={messages.ofTheWidth}
            value={timeLapse.blurPct}
            min={0.01}
            max={100}
            step={0.5}
            onCommit={(blurPct = 1) => set(messages.wantAnotherBlur, { blurPct })}
          />
        )}
      </div>
      {lapse && plan ? (
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
              [messages.shutter, shutterText(lapse.settings)],
              [messages.filter, filterText(plan.filter, brief.filters), plan.overStops > SEEN_STOPS],
              ['ISO', isoText(plan.iso), plan.underStops > SEEN_STOPS],
              [messages.card, `${trimmed(plan.gigabytes, plan.gigabytes < 1 ? 2 : 1)} GB`],
            ]}
          />
          <ul className={styles.whys}>
            {[...lapseWhys(plan, trial), ...lostIn(trial, lapse)].map((why) => (
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
          {messages.recordsNoMovingTimeLapse({ camera: brief.camera.name, moving: timeLapse.moving })}
        </p>
      )}
      <p>
        {kept ? (
          <Button onClick={() => editing.commit(messages.filmPlainly, filmedPlainly)}>
            {messages.filmItAsVideo}
          </Button>
        ) : (
          <Button type="primary" disabled={!lapse?.exposed} onClick={keep}>
            {messages.keepItAsTimeLapse}
          </Button>
        )}
      </p>
    </section>
  );
}

/** From here on what is missed of the light is marked, stops. */
const SEEN_STOPS = 0.05;

/** What of the light a time-lapse that is only tried would lose, and what would help. */
function lostIn(brief: Brief, lapse: LapseAnswer): string[] {
  const lost = lapseWarnings(brief, lapse).filter(({ code }) => code === 'exposeLapse');
  const lines = lost.flatMap((one) => [
    lapseWarningText(one),
    ...('helps' in one ? one.helps.map(lapseHelpText) : []),
  ]);
  return [...new Set(lines), ...(lapse.exposed ? [] : [messages.cannotBeExposed])];
}

/** A brief with a time-lapse that is only tried. */
function withTried(brief: Brief, tried: { told: Kept; recordSeconds?: number }): Brief {
  const { recordSeconds } = tried;
  return {
    ...brief,
    timeLapse: filled(brief.timeLapse, tried.told),
    limits: recordSeconds === undefined ? brief.limits : { ...brief.limits, recordSeconds },
  };
}

const lasting = (shot: Shot, recordSeconds: number): Shot => ({
  ...shot,
  limits: { ...shot.limits, recordSeconds },
});

function roundedInterval(seconds: number): number {
  return Math.max(0.1, seconds < 2 ? Math.round(seconds * 10) / 10 : Math.round(seconds * 2) / 2);
}

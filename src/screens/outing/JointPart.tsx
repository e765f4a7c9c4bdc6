'use client';

import { Button, Checkbox, Progress } from 'antd';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import type { JointDay, JointProgress } from '@/core/day/jointDay';
import type { Outing, OutingDay } from '@/core/records/outing';
import { trimmed } from '@/core/units/format';
import { changeText, costText, JOINT_REASON } from '@/words/outingText';
import { cancelJoint, solveDayJointly } from '@/workers/day';
import { usePreference } from '../data/repository';
import type { DayAtWork } from '../data/workedDay';
import { useToast } from '../ui/toast';
import styles from './outing.module.css';
import type { DayEditing } from './useDayEditing';

const STEP: Record<JointProgress['step'], string> = {
  answers: 'Solving each shot…',
  match: 'Matching cameras…',
  filterChanges: 'Saving filter changes and set-ups…',
  budget: 'Making it last…',
  done: 'Done',
};

type State =
  | { kind: 'idle' }
  | { kind: 'running'; progress: JointProgress }
  | { kind: 'done'; joint: JointDay; ms: number; left: readonly string[] };

/** The day's shots solved together: what would change, why, and what it saves; taken all at once or one by one. */
export function JointPart({
  outing,
  worked,
  editing,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  editing: DayEditing;
}): ReactNode {
  const [state, setState] = useState<State>({ kind: 'idle' });
  const [notation] = usePreference('filterNotation');
  const { complain, say } = useToast();
  useEffect(() => cancelJoint, []);
  const run = (): void => {
    const since = performance.now();
    setState({ kind: 'running', progress: { step: 'answers', share: 0 } });
    solveDayJointly(worked.day.schedule, outing.gear, (progress) =>
      setState((was) => (was.kind === 'running' ? { kind: 'running', progress } : was)),
    )
      .then((joint) =>
        setState(joint ? { kind: 'done', joint, ms: performance.now() - since, left: [] } : { kind: 'idle' }),
      )
      .catch((error: unknown) => {
        setState({ kind: 'idle' });
        complain(`The day could not be solved: ${error instanceof Error ? error.message : String(error)}`);
      });
  };
  const changes = state.kind === 'done' ? state.joint.changes : [];
  const taken = changes.filter(({ partId }) => state.kind === 'done' && !state.left.includes(partId));
  return (
    <section aria-labelledby="joint-title" className={styles.panel}>
      <h2 id="joint-title">Solve the day together</h2>
      <p className="quiet">
        What pictures lose, filter changes, set-ups to store, what does not match between cameras and what
        runs out count on one scale. A change is proposed where it lowers the sum; nothing is written until
        you take it.
      </p>
      {state.kind === 'running' ? (
        <div className={styles.fields} role="status">
          <Progress
            percent={Math.round(100 * state.progress.share)}
            aria-label="How far it is"
            style={{ maxWidth: 320 }}
          />
          <span>{STEP[state.progress.step]}</span>
          <Button
            onClick={() => {
              cancelJoint();
              setState({ kind: 'idle' });
            }}
          >
            Stop
          </Button>
        </div>
      ) : (
        <p>
          <Button type="primary" onClick={run} disabled={worked.day.parts.length === 0}>
            {state.kind === 'done' ? 'Solve again' : 'Solve together'}
          </Button>
        </p>
      )}
      {state.kind === 'done' && (
        <>
          <p role="status">
            {changes.length === 0 ? 'Nothing to change: the day is as good as it gets. ' : ''}
            Before {costText(state.joint.before)}. After {costText(state.joint.after)}. Took{' '}
            {trimmed(state.ms / 1000, 1)} s.
          </p>
          <ul className={styles.changes}>
            {changes.map((change) => {
              const part = worked.day.part(change.partId);
              return (
                <li key={change.partId}>
                  <Checkbox
                    checked={!state.left.includes(change.partId)}
                    onChange={({ target }) =>
                      setState({
                        ...state,
                        left: target.checked
                          ? state.left.filter((id) => id !== change.partId)
                          : [...state.left, change.partId],
                      })
                    }
                  >
                    <b>{part?.name}</b>, {part?.camera.name}
                  </Checkbox>
                  <p className="numerals">{changeText(change, part?.brief.filters ?? [], notation)}</p>
                  <p className="quiet">
                    {change.reasons.map((reason) => JOINT_REASON[reason]).join('; ')}
                    {Math.abs(change.addedLoss) > 0.05
                      ? `. By itself ${change.addedLoss > 0 ? `${trimmed(change.addedLoss, 1)} worse` : `${trimmed(-change.addedLoss, 1)} better`}`
                      : ''}
                    .
                  </p>
                </li>
              );
            })}
          </ul>
          {changes.length > 0 && (
            <p className={styles.fields}>
              <Button
                type="primary"
                disabled={taken.length === 0}
                onClick={() => {
                  void editing.takePins('solve the day together', taken);
                  setState({ kind: 'idle' });
                  say(
                    `Took ${taken.length === 1 ? '1 change' : `${taken.length} changes`} as pins. Undo takes them back.`,
                  );
                }}
              >
                Take {taken.length === changes.length ? 'all' : 'the ticked'} ({taken.length})
              </Button>
              <Button onClick={() => setState({ kind: 'idle' })}>Leave it</Button>
            </p>
          )}
        </>
      )}
    </section>
  );
}

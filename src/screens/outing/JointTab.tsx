'use client';

import * as messages from '@/language/outing';
import { Button, Checkbox, Progress } from 'antd';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import type { JointDay, JointProgress } from '@/core/cures/jointDay';
import { trimmed } from '@/core/units/format';
import { changeText, costText, JOINT_REASON } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { cancelJoint, solveDayJointly } from '@/workers/day';
import { usePreference } from '../data/repository';
import { useToast } from '../ui/toast';
import type { OpenOuting } from './openOuting';
import styles from './outing.module.css';
import { whyText } from '@/words/whyText';

const STEP: Record<JointProgress['step'], string> = messages.step;

type State =
  | { kind: 'idle' }
  | { kind: 'running'; progress: JointProgress }
  | { kind: 'done'; joint: JointDay; ms: number; left: readonly string[] };

/** The day's shots solved together: what would change, why, and what it saves; taken all at once or one by one. */
export function JointTab({ outing, worked, editing }: OpenOuting): ReactNode {
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
        complain(messages.theDayCouldNotBe({ error: whyText(error) }));
      });
  };
  const changes = state.kind === 'done' ? state.joint.changes : [];
  const taken = changes.filter(({ partId }) => state.kind === 'done' && !state.left.includes(partId));
  return (
    <section aria-labelledby="joint-title" className={styles.panel}>
      <h2 id="joint-title">{messages.solveTheDayTogether}</h2>
      <p className="quiet">{messages.whatPicturesLoseFilterChanges}</p>
      {state.kind === 'running' ? (
        <div className={styles.fields} role="status">
          <Progress
            percent={Math.round(100 * state.progress.share)}
            aria-label={messages.howFarItIs}
            style={{ maxWidth: 320 }}
          />
          <span>{STEP[state.progress.step]}</span>
          <Button
            onClick={() => {
              cancelJoint();
              setState({ kind: 'idle' });
            }}
          >
            {messages.stop}
          </Button>
        </div>
      ) : (
        <p>
          <Button type="primary" onClick={run} disabled={worked.day.parts.length === 0}>
            {state.kind === 'done' ? messages.solveAgain : messages.solveTogether}
          </Button>
        </p>
      )}
      {state.kind === 'done' && (
        <>
          <p role="status">
            {messages.nothingToChangeTheDay({
              noCount: changes.length === 0,
              before: costText(state.joint.before),
              after: costText(state.joint.after),
              ms: trimmed(state.ms / 1000, 1),
            })}
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
                    <b>{dayPartName(part)}</b>, {part?.camera.name}
                  </Checkbox>
                  <p className="numerals">{changeText(change, part?.brief.filters ?? [], notation)}</p>
                  <p className="quiet">
                    {messages.becauseOf({
                      reasons: change.reasons.map((reason) => JOINT_REASON[reason]).join('; '),
                      byItself: byItselfText(change.addedLoss),
                    })}
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
                  void editing.take(messages.solveTheDayTogetherWord, [{ what: 'pins', pins: taken }]);
                  setState({ kind: 'idle' });
                  say(messages.took1ChangeAsPins({ count: taken.length }));
                }}
              >
                {messages.takeAll({ isCount: taken.length === changes.length, count: taken.length })}
              </Button>
              <Button onClick={() => setState({ kind: 'idle' })}>{messages.leaveIt}</Button>
            </p>
          )}
        </>
      )}
    </section>
  );
}

function byItselfText(addedLoss: number): string {
  if (Math.abs(addedLoss) <= 0.05) return '';
  const by = trimmed(Math.abs(addedLoss), 1);
  return addedLoss > 0 ? messages.byItselfWorse({ by }) : messages.byItselfBetter({ by });
}

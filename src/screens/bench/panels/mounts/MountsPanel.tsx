'use client';

import * as messages from '@/language/bench/mounts';
import { Phrase } from '../../../ui/Phrase';
import { MOUNTS } from '@/core/vocabulary/mounts';
import { MOUNT_KINDS } from '@/core/vocabulary/mounts';
import type { MountKind } from '@/core/vocabulary/mounts';
import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { shotOnMount } from '@/core/brief/otherMount';
import { mountChoice } from '@/core/compare/mountChoice';
import type { MountChoice } from '@/core/compare/mountChoice';
import type { Solution } from '@/core/answer/solve';
import { tenths, trimmed } from '@/core/units/format';
import { MOUNT_LABEL } from '@/words/labels';
import { cautionText, mountNoteText, obstructionText } from '@/words/mountText';
import { settingText } from '@/words/settingText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { groundPaths, horizonPath, obstructionPath } from '../framing/drawing';
import framing from '../framing/framing.module.css';
import { WhyLink } from '../../../ui/WhyLink';
import styles from './mounts.module.css';

const MOST = 3;

/** Two or three mounts side by side on this very shot: what blocks the view, what the shake costs, what to mind. */
export function MountsPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space } = solution;
  const { kind } = space.brief.mount;
  const [others, setOthers] = useState<MountKind[]>([...MOUNTS[kind].others]);
  const choices = useMemo(
    () =>
      [...new Set([kind, ...others])].slice(0, MOST).map((one) => [one, mountChoice(space, one)] as const),
    [space, kind, others],
  );
  return (
    <section aria-labelledby="mounts-title" className={styles.panel}>
      <div className={framing.head}>
        <h2 id="mounts-title">{messages.mountsForThisShot}</h2>
        <Select
          mode="multiple"
          aria-label={messages.mountsToCompare}
          maxCount={MOST - 1}
          popupMatchSelectWidth={false}
          value={others.filter((one) => one !== kind)}
          options={MOUNT_KINDS.filter((one) => one !== kind).map((value) => ({
            value,
            label: MOUNT_LABEL[value],
          }))}
          onChange={(chosen: MountKind[]) => setOthers(chosen)}
        />
      </div>
      <ul className={styles.mounts}>
        {choices.map(([one, choice]) => (
          <li key={one} data-chosen={one === kind}>
            <h3>{MOUNT_LABEL[one]}</h3>
            {choice ? (
              <Choice
                choice={choice}
                solution={solution}
                onTake={
                  one === kind
                    ? null
                    : () =>
                        editing.commit(messages.mountIt({ one: MOUNT_LABEL[one] }), (shot) =>
                          shotOnMount(shot, one),
                        )
                }
              />
            ) : (
              <p>{messages.noAnswerOnThisMount}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Choice({
  choice,
  solution,
  onTake,
}: {
  choice: MountChoice;
  solution: Solution;
  onTake: (() => void) | null;
}): ReactNode {
  const { framed, habits, settings } = choice;
  const { shape } = framed;
  const tall = shape.heightPx / shape.widthPx;
  const kit = solution.space.brief.filters;
  const stops = choice.shutterStops;
  return (
    <>
      <svg
        viewBox={`-1 ${-tall} 2 ${2 * tall}`}
        role="img"
        aria-label={messages.covered({
          habits: obstructionText(habits),
          blocked: trimmed(framed.blocked * 100, 0),
        })}
        className={styles.frame}
      >
        <g className={framing.ground}>
          {groundPaths(shape, habits.heightM).map((path, index) => (
            <path key={index} d={path} />
          ))}
        </g>
        <path d={horizonPath(shape)} className={styles.horizon} />
        <g className={framing.inTheWay}>
          {habits.inTheWay.map((thing, index) => (
            <path key={index} d={obstructionPath(shape, thing)} />
          ))}
        </g>
      </svg>
      <p className="numerals">
        <Phrase
          of={messages.loss({
            settings: settingText('shutterSeconds', settings, kit),
            settings2: settingText('filter', settings, kit),
            settings3: settingText('stabilization', settings, kit),
          })}
          parts={[<strong>{tenths(choice.score)}</strong>]}
        />
      </p>
      <ul className={styles.lines}>
        <li>
          {framed.blocked < 0.005
            ? messages.nothingStandsInThisView
            : messages.ofTheFrame({
                habits: obstructionText(habits),
                blocked: trimmed(framed.blocked * 100, 0),
              })}
        </li>
        <li>
          {messages.shakesS({
            shakeDegPerSRms: trimmed(choice.shakeDegPerSRms, 0),
            stops:
              Math.abs(stops) < 0.05 || onTake === null
                ? messages.asTheBriefHasIt
                : stops > 0
                  ? messages.stopsOfShutterGained({ stops: tenths(stops) })
                  : messages.stopsOfShutterLost({ stops: tenths(-stops) }),
          })}
        </li>
        <li>
          {messages.offLevelByUpTo({
            tiltRiskDeg: habits.tiltRiskDeg,
            upsideDown:
              habits.upsideDown === 'never'
                ? ''
                : messages.upsideDown({ isUsually: habits.upsideDown === 'usually' }),
            from: trimmed(habits.subjectM.from, 1),
            to: trimmed(habits.subjectM.to, 0),
          })}
        </li>
        {habits.notes.map((note) => (
          <li key={note}>{mountNoteText(note)}</li>
        ))}
        {choice.cautions.map((caution) => (
          <li key={caution} className={styles.caution}>
            {cautionText(caution)} <WhyLink page="cautions" />
          </li>
        ))}
      </ul>
      {onTake ? <Button onClick={onTake}>{messages.take}</Button> : <em>{messages.theBriefsMount}</em>}
    </>
  );
}

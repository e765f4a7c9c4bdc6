'use client';

import * as messages from '@/language/bench/angles';
import type { Role } from '@/core/vocabulary/activities';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Shot } from '@/core/records/shot';
import { coverageOf } from '@/core/together/coverage';
import type { Suggestion } from '@/core/together/coverage';
import type { Solution } from '@/core/answer/solve';
import { trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { MOUNT_LABEL, ROLE_LABEL } from '@/words/labels';
import { namedOf } from '@/words/shotName';
import { useRepository } from '../../../data/repository';
import { SettingStrip } from '../../../ui/SettingStrip';
import { useToast } from '../../../ui/toast';
import styles from './angles.module.css';
import { whyText } from '@/words/whyText';

/** A few angles on this action that cut to its answer: where each rides, how fast it feels, and its settings. */
export function AnglesPanel({ shot, solution }: { shot: Shot; solution: Solution }): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const suggestions = useMemo(() => coverageOf(shot, solution), [shot, solution]);
  const [left, setLeft] = useState<readonly Role[]>([]);
  const taken = suggestions.filter(({ role }) => !left.includes(role));
  const fastest = Math.max(1, ...suggestions.map(paceShown));
  const shots = messages.n1Shot({ count: taken.length });
  const make = (): void => {
    repository
      ?.addShots(
        taken.map((one) => ({ ...one.shot, name: namedOf(one.shot, messages.roleName[one.role]) })),
        messages.makeOfOneAction({ shots }),
      )
      .then(() => say(messages.madeUndoTakesItBack({ shots, count: taken.length })))
      .catch((error: unknown) => complain(whyText(error)));
  };
  return (
    <section aria-labelledby="angles-title" className={styles.panel}>
      <h2 id="angles-title">{messages.anglesOnThisAction}</h2>
      <p className="quiet">{messages.anglesThatCutTogetherThey}</p>
      {suggestions.length === 0 && <p role="status">{messages.thisCameraGivesNoOther}</p>}
      <ul className={styles.angles}>
        {suggestions.map((one) => (
          <li key={one.role} className={styles.panel}>
            <Checkbox
              checked={!left.includes(one.role)}
              onChange={({ target }) =>
                setLeft((was) =>
                  target.checked ? was.filter((role) => role !== one.role) : [...was, one.role],
                )
              }
            >
              <strong>{ROLE_LABEL[one.role]}</strong>: {MOUNT_LABEL[one.solution.space.brief.mount.kind]}
            </Checkbox>
            <p>{placeText(one)}</p>
            <dl className={styles.paces}>
              {one.subjectPctPerS !== null && one.solution.space.brief.motion.travelMps === 0 ? (
                <Pace name={messages.thePersonPassing} pctPerS={one.subjectPctPerS} fullPctPerS={fastest} />
              ) : (
                <>
                  <Pace name={messages.asPlaced} pctPerS={one.worstPctPerS} fullPctPerS={fastest} />
                  <Pace name={messages.n6MFurther} pctPerS={one.farPctPerS} fullPctPerS={fastest} />
                </>
              )}
            </dl>
            <SettingStrip
              keys={CARD_KEYS}
              settings={one.solution.settings}
              kit={one.solution.space.brief.filters}
            />
          </li>
        ))}
      </ul>
      <p>
        <Button type="primary" disabled={taken.length === 0} onClick={make}>
          {messages.makeThisShot({ count: taken.length, shots })}
        </Button>
      </p>
    </section>
  );
}

/** The pace a suggestion is drawn with: what passes, or the subject where the camera stands. */
function paceShown({ solution, subjectPctPerS, worstPctPerS }: Suggestion): number {
  return solution.space.brief.motion.travelMps === 0 ? (subjectPctPerS ?? worstPctPerS) : worstPctPerS;
}

function placeText({ solution, fastWithinM }: Suggestion): string {
  const { motion } = solution.space.brief;
  const { subject, nearestM, travelMps } = motion;
  if (subject)
    return travelMps === 0
      ? messages.thePersonMAwayPassing({
          distanceM: trimmed(subject.distanceM, 1),
          speedMps: trimmed(subject.speedMps, 1),
        })
      : messages.thePersonMAway({ distanceM: trimmed(subject.distanceM, 1) });
  const near = messages.thingsPassMAway({ nearestM: trimmed(nearestM, 1) });
  if (fastWithinM === null) return near;
  return fastWithinM >= nearestM
    ? messages.itFeelsFastUpTo({ near, fastWithinM: trimmed(fastWithinM, 1) })
    : messages.passWithinMForA({ near, fastWithinM: trimmed(fastWithinM, 1) });
}

function Pace({
  name,
  pctPerS,
  fullPctPerS,
}: {
  name: string;
  pctPerS: number;
  fullPctPerS: number;
}): ReactNode {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <span className={styles.bar} aria-hidden>
          <span style={{ width: `${Math.min(100, (100 * pctPerS) / fullPctPerS)}%` }} />
        </span>
        <span className="numerals">{messages.ofTheWidthASecond({ pctPerS: trimmed(pctPerS, 0) })}</span>
      </dd>
    </div>
  );
}

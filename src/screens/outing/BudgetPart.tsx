'use client';

import { USUAL_CELL } from '@/core/camera/power';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { withGear } from '@/core/day/applyDayRemedy';
import { outsOf } from '@/core/day/daySheet';
import type { Gear, Outing, OutingDay } from '@/core/records/outing';
import { CHARGINGS } from '@/core/records/outing';
import { without } from '@/core/units/without';
import { trimmed } from '@/core/units/format';
import { clockText } from '@/words/lightText';
import { actText, dayRemedyText, leavesText, levelText, outText } from '@/words/outingText';
import { ChoiceField, ListField, NumberField } from '../ui/Fields';
import { Figures } from '../ui/Figures';
import { useKit } from '../data/kit';
import type { DayAtWork } from '../data/workedDay';
import styles from './outing.module.css';
import type { DayEditing } from './useDayEditing';

/** Card by card, cell by cell and degree by degree: what lasts, what does not, and what would cure it. */
export function BudgetPart({
  outing,
  worked,
  editing,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  editing: DayEditing;
}): ReactNode {
  const { day, remedies } = worked;
  if (!day.sheet) return <p className="quiet">Working the day out…</p>;
  const entryAt = (entryId: string): number | null => day.partsOf(entryId)[0]?.fromMs ?? null;
  return (
    <div className={styles.panel}>
      {day.cameras.map(({ id: cameraId, profile, gear, sheet }) => {
        if (!sheet) return null;
        const { name } = profile;
        const { budget } = sheet;
        const outs = outsOf(budget);
        const words = levelText(budget);
        return (
          <section key={cameraId} aria-labelledby={`budget-${cameraId}`} className={styles.camera}>
            <h2 id={`budget-${cameraId}`}>{name}</h2>
            <div className={styles.halves}>
              <div className={styles.panel}>
                <Figures
                  items={[
                    ['Card', words.card],
                    ['Power', words.power],
                    ['Heat', words.heat],
                  ]}
                />
                {outs.length === 0 && <p>Lasts the day.</p>}
                {outs.map((out) => (
                  <div key={out.what}>
                    <p role="status" className={styles.amiss}>
                      {outText(out, name, day.part(out.partId)?.name ?? 'the day', outing.zone)}
                    </p>
                    <ul className={styles.cures}>
                      {remedies
                        .filter((remedy) => remedy.cameraId === cameraId && remedy.what === out.what)
                        .map((remedy) => (
                          <li key={remedy.how + ('charging' in remedy ? remedy.charging : '')}>
                            <Button onClick={() => void editing.takeRemedy(remedy)}>
                              {dayRemedyText(remedy, outing.zone, entryAt)}
                            </Button>{' '}
                            <span className="quiet">
                              {remedy.addedLoss > 0.05
                                ? `then it lasts; costs the picture ${trimmed(remedy.addedLoss, 1)}`
                                : 'then it lasts'}
                              {leavesText(remedy)}
                            </span>
                          </li>
                        ))}
                    </ul>
                  </div>
                ))}
                {budget.heat.warn && !budget.heat.out && (
                  <p>
                    It warns of heat at {clockText(budget.heat.warn.atMs, outing.zone)}
                    {budget.heat.screenOff
                      ? ` and turns its screen off at ${clockText(budget.heat.screenOff.atMs, outing.zone)}`
                      : ''}
                    , and goes on.
                  </p>
                )}
                {budget.slow.map((slow) => (
                  <p key={slow.name} className={styles.amiss}>
                    {slow.name} is too slow: {trimmed(slow.writesMBps, 1)} MB/s are written, and{' '}
                    {trimmed(slow.keepsMBps, 1)} can be counted on. Take a faster card, or a lower bit rate.
                  </p>
                ))}
                {budget.acts.length > 0 && (
                  <ul className={styles.lines}>
                    {budget.acts.map((act) => (
                      <li key={`${act.what}${act.atMs}`}>
                        <span className="numerals">{clockText(act.atMs, outing.zone)}</span>{' '}
                        {actText(act, name)}
                      </li>
                    ))}
                  </ul>
                )}
                <details>
                  <summary>
                    {budget.chapters.length === 1 ? '1 file' : `${budget.chapters.length} files`} on{' '}
                    {new Set(budget.chapters.map(({ card }) => card)).size === 1 ? 'one card' : 'its cards'}
                  </summary>
                  <table className={styles.sheet}>
                    <thead>
                      <tr>
                        <th scope="col">From</th>
                        <th scope="col">Shot</th>
                        <th scope="col">Card</th>
                        <th scope="col">GB</th>
                      </tr>
                    </thead>
                    <tbody className="numerals">
                      {budget.chapters.slice(0, 200).map((chapter) => (
                        <tr key={`${chapter.partId}${chapter.fromMs}`}>
                          <th scope="row">{clockText(chapter.fromMs, outing.zone)}</th>
                          <td>{day.part(chapter.partId)?.name}</td>
                          <td>{chapter.card + 1}</td>
                          <td>{trimmed(chapter.gigabytes, 2)}</td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </details>
              </div>
              <GearFields
                gear={gear}
                cameraId={cameraId}
                assumed={budget.assumed}
                onChange={(changed) =>
                  void editing.change(`change what ${name} is fed from`, (before) =>
                    withGear(before, changed),
                  )
                }
              />
            </div>
          </section>
        );
      })}
    </div>
  );
}

const CHARGING_LABEL: Record<Gear['charging'], string> = {
  none: 'not charged on the way',
  breaks: 'charged at breaks',
  recording: 'plugged in while recording',
};

/** Cards, cells and bank of a camera, out of the kit or by figures. */
function GearFields({
  gear,
  cameraId,
  assumed,
  onChange,
}: {
  gear: Gear | undefined;
  cameraId: string;
  assumed: readonly ('card' | 'cell')[];
  onChange: (gear: Gear) => void;
}): ReactNode {
  const kit = useKit() ?? [];
  const own: Gear = gear ?? { cameraId, cards: [], charging: 'none' };
  const cards = kit.flatMap(({ thing, archived }) => (thing.what === 'card' && !archived ? [thing] : []));
  const cells = own.cells ?? USUAL_CELL;
  return (
    <div className={styles.panel}>
      <h3>Fed from</h3>
      {assumed.length > 0 && (
        <p className="quiet">
          Nobody said which {assumed.join(' and ')}:{' '}
          {assumed.includes('card') ? 'one card as its shots say' : ''}
          {assumed.length === 2 ? ', ' : ''}
          {assumed.includes('cell') ? `one cell of ${USUAL_CELL.ampereHours} Ah` : ''} is taken.
        </p>
      )}
      <div className={styles.fields}>
        <ListField
          label="Cards, first used first"
          values={own.cards.map(({ name }) => name)}
          options={[
            ...new Map(
              [...cards, ...own.cards].map(({ name }) => [name, { value: name, label: name }]),
            ).values(),
          ]}
          mayBeEmpty
          onCommit={(names) =>
            onChange({
              ...own,
              cards: names.flatMap((name) => {
                const kept =
                  own.cards.find((card) => card.name === name) ?? cards.find((card) => card.name === name);
                return kept ? [{ name, capacityGb: kept.capacityGb, writeMBps: kept.writeMBps }] : [];
              }),
            })
          }
        />
        <NumberField
          label="Cells"
          value={cells.count}
          min={1}
          max={50}
          onCommit={(count = 1) => onChange({ ...own, cells: { ...cells, count: Math.round(count) } })}
        />
        <NumberField
          label="of"
          unit="Ah"
          value={cells.ampereHours}
          min={0.05}
          max={100}
          step={0.1}
          onCommit={(ampereHours = USUAL_CELL.ampereHours) =>
            onChange({ ...own, cells: { ...cells, ampereHours } })
          }
        />
        <NumberField
          label="at"
          unit="V"
          value={cells.volts}
          min={1}
          max={60}
          step={0.05}
          onCommit={(volts = USUAL_CELL.volts) => onChange({ ...own, cells: { ...cells, volts } })}
        />
        <NumberField
          label="Bank"
          unit="Ah"
          value={own.bank?.ampereHours}
          min={0.1}
          max={200}
          placeholder="none"
          onCommit={(ampereHours) => {
            onChange(
              ampereHours === undefined
                ? { ...without(own, 'bank'), charging: 'none' }
                : { ...own, bank: { ampereHours } },
            );
          }}
        />
        <ChoiceField
          label="Its camera is"
          value={own.charging}
          options={CHARGINGS.map((value) => ({ value, label: CHARGING_LABEL[value] }))}
          onCommit={(charging) => onChange({ ...own, charging })}
        />
      </div>
    </div>
  );
}

'use client';

import * as messages from '@/language/outing';
import { USUAL_CELL } from '@/core/camera/power';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { gearOfCamera, outingFedSo } from '@/core/changes/feed';
import { outsOf } from '@/core/day/daySheet';
import type { Resource } from '@/core/day/daySheet';
import type { Gear } from '@/core/records/outing';
import { CHARGINGS } from '@/core/records/outing';
import { omit } from '@/core/units/omit';
import { trimmed } from '@/core/units/format';
import { clockText } from '@/words/lightText';
import { actText, cureText, leavesText, levelText, outText } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { ChoiceField, ListField, NumberField } from '../ui/Fields';
import { Figures } from '../ui/Figures';
import { useKit } from '../data/kit';
import type { OpenOuting } from './openOuting';
import styles from './outing.module.css';

/** Card by card, cell by cell and degree by degree: what lasts, what does not, and what would cure it. */
export function BudgetTab({ outing, worked, editing }: OpenOuting): ReactNode {
  const { day, cures } = worked;
  if (!day.sheet) return <p className="quiet">{messages.workingTheDayOut}</p>;
  const entryAt = (entryId: string): number | null => day.partsOf(entryId)[0]?.fromMs ?? null;
  return (
    <div className={styles.panel}>
      {day.cameras.map(({ id: cameraId, profile, sheet }) => {
        if (!sheet) return null;
        const { name } = profile;
        const { budget } = sheet;
        const outs = outsOf(budget);
        const words = levelText(budget);
        const isOut = (what: Resource): boolean => outs.some((out) => out.what === what);
        return (
          <section key={cameraId} aria-labelledby={`budget-${cameraId}`} className={styles.camera}>
            <h2 id={`budget-${cameraId}`}>{name}</h2>
            <div className={styles.halves}>
              <div className={styles.panel}>
                <Figures
                  items={[
                    [messages.card, words.card, isOut('card') || budget.slow.length > 0],
                    [messages.power, words.power, isOut('power')],
                    [messages.heat, words.heat, isOut('heat') || budget.heat.warn !== null],
                  ]}
                />
                {outs.length === 0 && budget.slow.length === 0 && !budget.heat.warn && (
                  <p>{messages.lastsTheDay}</p>
                )}
                {outs.map((out) => (
                  <div key={out.what}>
                    <p role="status" className={styles.amiss}>
                      {outText(out, name, dayPartName(day.part(out.partId), messages.theDay), outing.zone)}
                    </p>
                    <ul className={styles.cures}>
                      {cures
                        .filter((cure) => cure.cameraId === cameraId && cure.what === out.what)
                        .map((cure) => (
                          <li key={cure.how + ('charging' in cure ? cure.charging : '')}>
                            <Button onClick={() => void editing.take(messages.takeACure, cure.changes)}>
                              {cureText(cure, outing.zone, entryAt)}
                            </Button>{' '}
                            <span className="quiet">
                              {cure.addedLoss > 0.05
                                ? messages.thenItLastsCostsThe({ addedLoss: trimmed(cure.addedLoss, 1) })
                                : messages.thenItLasts}
                              {leavesText(cure)}
                            </span>
                          </li>
                        ))}
                    </ul>
                  </div>
                ))}
                {budget.heat.warn && !budget.heat.out && (
                  <p>
                    {messages.itWarnsOfHeatAt({
                      atMs: clockText(budget.heat.warn.atMs, outing.zone),
                      screenOff: budget.heat.screenOff
                        ? messages.andTurnsItsScreenOff({
                            atMs: clockText(budget.heat.screenOff.atMs, outing.zone),
                          })
                        : '',
                    })}
                  </p>
                )}
                {budget.slow.map((slow) => (
                  <p key={slow.name} className={styles.amiss}>
                    {messages.isTooSlowMBS({
                      slow: slow.name,
                      writesMBps: trimmed(slow.writesMBps, 1),
                      keepsMBps: trimmed(slow.keepsMBps, 1),
                    })}
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
                    {messages.n1FileOnOneCard({
                      count: budget.chapters.length,
                      count2: new Set(budget.chapters.map(({ card }) => card)).size,
                    })}
                  </summary>
                  <table className={styles.sheet}>
                    <thead>
                      <tr>
                        <th scope="col">{messages.from}</th>
                        <th scope="col">{messages.shot}</th>
                        <th scope="col">{messages.card}</th>
                        <th scope="col">{messages.unitGb}</th>
                      </tr>
                    </thead>
                    <tbody className="numerals">
                      {budget.chapters.slice(0, 200).map((chapter) => (
                        <tr key={`${chapter.partId}${chapter.fromMs}`}>
                          <th scope="row">{clockText(chapter.fromMs, outing.zone)}</th>
                          <td>{dayPartName(day.part(chapter.partId))}</td>
                          <td>{chapter.card + 1}</td>
                          <td>{trimmed(chapter.gigabytes, 2)}</td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </details>
              </div>
              <GearFields
                own={gearOfCamera(outing.gear, cameraId)}
                assumed={budget.assumed}
                onChange={(change) =>
                  void editing.change(messages.changeWhatIsFedFrom({ name }), (before) =>
                    outingFedSo(before, change(gearOfCamera(before.gear, cameraId))),
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

const CHARGING_LABEL: Record<Gear['charging'], string> = messages.chargingLabel;

/** Cards, cells and bank of a camera, out of the kit or by figures. */
function GearFields({
  own,
  assumed,
  onChange,
}: {
  own: Gear;
  assumed: readonly ('card' | 'cell')[];
  /** What it is fed from may have changed again since it was drawn. */
  onChange: (change: (before: Gear) => Gear) => void;
}): ReactNode {
  const kit = useKit() ?? [];
  const cards = kit.flatMap(({ thing, archived }) => (thing.what === 'card' && !archived ? [thing] : []));
  const cells = own.cells ?? USUAL_CELL;
  const changeCells = (what: Partial<NonNullable<Gear['cells']>>): void =>
    onChange((before) => ({ ...before, cells: { ...(before.cells ?? USUAL_CELL), ...what } }));
  return (
    <div className={styles.panel}>
      <h3>{messages.fedFrom}</h3>
      {assumed.length > 0 && <p className="quiet">{assumedText(assumed)}</p>}
      <div className={styles.fields}>
        <ListField
          label={messages.cardsFirstUsedFirst}
          values={own.cards.map(({ name }) => name)}
          options={[
            ...new Map(
              [...cards, ...own.cards].map(({ name }) => [name, { value: name, label: name }]),
            ).values(),
          ]}
          mayBeEmpty
          onCommit={(names) =>
            onChange((before) => ({
              ...before,
              cards: names.flatMap((name) => {
                const kept =
                  before.cards.find((card) => card.name === name) ?? cards.find((card) => card.name === name);
                return kept ? [{ name, capacityGb: kept.capacityGb, writeMBps: kept.writeMBps }] : [];
              }),
            }))
          }
        />
        <NumberField
          label={messages.cells}
          value={cells.count}
          min={1}
          max={50}
          onCommit={(count = 1) => changeCells({ count: Math.round(count) })}
        />
        <NumberField
          label={messages.of}
          unit={messages.unitAh}
          value={cells.ampereHours}
          min={0.05}
          max={100}
          step={0.1}
          onCommit={(ampereHours = USUAL_CELL.ampereHours) => changeCells({ ampereHours })}
        />
        <NumberField
          label={messages.at}
          unit={messages.unitVolt}
          value={cells.volts}
          min={1}
          max={60}
          step={0.05}
          onCommit={(volts = USUAL_CELL.volts) => changeCells({ volts })}
        />
        <NumberField
          label={messages.bank}
          unit={messages.unitAh}
          value={own.bank?.ampereHours}
          min={0.1}
          max={200}
          placeholder={messages.none}
          onCommit={(ampereHours) => {
            onChange((before) =>
              ampereHours === undefined
                ? { ...omit(before, 'bank'), charging: 'none' }
                : { ...before, bank: { ampereHours } },
            );
          }}
        />
        <ChoiceField
          label={messages.itsCameraIs}
          value={own.charging}
          options={CHARGINGS.map((value) => ({ value, label: CHARGING_LABEL[value] }))}
          onCommit={(charging) => onChange((before) => ({ ...before, charging }))}
        />
      </div>
    </div>
  );
}

function assumedText(assumed: readonly ('card' | 'cell')[]): string {
  const { ampereHours } = USUAL_CELL;
  if (!assumed.includes('cell')) return messages.nobodySaidWhichCard;
  return assumed.includes('card')
    ? messages.nobodySaidWhichCardAndCell({ ampereHours })
    : messages.nobodySaidWhichCell({ ampereHours });
}

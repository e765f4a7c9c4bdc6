'use client';

import { dayPartName, shotName } from '@/words/shotName';
import * as messages from '@/language/carry/day';
import { Phrase } from '../../ui/Phrase';
import { Button, Checkbox, Input } from 'antd';
import Link from 'next/link';
import { useMemo, useRef } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { DeckCard } from '@/core/day/deck';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import { withEntry } from '@/core/records/entries';
import type { Outing, OutingDay } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { CheckWorth } from '@/core/rehearse/checks';
import { bySaving, checksFor, savesText } from '@/words/card';
import { ACTIVITY_LABEL, MOUNT_LABEL } from '@/words/labels';
import { clockText } from '@/words/lightText';
import { pairCardLines } from '@/words/pairText';
import { pauseText } from '@/words/outingText';
import { durationText } from '@/words/settingText';
import { useShotActions } from '../../files/useShotActions';
import { MoreMenu } from '../../ui/MoreMenu';
import { usePreference, useRepository } from '../../data/repository';
import { Refused } from '../../ui/Fields';
import { outingUrl } from '../../routes';
import { solveInDay } from '../../data/useAnswer';
import type { Solved } from '../../data/useAnswer';
import type { DayAtWork } from '../../data/workedDay';
import { namedSetups, useTicks } from '../../data/setups';
import { writeFaultText } from '../../data/writeFault';
import { useToast } from '../../ui/toast';
import { useTyped } from '../../ui/useTyped';
import { CardFace } from '../CardFace';
import { TestClip } from '../TestClip';
import { useTestChange } from '../useTestChange';
import styles from './day.module.css';

/** One shot of the day: every camera's settings large, its checks, and what became of it in one tap. */
export function EntryCard({
  outing,
  day,
  card,
  worked,
  worth,
  onDone,
  tools,
}: {
  outing: Outing;
  day: OutingDay;
  card: Extract<DeckCard, { kind: 'shot' }>;
  worked: DayAtWork;
  /** What each check of the day saves. */
  worth: readonly CheckWorth[];
  onDone: () => void;
  /** What stands above the presses of every card. */
  tools: ReactNode;
}): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const { has, tick } = useTicks(outing);
  const entry = day.entries.find(({ id }) => id === card.id);
  const { typed, type, leave, give, refused } = useTyped<string>();
  const [first] = card.parts;
  const record = useRef<HTMLDivElement>(null);
  const solved = useMemo(() => card.parts.map(solveInDay), [card.parts]);
  useHotkeys('r', () =>
    record.current?.querySelector<HTMLButtonElement>('.ant-btn-primary:not([disabled])')?.click(),
  );
  if (entry?.what !== 'shot' || !first) return null;
  const kept = worked.shots.get(entry.shotId);
  const whole = kept?.shot;
  const carried = card.parts.flatMap((part) => {
    const answer = part.answer?.carried;
    return answer ? [{ part: part.part, settings: answer.settings }] : [];
  });
  const mark = (how: 'recorded' | 'skipped' | null): void => {
    repository
      ?.markEntry(outing.id, entry.id, how, carried)
      .then(() => {
        if (how === null) return;
        say(how === 'recorded' ? messages.recordedAndInTheLog : messages.skipped);
        onDone();
      })
      .catch((error: unknown) => complain(writeFaultText(error)));
  };
  const firstSettings = carried[0]?.settings;
  return (
    <>
      <div className={styles.title}>
        <span className={`${styles.time ?? ''} numerals`}>{clockText(card.fromMs, outing.zone)}</span>
        <h1>{shotName(whole)}</h1>
        <p>
          {durationText(Math.max(...card.parts.map(({ toMs }) => toMs - card.fromMs)) / 1000)}
          {entry.pauses.length > 0 && (
            <>{messages.stop({ pauses: entry.pauses.map(pauseText).join('; ') })}</>
          )}
        </p>
        {whole?.pair &&
          pairCardLines(whole, [solved[0]?.solution ?? null, solved.at(-1)?.solution ?? null]).map((line) => (
            <p key={line}>{line}</p>
          ))}
      </div>
      {card.parts.map((part, at) => (
        <PartValues
          key={part.id}
          part={part}
          solved={solved[at] ?? null}
          worked={worked}
          outing={outing}
          many={card.parts.length > 1}
        />
      ))}
      {firstSettings && (
        <ul className={styles.checks}>
          {bySaving(
            checksFor(withCardOf(worked.day, first), firstSettings, presetOf(first, worked.day)),
            worth.filter(({ entryId }) => entryId === entry.id),
          ).map(({ id, text, saves }) => {
            const key = `check:${entry.id}:${id}`;
            return (
              <li key={id}>
                <Checkbox checked={has(key)} onChange={({ target }) => tick([key], target.checked)}>
                  {text}
                  {saves > 0 && <span className={styles.saves}> {savesText(saves)}</span>}
                </Checkbox>
              </li>
            );
          })}
        </ul>
      )}
      <label className={styles.note}>
        {messages.note}
        <Input.TextArea
          rows={2}
          maxLength={500}
          value={typed ?? entry.note}
          onChange={(event) => type(event.target.value)}
          onBlur={() => {
            if (typed === undefined || typed === entry.note) leave();
            else
              give(() =>
                repository?.changeOuting(outing.id, messages.noteSomething, (before) =>
                  withEntry(before, entry.id, (one) => (one.what === 'shot' ? { ...one, note: typed } : one)),
                ),
              );
          }}
        />
      </label>
      <Refused why={refused} />
      <p className={styles.ways}>
        <Link href={outingUrl('/bench', outing.id, day.id, { shot: entry.shotId, entry: entry.id })}>
          {messages.openOnTheBench}
        </Link>
        {kept && solved[0] && <ShotMenu record={kept} solved={solved[0]} />}
      </p>
      {tools}
      <div ref={record} className={styles.record}>
        {entry.done ? (
          <>
            <p role="status">
              {messages.recordedAt({
                isRecorded: entry.done.how === 'recorded',
                at: clockText(Date.parse(entry.done.at), outing.zone),
              })}
            </p>
            <Button size="large" onClick={() => mark(null)}>
              {messages.takeItBack}
            </Button>
          </>
        ) : (
          <>
            <Button
              type="primary"
              size="large"
              disabled={carried.length === 0}
              onClick={() => mark('recorded')}
            >
              {messages.recorded}
            </Button>
            <Button size="large" onClick={() => mark('skipped')}>
              {messages.skippedTitle}
            </Button>
          </>
        )}
      </div>
    </>
  );
}

function ShotMenu({ record, solved }: { record: ShotRecord; solved: Solved }): ReactNode {
  return <MoreMenu label={messages.moreForThisShot} items={useShotActions(record, solved)} />;
}

/** The brief with the card that the day puts into its camera. */
function withCardOf(day: WorkedDay, { brief, camera }: WorkedPart): WorkedPart['brief'] {
  const [card] = day.camera(camera.id)?.gear?.cards ?? [];
  return card ? { ...brief, limits: { ...brief.limits, cardGb: card.capacityGb } } : brief;
}

/** The set-up of a part by the name it is stored under. */
function presetOf(part: WorkedPart, day: WorkedDay): string | null {
  const sheet = day.camera(part.camera.id)?.sheet;
  const at = part.answer?.preset ?? null;
  if (!sheet || at === null) return null;
  const setup = namedSetups(sheet, day)[at];
  return setup ? `${setup.slot} ${setup.name}` : null;
}

function PartValues({
  part,
  solved,
  worked,
  outing,
  many,
}: {
  part: WorkedPart;
  solved: Solved | null;
  worked: DayAtWork;
  outing: Outing;
  many: boolean;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const own = part.answer;
  const preset = presetOf(part, worked.day);
  const { mount } = part.brief;
  const takeChange = useTestChange(part.shotId, part.part);
  return (
    <section aria-label={dayPartName(part)}>
      <p className={styles.camera}>
        <b>{part.camera.name}</b>, {MOUNT_LABEL[mount.kind]}, {ACTIVITY_LABEL[mount.activity]}
        {many && part.fromMs > 0 && part.part > 0 ? `, ${clockText(part.fromMs, outing.zone)}` : ''}
        {preset !== null && (
          <>
            <Phrase of={messages.setUp} parts={[<b className="numerals">{preset}</b>]} />
          </>
        )}
      </p>
      {own?.carried ? (
        <>
          <CardFace
            settings={own.carried.settings}
            solution={solved?.solution ?? null}
            lapse={solved?.lapse ? { answer: solved.lapse, brief: solved.brief } : null}
            air={worked.day.air}
            kit={part.brief.filters}
            notation={notation}
          />
          {!solved?.lapse && (
            <TestClip brief={part.brief} settings={own.carried.settings} onTake={takeChange} />
          )}
        </>
      ) : (
        <p className="quiet">{own ? messages.noAnswerWithItsPins : messages.workingItOut}</p>
      )}
    </section>
  );
}

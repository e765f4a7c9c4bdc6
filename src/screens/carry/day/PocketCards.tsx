'use client';

import { readingTaskText } from '@/words/readingText';
import { dayPartName, shotName, tasksName } from '@/words/shotName';
import * as messages from '@/language/carry/day';
import { Button, Segmented } from 'antd';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { deckOf } from '@/core/day/deck';
import type { DeckCard } from '@/core/day/deck';
import type { WorkedDay } from '@/core/day/workedDay';
import { storable, writeSetup } from '@/formats/code/setupCode';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { clockText, dateText } from '@/words/lightText';
import { actText, filterChangeText } from '@/words/outingText';
import { durationText, settingText } from '@/words/settingText';
import { CodeDrawing } from '../../ui/CodeDrawing';
import { usePreference } from '../../data/repository';
import { outingUrl, readdress } from '../../routes';
import { useForCards } from '../../data/forCards';
import { useWorkedDay } from '../../data/workedDay';
import type { OpenDay } from '../../data/workedDay';
import type { ForCards } from '@/workers/rehearse';
import { namedSetups } from '../../data/setups';
import { sheetsOf } from './folding';
import styles from './paper.module.css';

const PAPERS = ['a4', 'letter'] as const;

/** The day on paper: eight pockets a sheet, folded to a booklet that is read when the phone is dead. */
export function PocketCards(open: OpenDay): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  const { day: whole } = worked;
  const { readings } = useForCards(worked, outing, day.entries);
  const wanted = useSearchParams().get('paper');
  const paper = PAPERS.find((one) => one === wanted) ?? 'a4';
  const deck = useMemo(
    () => deckOf(day.entries, whole).filter(({ kind }) => kind === 'shot' || kind === 'tasks'),
    [day.entries, whole],
  );
  const setups = whole.cameras.flatMap(({ id, profile, sheet }) =>
    (sheet ? namedSetups(sheet, whole) : []).map((setup) => ({
      ...setup,
      cameraId: id,
      camera: profile.name,
    })),
  );
  const pages: ReactNode[] = [
    <section key="front" className={styles.front}>
      <h2>{outing.name}</h2>
      <p>{dateText(whole.fromMs, outing.zone)}</p>
      <ul>
        {deck.map((card) => (
          <li key={card.id}>
            {'fromMs' in card ? clockText(card.fromMs, outing.zone) : ''} {nameOf(card)}
          </li>
        ))}
      </ul>
    </section>,
    ...deck.map((card) => (
      <Pocket key={card.id} card={card} day={whole} readings={readings} zone={outing.zone} />
    )),
    ...setups.map(({ slot, name, cameraId, camera, preset }) => (
      <section key={`${cameraId}${slot}`} className={styles.codePage}>
        <h2>
          {camera} {slot}: {name}
        </h2>
        {/* On paper no clock can be right: it is left out, and the camera keeps its own. */}
        <CodeDrawing
          content={writeSetup({
            name,
            cameraId,
            settings: storable(preset.settings),
            intervalSeconds: preset.intervalSeconds,
            clock: null,
            startAfterSeconds: null,
          })}
          label={messages.codeOf({ name })}
        />
      </section>
    )),
  ];
  const sheets = sheetsOf(pages.length);
  return (
    <>
      {/* oxlint-disable-next-line catalogue/no-sentence -- A rule of style. */}
      <style>{`@page { size: ${paper === 'a4' ? 'A4' : 'letter'} landscape; margin: 0; }`}</style>
      <h1 className="unseen">{messages.onPaper({ outing: outing.name })}</h1>
      <div className={styles.tools}>
        <Link href={outingUrl('/carry', outing.id, day.id)}>{messages.backToTheCards}</Link>
        <Segmented
          aria-label={messages.paper}
          value={paper}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: messages.letter },
          ]}
          onChange={(value) => readdress(outingUrl('/carry', outing.id, day.id, { paper: value }))}
        />
        <Button type="primary" onClick={() => window.print()} disabled={whole.sheet === null}>
          {messages.print}
        </Button>
        <p className="quiet">{messages.printOneSideOnlyFold}</p>
      </div>
      {whole.sheet === null ? (
        <p className="quiet">{messages.workingTheDayOut}</p>
      ) : (
        <div className={styles.sheets} role="region" aria-label={messages.sheets} tabIndex={0}>
          {sheets.map((panels, at) => (
            <div
              key={at}
              className={styles.sheet}
              data-paper={paper}
              role="group"
              aria-label={messages.sheet({ at: at + 1 })}
            >
              {panels.map(({ page, turned }, place) => (
                <div key={place} className={styles.panel} data-turned={turned}>
                  {pages[page]}
                </div>
              ))}
              <span className={styles.cut} aria-hidden />
            </div>
          ))}
        </div>
      )}
    </>
  );
}

function nameOf(card: DeckCard): string {
  if (card.kind === 'shot') return shotName(card.parts[0]?.shot);
  return card.kind === 'tasks' ? tasksName(card) : '';
}

function Pocket({
  card,
  day,
  readings,
  zone,
}: {
  card: DeckCard;
  day: WorkedDay;
  readings: ForCards['readings'];
  zone: string;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  if (card.kind === 'tasks')
    return (
      <section>
        <h2>
          {clockText(card.fromMs, zone)} {tasksName(card)}
        </h2>
        <ul>
          {card.tasks.map((task) => {
            const { profile, parts } = day.camera(task.cameraId) ?? {};
            const camera = profile?.name ?? task.cameraId;
            return (
              <li key={task.id}>
                {'\u25a1'} {task.what === 'act' && actText(task.act, camera)}
                {task.what === 'filterChange' &&
                  filterChangeText(
                    camera,
                    task.filterChange.from,
                    task.filterChange.to,
                    parts?.[0]?.brief.filters ?? [],
                    notation,
                  )}
                {task.what === 'reading' &&
                  readingTaskText(
                    dayPartName(day.part(task.partId)),
                    readings.get(task.partId)?.bands ?? [],
                    {
                      fNumber: profile?.fNumber ?? 2.8,
                      kit: day.part(task.partId)?.brief.filters ?? [],
                      notation,
                    },
                  )}
              </li>
            );
          })}
        </ul>
      </section>
    );
  if (card.kind !== 'shot') return null;
  return (
    <section>
      <h2>
        {clockText(card.fromMs, zone)} {nameOf(card)}
      </h2>
      {card.parts.map((part) => {
        const settings = part.answer?.carried?.settings;
        return (
          <div key={part.id}>
            <p>
              <b>{part.camera.name}</b>, {durationText((part.toMs - part.fromMs) / 1000)}
            </p>
            <dl>
              {CARD_KEYS.map((key) => (
                <div key={key}>
                  <dt>{SETTING_LABEL[key]}</dt>
                  <dd>
                    {settings ? settingText(key, settings, part.brief.filters, notation) : messages.noAnswer}
                  </dd>
                </div>
              ))}
            </dl>
          </div>
        );
      })}
    </section>
  );
}

'use client';

import { shotName, tasksName } from '@/words/shotName';
import * as messages from '@/language/carry/day';
import { Button } from 'antd';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { deckOf, nextCard } from '@/core/day/deck';
import type { DeckCard } from '@/core/day/deck';
import { item } from '@/core/units/items';
import type { Outing, OutingDay, ShotEntry } from '@/core/records/outing';
import { dateText, dayText } from '@/words/lightText';
import { MoreMenu } from '../../ui/MoreMenu';
import { handoverUrl, instrumentUrl, outingUrl, readdress } from '../../routes';
import { useForCards } from '../../data/forCards';
import { useWorkedDay } from '../../data/workedDay';
import type { OpenDay } from '../../data/workedDay';
import { useWakeLock } from '../../ui/useWakeLock';
import { AfterCard } from './AfterCard';
import { BeforeCard } from './BeforeCard';
import { GlareButton } from '../../ui/GlareButton';
import { useSwipe } from '../../ui/useSwipe';
import styles from './day.module.css';
import { EntryCard } from './EntryCard';
import { TasksCard } from './TasksCard';

/**
 * A day as cards in order, the next one first, or the `first` that is asked for. What was tapped is kept at once, so a
 * restart goes on where it was.
 */
export function DayCards({ first, ...open }: OpenDay & { first?: string }): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  const forCards = useForCards(worked, outing, day.entries);
  const deck = useMemo(() => deckOf(day.entries, worked.day), [day.entries, worked.day]);
  const ticked = useMemo(() => new Set(outing.ticked), [outing.ticked]);
  const wanted = useSearchParams().get('card') ?? first;
  const router = useRouter();
  const named = deck.findIndex(({ id }) => id === wanted);
  const at = named >= 0 ? named : nextCard(deck, ticked);
  const card = item(deck, at);
  const wake = useWakeLock();
  const go = (to: number): void => {
    const next = deck[to];
    if (next) readdress(outingUrl('/carry', outing.id, day.id, { card: next.id }));
    window.scrollTo({ top: 0 });
  };
  const swipe = useSwipe((by) => go(at + by));
  useHotkeys('right', () => go(at + 1));
  useHotkeys('left', () => go(at - 1));
  const tools = (
    <div className={styles.tools}>
      <GlareButton />
      <Button
        onClick={() => wake.turn(!wake.on)}
        aria-pressed={wake.on}
        disabled={!wake.able}
        title={wake.able ? undefined : messages.thisBrowserCannotKeepThe}
      >
        {wake.on ? messages.screenStaysOn : messages.keepScreenOn}
      </Button>
      <MoreMenu
        label={messages.moreForThisDay}
        items={elsewhere(outing, day, card, (url) => router.push(url))}
        type="default"
        placement="topRight"
      />
    </div>
  );
  return (
    <article className={styles.day} aria-label={titleOf(card)} {...swipe}>
      <header className={styles.head}>
        <Button
          aria-label={messages.previousCard}
          disabled={at === 0}
          onClick={() => go(at - 1)}
          icon={<ChevronLeft size={26} aria-hidden />}
        />
        <p className={styles.where}>
          <Link href={outingUrl('/outing', outing.id, day.id)}>{outing.name}</Link>
          <span className="numerals">
            {messages.cardOf({
              fromMs: dateText(worked.day.fromMs, outing.zone),
              at: at + 1,
              count: deck.length,
            })}
          </span>
        </p>
        <Button
          aria-label={messages.nextCard}
          disabled={at === deck.length - 1}
          onClick={() => go(at + 1)}
          icon={<ChevronRight size={26} aria-hidden />}
        />
      </header>
      <ol className={styles.trail} aria-label={messages.cardsOfTheDay}>
        {deck.map((one, index) => (
          <li key={one.id}>
            <button
              type="button"
              aria-label={`${titleOf(one)}${stateOf(one, ticked)}`}
              aria-current={index === at ? 'step' : undefined}
              data-kind={one.kind}
              data-done={isDone(one, ticked)}
              onClick={() => go(index)}
            />
          </li>
        ))}
      </ol>
      {card.kind === 'before' && (
        <BeforeCard
          outing={outing}
          day={day}
          worked={worked}
          checks={forCards.checks}
          onBegin={() => go(nextCard(deck, ticked) || 1)}
          tools={tools}
        />
      )}
      {card.kind === 'shot' && (
        <EntryCard
          key={card.id}
          outing={outing}
          day={day}
          card={card}
          worked={worked}
          worth={forCards.checks}
          onDone={() => go(at + 1)}
          tools={tools}
        />
      )}
      {card.kind === 'tasks' && (
        <TasksCard
          outing={outing}
          card={card}
          worked={worked}
          readings={forCards.readings}
          onDone={() => go(at + 1)}
          tools={tools}
        />
      )}
      {card.kind === 'after' && (
        <AfterCard
          outing={outing}
          day={day}
          deck={deck}
          onOpen={(id) => go(deck.findIndex((one) => one.id === id))}
        />
      )}
      {card.kind === 'after' && tools}
    </article>
  );
}

/** Where else the day can be looked at, and its other days. */
function elsewhere(
  outing: Outing,
  day: OutingDay,
  card: DeckCard,
  go: (url: string) => void,
): { key: string; label: string; onClick: () => void }[] {
  const shotId = day.entries.find(
    (one): one is ShotEntry => one.what === 'shot' && one.id === card.id,
  )?.shotId;
  return [
    {
      key: 'codes',
      label: messages.setUpCodes,
      onClick: () => go(outingUrl('/carry', outing.id, day.id, { codes: 'all' })),
    },
    {
      key: 'paper',
      label: messages.pocketCardsOnPaper,
      onClick: () => go(outingUrl('/carry', outing.id, day.id, { paper: 'a4' })),
    },
    {
      key: 'camera',
      label: messages.standInCamera,
      onClick: () => go(outingUrl('/camera', outing.id, day.id)),
    },
    {
      key: 'outing',
      label: messages.theOuting,
      onClick: () => go(outingUrl('/outing', outing.id, day.id)),
    },
    ...outing.days
      .filter(({ id }) => id !== day.id)
      .map(({ id, date }) => ({
        key: id,
        label: dayText(date),
        onClick: () => go(outingUrl('/carry', outing.id, id)),
      })),
    // The menu opens upwards: what is pressed on the spot lies under the thumb.
    ...(shotId === undefined
      ? []
      : [
          {
            key: 'measure',
            label: messages.measureOnTheSpot,
            onClick: () => go(instrumentUrl({ shotId })),
          },
        ]),
    {
      key: 'handover',
      label: messages.handOver,
      onClick: () => go(handoverUrl({ what: 'outing', id: outing.id })),
    },
  ];
}

function titleOf(card: DeckCard): string {
  switch (card.kind) {
    case 'before':
      return messages.beforeTheDay;
    case 'shot':
      return shotName(card.parts[0]?.shot);
    case 'tasks':
      return tasksName(card);
    case 'after':
      return messages.afterTheDay;
  }
}

function isDone(card: DeckCard, ticked: ReadonlySet<string>): boolean {
  if (card.kind === 'shot') return card.done !== null;
  return card.kind === 'tasks' && card.tasks.every(({ id }) => ticked.has(id));
}

function stateOf(card: DeckCard, ticked: ReadonlySet<string>): string {
  if (card.kind === 'shot') return card.done === null ? '' : `, ${card.done}`;
  return isDone(card, ticked) ? messages.done : '';
}

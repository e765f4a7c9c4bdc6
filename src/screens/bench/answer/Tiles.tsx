'use client';

import * as messages from '@/language/bench/answer';
import type { MenuProps } from 'antd';
import { Pin } from 'lucide-react';
import { memo, useLayoutEffect, useMemo, useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { PAGE_OF_SETTING } from '@/core/records/settings';
import type { Brief } from '@/core/brief/brief';
import type { DayHold } from '@/core/day/dayHold';
import type { SettingKey, Settings } from '@/core/records/settings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { clamp } from '@/core/units/stops';
import { CARD_KEYS, SECOND_ROW_KEYS } from '@/words/cardKeys';
import { heldText } from '@/words/dayHoldText';
import type { HeldText } from '@/words/dayHoldText';
import { dayPartName } from '@/words/shotName';
import { reasonsOf } from '@/core/answer/reasons';
import type { Solution } from '@/core/answer/solve';
import { SETTING_LABEL } from '@/words/labels';
import { reasonText } from '@/words/reasons/reasonText';
import { tellingOf } from '@/words/reasons/telling';
import type { ReasonText } from '@/words/sentences';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import { sliderStep } from '../../ui/arrowKeys';
import { MenuUnder } from '../../ui/MenuUnder';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { holdIn, useInDay } from '../../data/inDay';
import { WhyLink } from '../../ui/WhyLink';
import type { ShotEditing } from '../../data/useShotEditing';
import styles from '../bench.module.css';
import { choicesFor, pinCost } from './choices';
import { pinKeysOf, pinnedTo, pinsHolding, released } from './pins';
import type { TileChoice } from './choices';

export interface TilesProps {
  brief: Brief;
  solution: Solution;
  editing: ShotEditing;
  /** Which camera of the shot. */
  part: number;
  /** The answer is from before the brief could no longer be answered, or before its day is worked out. */
  stale: boolean;
}

/** The eight settings, always in the same order and place, and the smaller second row. */
export function Tiles(props: TilesProps): ReactNode {
  const { brief, solution, part, stale } = props;
  const inDay = useInDay();
  const hold = holdIn(inDay, part);
  // Values follow the hand at once; their reasons look at the neighbours of every value and come a moment later.
  const reasoned = useAfterPaint(solution);
  const reasons = useMemo(() => {
    const telling = tellingOf(reasoned.space.brief);
    return new Map<SettingKey, ReasonText>(
      reasonsOf(reasoned).map((reason) => [reason.setting, reasonText(reason, telling)]),
    );
  }, [reasoned]);
  const costs = useMemo(() => {
    const pinned = KEYS.filter((key) => isPinned(reasoned.space.brief, key));
    return new Map<SettingKey, number>(
      pinned.map((key) => [key, pinCost(key, reasoned.space.brief, reasoned.score)]),
    );
  }, [reasoned]);
  const [notation] = usePreference('filterNotation');
  const held = useMemo(() => {
    const found = new Map<SettingKey, HeldText>();
    if (!hold || !inDay) return found;
    const nameOf = (id: string): string => dayPartName(inDay.worked.day.part(id));
    for (const key of KEYS) {
      const text = brief.held[key] && heldText(hold, key, nameOf, brief.filters, notation);
      if (text) found.set(key, text);
    }
    return found;
  }, [hold, inDay, brief, notation]);
  const hand = useHand({ ...props, hold, notation });
  const tiles = (keys: readonly SettingKey[], small: boolean): ReactNode =>
    keys.map((key) => {
      const why = reasons.get(key);
      const text = settingText(key, solution.settings, brief.filters, notation);
      const [loud, soft] = split(key, solution.settings, text);
      return (
        <Tile
          key={key}
          setting={key}
          text={text}
          loud={loud}
          soft={soft}
          isPinned={isPinned(brief, key)}
          why={small || held.has(key) ? null : (why?.short ?? why?.text ?? null)}
          held={held.get(key) ?? null}
          cost={stale ? null : costText(brief, key, costs.get(key) ?? null)}
          small={small}
          hand={hand}
        />
      );
    });
  return (
    <div aria-busy={stale} className={stale ? styles.stale : undefined}>
      <div className={styles.tiles}>{tiles(CARD_KEYS, false)}</div>
      <div className={styles.secondRow}>{tiles(SECOND_ROW_KEYS, true)}</div>
    </div>
  );
}

const KEYS = [...CARD_KEYS, ...SECOND_ROW_KEYS];

/** What a pin costs, in words; of one just set it comes a moment later. */
function costText(brief: Brief, key: SettingKey, cost: number | null): string | null {
  if (!isPinned(brief, key)) return null;
  if (cost === null) return messages.pinned;
  return cost > 0.02 ? messages.pinnedCosts({ cost: tenths(cost) }) : messages.pinnedCostsNothing;
}

/** What a tile's hand does; the same functions for as long as the tiles stand, acting on what stands now. */
interface Hand {
  choices: (setting: SettingKey) => TileChoice[];
  take: (setting: SettingKey, choice: TileChoice) => void;
  toggle: (setting: SettingKey) => void;
  /** Takes what the shot would have alone, whatever its day decides. */
  free: (setting: SettingKey) => void;
}

function useHand(now: TilesProps & { hold: DayHold | null; notation: FilterNotation }): Hand {
  const latest = useRef(now);
  useLayoutEffect(() => {
    latest.current = now;
  });
  return useMemo(
    () => ({
      choices: (setting) => {
        const { brief, solution, notation } = latest.current;
        return choicesFor(setting, brief, solution.settings, notation);
      },
      take: (setting, choice) =>
        latest.current.editing.preview(messages.setThe({ name: lowName(setting) }), (shot) =>
          pinnedTo(shot, setting, choice.pins),
        ),
      toggle: (setting) => {
        const { brief, solution, editing } = latest.current;
        const name = lowName(setting);
        if (isPinned(brief, setting))
          editing.commit(messages.letTheGo({ name }), (shot) => released(shot, setting));
        else
          editing.commit(messages.pinThe({ name }), (shot) =>
            pinnedTo(shot, setting, pinsHolding(setting, solution.settings)),
          );
      },
      free: (setting) => {
        const { hold, editing } = latest.current;
        if (!hold) return;
        editing.commit(messages.takeItWhateverTheDay({ name: lowName(setting) }), (shot) =>
          pinnedTo(shot, setting, pinsHolding(setting, hold.alone)),
        );
      },
    }),
    [],
  );
}

const lowName = (setting: SettingKey): string => SETTING_LABEL[setting].toLowerCase();

/** Drawn anew only when what it shows is another: of sixteen tiles a nudge changes two or three. */
const Tile = memo(function Tile({
  setting,
  text,
  loud,
  soft,
  isPinned: pinned,
  why,
  held,
  cost,
  small,
  hand,
}: {
  setting: SettingKey;
  /** The value as it is read aloud. */
  text: string;
  /** The value as it is shown: what is loud, and what stands beside it set smaller. */
  loud: string;
  soft: string;
  isPinned: boolean;
  why: string | null;
  /** What the shot's day says of it, where it does. */
  held: HeldText | null;
  cost: string | null;
  small: boolean;
  hand: Hand;
}): ReactNode {
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === ' ') {
      event.preventDefault();
      hand.toggle(setting);
      return;
    }
    const step = sliderStep(event, 3);
    if (step === null) return;
    const choices = hand.choices(setting);
    const at = choices.findIndex(({ current }) => current);
    const next = choices[clamp(at + step, 0, choices.length - 1)];
    if (next) hand.take(setting, next);
  };
  const name = SETTING_LABEL[setting];
  return (
    <div
      className={[
        styles.tile,
        small ? styles.small : '',
        pinned ? styles.pinned : '',
        held ? styles.held : '',
      ].join(' ')}
    >
      <span className={styles.tileName}>{name}</span>
      <MenuUnder menu={() => choiceMenu(hand.choices(setting), (choice) => hand.take(setting, choice))}>
        <button
          type="button"
          className={`${styles.tileValue ?? ''} numerals`}
          aria-label={`${name}: ${text}, ${pinned ? messages.pinnedByYou : held ? messages.heldByTheDay : messages.workedOut}`}
          aria-haspopup="menu"
          onKeyDown={onKeyDown}
        >
          <span>{loud}</span>
          {soft !== '' && <small>{soft}</small>}
        </button>
      </MenuUnder>
      <button
        type="button"
        className={styles.pin}
        aria-pressed={pinned}
        onClick={() => hand.toggle(setting)}
        aria-label={messages.pin({ name: lowName(setting) })}
      >
        <Pin size={15} fill={pinned ? 'currentColor' : 'none'} aria-hidden />
      </button>
      {!small && why !== null && (
        <p className={styles.tileWhy}>
          {why} <WhyLink page={PAGE_OF_SETTING[setting]} />
        </p>
      )}
      {held && (
        <>
          <p className={styles.tileWhy}>
            {held.why} {held.alone}
          </p>
          <button type="button" className={styles.free} onClick={() => hand.free(setting)}>
            {held.take}
          </button>
        </>
      )}
      {cost !== null && <p className={styles.tileCost}>{cost}</p>}
    </div>
  );
});

function choiceMenu(choices: readonly TileChoice[], take: (choice: TileChoice) => void): MenuProps {
  return {
    items: choices.map((choice, index) => ({ key: String(index), label: choice.label })),
    selectedKeys: choices.flatMap(({ current }, index) => (current ? [String(index)] : [])),
    onClick: ({ key }) => {
      const choice = choices[Number(key)];
      if (choice) take(choice);
    },
    style: { maxHeight: 340, overflow: 'auto' },
  };
}

function isPinned(brief: Brief, setting: SettingKey): boolean {
  return pinKeysOf(setting).some((key) => brief.pins[key] !== undefined && brief.held[key] === undefined);
}

function split(setting: SettingKey, settings: Settings, text: string): [loud: string, soft: string] {
  switch (setting) {
    case 'shutterSeconds':
      return settings.shutterMode === 'auto'
        ? [shutterFraction(settings.shutterSeconds), messages.sAndShorterAuto]
        : [
            shutterFraction(settings.shutterSeconds),
            messages.sAtAngle({ angle: trimmed(settings.shutterAngleDeg, 0) }),
          ];
    case 'resolution':
      return [String(settings.resolution.width), `×${settings.resolution.height}`];
    case 'filter':
      return settings.filter.ids.length === 0
        ? [text, '']
        : [text, messages.stops({ stops: trimmed(settings.filter.stops, 1) })];
    case 'frameRate':
    case 'bitRateMbps':
    case 'view': {
      const at = text.lastIndexOf(' ');
      return [text.slice(0, at), text.slice(at + 1)];
    }
    default:
      return [text, ''];
  }
}

'use client';

import * as messages from '@/language/bench/answer';
import { Pin } from 'lucide-react';
import { useDeferredValue, useMemo } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { SettingKey, Settings } from '@/core/records/settings';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { CARD_KEYS, SECOND_ROW_KEYS } from '@/words/card';
import { reasonsOf } from '@/core/answer/reasons';
import type { Solution } from '@/core/answer/solve';
import { SETTING_LABEL } from '@/words/labels';
import { reasonText } from '@/words/reasonText';
import type { ReasonText } from '@/words/sentences';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import { MenuUnder } from '../../ui/MenuUnder';
import type { ShotEditing } from '../../data/useShotEditing';
import styles from '../bench.module.css';
import { choicesFor, pinCost } from './choices';
import { pinKeysOf, pinnedTo, pinsHolding, released } from './pins';
import type { Choice } from './choices';

interface Props {
  brief: Brief;
  solution: Solution;
  editing: ShotEditing;
  /** The answer is from before the brief could no longer be answered. */
  stale: boolean;
}

/** The eight settings, always in the same order and place, and the smaller second row. */
export function Tiles(props: Props): ReactNode {
  // Values follow the hand at once; their reasons look at the neighbours of every value and come a moment later.
  const reasoned = useDeferredValue(props.solution);
  const reasons = useMemo(() => {
    const telling = { light: reasoned.space.brief.light, kit: reasoned.space.brief.filters };
    return new Map(reasonsOf(reasoned).map((reason) => [reason.setting, reasonText(reason, telling)]));
  }, [reasoned]);
  const costs = useMemo(() => {
    const { brief } = reasoned.space;
    const pinned = [...CARD_KEYS, ...SECOND_ROW_KEYS].filter((key) => isPinned(brief, key));
    return new Map<SettingKey, number>(pinned.map((key) => [key, pinCost(key, brief, reasoned.score)]));
  }, [reasoned]);
  const [notation] = usePreference('filterNotation');
  return (
    <div aria-busy={props.stale} className={props.stale ? styles.stale : undefined}>
      <div className={styles.tiles}>
        {CARD_KEYS.map((key) => (
          <Tile key={key} setting={key} notation={notation} reasons={reasons} costs={costs} {...props} />
        ))}
      </div>
      <div className={styles.secondRow}>
        {SECOND_ROW_KEYS.map((key) => (
          <Tile
            key={key}
            setting={key}
            notation={notation}
            reasons={reasons}
            costs={costs}
            small
            {...props}
          />
        ))}
      </div>
    </div>
  );
}

function Tile({
  setting,
  brief,
  solution: { settings },
  editing,
  stale,
  notation,
  reasons,
  costs,
  small = false,
}: Props & {
  reasons: ReadonlyMap<string, ReasonText>;
  /** What the pins cost, by setting; of one just set it comes a moment later. */
  costs: ReadonlyMap<SettingKey, number>;
  setting: SettingKey;
  notation: FilterNotation;
  small?: boolean;
}): ReactNode {
  const pinned = isPinned(brief, setting);
  const why = reasons.get(setting);
  const name = SETTING_LABEL[setting];
  const text = settingText(setting, settings, brief.filters, notation);
  const cost = costs.get(setting) ?? null;

  const take = (choice: Choice): void =>
    editing.preview(messages.setThe({ name: name.toLowerCase() }), (shot) =>
      pinnedTo(shot, setting, choice.pins),
    );
  const toggle = (): void =>
    editing.commit(
      pinned
        ? messages.letTheGo({ name: name.toLowerCase() })
        : messages.pinThe({ name: name.toLowerCase() }),
      (shot) => (pinned ? released(shot, setting) : pinnedTo(shot, setting, pinsHolding(setting, settings))),
    );
  const onKeyDown = (event: KeyboardEvent): void => {
    const up = event.key === 'ArrowUp' || event.key === 'ArrowRight';
    const down = event.key === 'ArrowDown' || event.key === 'ArrowLeft';
    if (event.key === ' ') {
      event.preventDefault();
      toggle();
    } else if (up || down) {
      event.preventDefault();
      const choices = choicesFor(setting, brief, settings, notation);
      const at = choices.findIndex(({ current }) => current);
      const far = event.shiftKey ? 3 : 1;
      const next = choices[Math.min(choices.length - 1, Math.max(0, at + (up ? far : -far)))];
      if (next) take(next);
    }
  };

  return (
    <div
      className={`${styles.tile ?? ''} ${small ? (styles.small ?? '') : ''} ${pinned ? (styles.pinned ?? '') : ''}`}
    >
      <span className={styles.tileName}>{name}</span>
      <MenuUnder
        menu={() => {
          const choices = choicesFor(setting, brief, settings, notation);
          return {
            items: choices.map((choice, index) => ({ key: String(index), label: choice.label })),
            selectedKeys: choices.flatMap(({ current }, index) => (current ? [String(index)] : [])),
            onClick: ({ key }) => {
              const choice = choices[Number(key)];
              if (choice) take(choice);
            },
            style: { maxHeight: 340, overflow: 'auto' },
          };
        }}
      >
        <button
          type="button"
          className={`${styles.tileValue ?? ''} numerals`}
          aria-label={`${name}: ${text}, ${pinned ? messages.pinnedByYou : messages.workedOut}`}
          aria-haspopup="menu"
          onKeyDown={onKeyDown}
        >
          <TileValue setting={setting} settings={settings} text={text} />
        </button>
      </MenuUnder>
      <button
        type="button"
        className={styles.pin}
        aria-pressed={pinned}
        onClick={toggle}
        aria-label={messages.pin({ name: name.toLowerCase() })}
      >
        <Pin size={15} fill={pinned ? 'currentColor' : 'none'} aria-hidden />
      </button>
      {!small && <p className={styles.tileWhy}>{why?.short ?? why?.text}</p>}
      {pinned && !stale && (
        <p className={styles.tileCost}>
          {cost === null
            ? messages.pinned
            : cost > 0.02
              ? messages.pinnedCosts({ cost: tenths(cost) })
              : messages.pinnedCostsNothing}
        </p>
      )}
    </div>
  );
}

function isPinned(brief: Brief, setting: SettingKey): boolean {
  return pinKeysOf(setting).some((key) => brief.pins[key] !== undefined);
}

/** The loud part of a tile, with what belongs beside it set smaller. */
function TileValue({
  setting,
  settings,
  text,
}: {
  setting: SettingKey;
  settings: Settings;
  text: string;
}): ReactNode {
  const [loud, soft] = split(setting, settings, text);
  return (
    <>
      <span>{loud}</span>
      {soft !== '' && <small>{soft}</small>}
    </>
  );
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

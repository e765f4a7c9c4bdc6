'use client';

import * as messages from '@/language/ui';
import { Phrase } from '../Phrase';
import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { cheapestGiveUps, grants, optionsFor, WISH_KEYS, without } from '@/core/camera/wishes';
import type { GiveUp, WishKey, Wishes } from '@/core/camera/wishes';
import { trimmed } from '@/core/units/format';
import { insteadText, WISH_LABEL, wishText } from '@/words/cameraText';
import { STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { mapOf, USUAL_TIMELINE_FPS } from './cells';
import type { Cell, MapOf } from './cells';
import styles from './modeMap.module.css';

/**
 * Everything a camera can do in one picture: sizes down, frame rates across, and in each cell a small square for every
 * view (across) and hold (down). Wishes light what grants them; what no longer goes with them is hatched, and can be
 * picked all the same, to hear what to give up for it.
 */
export function ModeMap({
  profile,
  wishes,
  onWishes,
}: {
  profile: CameraProfile;
  wishes: Wishes;
  onWishes: (wishes: Wishes) => void;
}): ReactNode {
  const [last, setLast] = useState<WishKey | null>(null);
  const map = useMemo(() => mapOf(profile, wishes), [profile, wishes]);
  const granted = useMemo(
    () => modesOf(profile).filter((mode) => grants(mode, wishes)).length,
    [profile, wishes],
  );
  const wish = (changes: Wishes, key: WishKey): void => {
    setLast(key);
    onWishes({ ...wishes, ...changes });
  };
  const drop = (...keys: WishKey[]): void => onWishes(without(wishes, keys));
  return (
    <div className={styles.map}>
      <div className={styles.wishes} role="group" aria-label={messages.wishes}>
        {WISH_KEYS.map((key) => (
          <div key={key} className={styles.wishRow}>
            <span className={styles.wishName} id={`wish-${key}`}>
              {WISH_LABEL[key]}
            </span>
            <span role="group" aria-labelledby={`wish-${key}`} className={styles.chips}>
              {optionsFor(profile, key, wishes).map(({ value, open }) => {
                const held = wishes[key] === value;
                return (
                  <button
                    key={String(value)}
                    type="button"
                    aria-pressed={held}
                    data-open={open}
                    onClick={() => (held ? drop(key) : wish({ [key]: value }, key))}
                  >
                    {wishText(key, value)}
                    {!open && !held && <span className="unseen">{messages.notWithTheOtherWishes}</span>}
                  </button>
                );
              })}
            </span>
          </div>
        ))}
      </div>
      <Verdict
        profile={profile}
        wishes={wishes}
        granted={granted}
        last={last}
        onDrop={drop}
        onClear={() => onWishes({})}
      />
      <Grid
        map={map}
        wishes={wishes}
        onPick={({ resolutionId, frameRate }) => {
          if (wishes.resolutionId === resolutionId && wishes.frameRate === frameRate)
            drop('resolutionId', 'frameRate');
          else wish({ resolutionId, frameRate }, 'resolutionId');
        }}
      />
      <Legend map={map} />
    </div>
  );
}

/** How many modes grant the wishes, or what to give up so that one does. */
function Verdict({
  profile,
  wishes,
  granted,
  last,
  onDrop,
  onClear,
}: {
  profile: CameraProfile;
  wishes: Wishes;
  granted: number;
  last: WishKey | null;
  onDrop: (...keys: WishKey[]) => void;
  onClear: () => void;
}): ReactNode {
  const any = WISH_KEYS.some((key) => wishes[key] !== undefined);
  const wanted =
    last !== null && wishes[last] !== undefined ? last : WISH_KEYS.find((key) => wishes[key] !== undefined);
  const ways: GiveUp[] = granted > 0 || !wanted ? [] : cheapestGiveUps(profile, wishes, wanted);
  return (
    <div className={styles.verdict} role="status">
      {granted > 0 ? (
        <p>
          <Phrase
            of={messages.ofModesGrantTheseWishes({ count: modesOf(profile).length, any })}
            parts={[<strong className="numerals">{granted}</strong>]}
          />
          {any && (
            <Button type="link" onClick={onClear}>
              {messages.letAllWishesGo}
            </Button>
          )}
        </p>
      ) : (
        <>
          <p className={styles.dark}>
            {messages.noModeGrantsAllOf({
              wanted: wanted ? messages.toHaveGiveUp({ wanted: wishText(wanted, wishes[wanted] ?? '') }) : '',
            })}
          </p>
          <ul>
            {ways.map((way) => (
              <li key={way.keys.join()}>
                <Button onClick={() => onDrop(...way.keys)}>
                  {way.keys.map((key) => wishText(key, wishes[key] ?? '')).join(messages.and)}
                </Button>{' '}
                <span className="quiet">{messages.andTake({ way: insteadText(way) })}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Grid({
  map,
  wishes,
  onPick,
}: {
  map: MapOf;
  wishes: Wishes;
  onPick: (cell: Cell) => void;
}): ReactNode {
  const [at, setAt] = useState<[number, number]>([0, 0]);
  const table = useRef<HTMLTableElement>(null);
  const move = (event: KeyboardEvent, row: number, column: number): void => {
    const step = { ArrowDown: [1, 0], ArrowUp: [-1, 0], ArrowRight: [0, 1], ArrowLeft: [0, -1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const nextRow = Math.min(map.resolutions.length - 1, Math.max(0, row + (step[0] ?? 0)));
    const nextColumn = Math.min(map.frameRates.length - 1, Math.max(0, column + (step[1] ?? 0)));
    setAt([nextRow, nextColumn]);
    table.current?.querySelector<HTMLButtonElement>(`[data-cell="${nextRow}-${nextColumn}"]`)?.focus();
  };
  return (
    <div className={styles.scroll} tabIndex={-1}>
      <table ref={table} className={styles.grid} aria-label={messages.modeMapSizesByFrame}>
        <thead>
          <tr>
            <td />
            {map.frameRates.map((rate) => (
              <th key={rate} scope="col" className="numerals">
                {trimmed(rate, 3)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {map.cells.map((row, rowAt) => (
            <tr key={map.resolutions[rowAt]}>
              <th scope="row">{map.resolutions[rowAt]}</th>
              {row.map((cell, columnAt) => (
                <td key={cell.frameRate}>
                  <button
                    type="button"
                    data-cell={`${rowAt}-${columnAt}`}
                    data-granted={cell.granted > 0}
                    aria-pressed={
                      wishes.resolutionId === cell.resolutionId && wishes.frameRate === cell.frameRate
                    }
                    tabIndex={at[0] === rowAt && at[1] === columnAt ? 0 : -1}
                    aria-label={cellLabel(cell, map)}
                    onFocus={() => setAt([rowAt, columnAt])}
                    onKeyDown={(event) => move(event, rowAt, columnAt)}
                    onClick={() => onPick(cell)}
                  >
                    <CellMarks cell={cell} />
                  </button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const SQUARE = 12;
const GAP = 2;

function CellMarks({ cell }: { cell: Cell }): ReactNode {
  const views = cell.marks[0]?.length ?? 0;
  const width = views * (SQUARE + GAP);
  const height = cell.marks.length * (SQUARE + GAP);
  const there = cell.marks.some((row) => row.some((mark) => mark !== 'none'));
  return (
    <>
      <svg width={width} height={height} aria-hidden>
        {cell.marks.map((row, holdAt) =>
          row.map((mark, viewAt) => {
            const x = viewAt * (SQUARE + GAP);
            const y = holdAt * (SQUARE + GAP);
            return mark === 'none' ? (
              <circle
                key={viewAt}
                cx={x + SQUARE / 2}
                cy={y + SQUARE / 2}
                r={0.9}
                className={styles.nothing}
              />
            ) : (
              <rect
                key={viewAt}
                x={x + 0.5}
                y={y + 0.5}
                width={SQUARE - 1}
                height={SQUARE - 1}
                className={mark === 'lit' ? styles.lit : styles.unlit}
              />
            );
          }),
        )}
      </svg>
      <span className={styles.foot} aria-hidden>
        {there ? footOf(cell) : ' '}
      </span>
    </>
  );
}

/** The line under a cell's squares: bits, H when only HEVC, how far it slows. */
function footOf({ tenBit, hevcOnly, slows, slowMotionOnly }: Cell): string {
  const slow = slows > 1 ? ` ${slows}×${slowMotionOnly ? messages.slow : ''}` : '';
  return `${tenBit ? '10' : '8'}${hevcOnly ? messages.h : ''}${slow}`;
}

function cellLabel(cell: Cell, map: MapOf): string {
  const name = messages.atFps({ resolutionId: cell.resolutionId, frameRate: trimmed(cell.frameRate, 3) });
  const holds = map.stabilizations.flatMap((hold, holdAt) => {
    const views = map.views.filter((_, viewAt) => cell.marks[holdAt]?.[viewAt] === 'lit');
    return views.length === 0 ? [] : [`${STABILIZATION_LABEL[hold]}: ${views.map(viewLabel).join(', ')}`];
  });
  if (holds.length === 0) return messages.nothingAsWished({ name });
  const slow = cell.slows > 1 ? messages.slowsTimes({ slows: cell.slows }) : '';
  const more = `${cell.tenBit ? messages.n10Bit : ''}${slow}${cell.slowMotionOnly ? messages.slowMotionOnly : ''}`;
  return `${name}: ${holds.join('; ')}${more}`;
}

function Legend({ map }: { map: MapOf }): ReactNode {
  return (
    <p className={styles.legend}>
      <Phrase
        of={messages.inEachCellViewsAcross({
          views: map.views.map(viewLabel).join(', '),
          stabilizations: map.stabilizations.map((hold) => STABILIZATION_LABEL[hold]).join(', '),
          usualTimelineFps: USUAL_TIMELINE_FPS,
        })}
        parts={[<em>{messages.slowWord}</em>]}
      />
    </p>
  );
}

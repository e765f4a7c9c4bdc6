import * as messages from '@/language/ui';
import { useRef, useState } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { ModeWishes } from '@/core/camera/wishes';
import { trimmed } from '@/core/units/format';
import { STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import type { Cell, MapOf } from './cells';
import styles from './modeMap.module.css';

/** Sizes down, frame rates across: in each cell what goes with them, lit where it grants the wishes. */
export function ModeGrid({
  map,
  wishes,
  onPick,
}: {
  map: MapOf;
  wishes: ModeWishes;
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

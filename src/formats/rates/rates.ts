import * as messages from '@/language/formats/rates';
import Papa from 'papaparse';
import type { Rate } from '@/core/instrument/shake';
import { worded } from '@/core/schema/fault';
import type { Checked, Fault } from '@/core/schema/fault';

/** Columns of a sheet of rates, as it is written. */
const COLUMNS = ['seconds', 'x (deg/s)', 'y (deg/s)', 'z (deg/s)'] as const;
/** An hour at two hundred readings a second. */
const MOST_ROWS = 720_000;
const DEG = 180 / Math.PI;

/** Rates as a sheet; reading it back gives the same. */
export function writeRates(rates: readonly Rate[]): string {
  const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;
  return Papa.unparse(
    { fields: [...COLUMNS], data: rates.map(({ atSeconds, x, y, z }) => [atSeconds, x, y, z].map(rounded)) },
    { newline: '\r\n' },
  );
}

interface Column {
  name: string;
  /** To seconds, or to degrees a second. */
  times: number;
}

/**
 * Reads a sheet of rates: a column that begins with "time" or "seconds" (milliseconds or microseconds where its name says
 * so) and three rates named x, y, z (degrees a second; radians where the name says "rad"), whatever else stands beside
 * them. Every fault is told with its row and column; with one, nothing is taken.
 */
export function readRates(text: string): Checked<Rate[]> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
  });
  const header = parsed.meta.fields ?? [];
  const time = timeIn(header);
  const axes = (['x', 'y', 'z'] as const).map((axis) => axisIn(header, axis));
  const [x, y, z] = axes;
  if (!time || !x || !y || !z) {
    const missing = [
      ...(time ? [] : ['seconds']),
      ...axes.flatMap((one, at) => (one ? [] : [['x', 'y', 'z'][at]])),
    ];
    return {
      ok: false,
      faults: [worded(messages.row({ row: 1 }), messages.columnsMissing({ missing: missing.join(', ') }))],
    };
  }
  if (parsed.data.length > MOST_ROWS)
    return {
      ok: false,
      faults: [worded(messages.row({ row: MOST_ROWS + 2 }), messages.tooManyRows({ most: MOST_ROWS }))],
    };
  const faults: Fault[] = [];
  const rates: Rate[] = [];
  parsed.data.forEach((cells, index) => {
    const number = ({ name, times }: Column): number => {
      const given = cells[name]?.trim() ?? '';
      const value = Number(given.replace(/^(-?\d+),(\d+)$/, '$1.$2'));
      if (given === '' || !Number.isFinite(value))
        faults.push(
          worded(messages.rowColumn({ row: index + 2, column: name }), messages.expectedANumber({ given })),
        );
      return value * times;
    };
    const rate = { atSeconds: number(time), x: number(x), y: number(y), z: number(z) };
    const before = rates.at(-1);
    if (before && rate.atSeconds <= before.atSeconds)
      faults.push(worded(messages.rowColumn({ row: index + 2, column: time.name }), messages.expectedLater));
    rates.push(rate);
  });
  if (faults.length > 0) return { ok: false, faults };
  const start = rates[0]?.atSeconds ?? 0;
  return { ok: true, value: rates.map((rate) => ({ ...rate, atSeconds: rate.atSeconds - start })) };
}

function timeIn(header: readonly string[]): Column | null {
  const name = header.find((one) => /^(time|seconds|t\b|timestamp)/i.test(one));
  if (name === undefined) return null;
  const unit = /\b(ms|milli\w*)\b|_ms\b/i.test(name)
    ? 1e-3
    : /\b(us|µs|micro\w*)\b|_us\b/i.test(name)
      ? 1e-6
      : 1;
  return { name, times: unit };
}

/** "x (deg/s)", "gyro_x", "rotation rate x rad/s". */
function axisIn(header: readonly string[], axis: 'x' | 'y' | 'z'): Column | null {
  const name = header.find((one) => new RegExp(`(^|[^a-z])${axis}([^a-z]|$)`, 'i').test(one));
  return name === undefined ? null : { name, times: /rad/i.test(name) ? DEG : 1 };
}

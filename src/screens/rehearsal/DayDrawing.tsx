import * as messages from '@/language/rehearsal';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX } from 'd3-shape';
import type { ReactNode } from 'react';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import type { LookedAt, SeenPart } from '@/workers/rehearse';
import { busyStretch } from '../outing/ribbon/dayShape';
import { HourLines, timeAxis } from '../ui/timeAxis';
import type { TimeAxis } from '../ui/timeAxis';
import drawing from '../ui/timeDrawing.module.css';
import styles from './rehearsal.module.css';
import { failureText, LONG_DAY } from './told';

const LAY = { left: 92, right: 20, axis: 20, cloud: 34, light: 70, lane: 46 };
const BLOCK = 14;
/** A shot that failed falls out of its lane by this. */
const FALLS = 14;

/** One drawn day over the clock: its cloud, its light, and each camera's shots, which fall out of their lane where they failed. */
export function DayDrawing({
  lived,
  day,
  zone,
  width,
  frame,
}: {
  lived: LookedAt;
  day: WorkedDay;
  zone: string;
  width: number;
  frame: { current: HTMLDivElement | null };
}): ReactNode {
  const { cameras } = day;
  const livedOf = new Map(lived.parts.map((one) => [one.id, one]));
  const axis = timeAxis(busyStretch(day), { left: LAY.left, right: width - LAY.right }, frame);
  const sky = LAY.axis + (lived.clouds ? LAY.cloud : 0);
  const height = sky + LAY.light + cameras.length * LAY.lane + 4;
  const evs = day.parts.flatMap(({ id }) => livedOf.get(id) ?? []);
  const ends = [
    Math.min(0, ...evs.map(({ evMin }) => evMin)),
    Math.max(16, ...evs.map(({ evMax }) => evMax)),
  ];
  const y = scaleLinear(ends, [sky + LAY.light - 4, sky + 4]);
  return (
    <svg width={width} height={height} role="img" aria-label={messages.livedDay}>
      <HourLines axis={axis} zone={zone} from={LAY.axis} to={height} labelY={13} />
      {lived.clouds && (
        <>
          <text className={styles.lane} x={8} y={LAY.axis + 20}>
            {messages.cloudLane}
          </text>
          <path className={styles.cloud} d={cloudPath(lived.clouds, day.fromMs, axis)} />
        </>
      )}
      <text className={styles.lane} x={8} y={sky + 20}>
        {messages.lightLane}
      </text>
      {cameras.map(({ id, profile, parts }, lane) => {
        const top = sky + LAY.light + lane * LAY.lane;
        return (
          <g key={id}>
            <line className={drawing.hair} x1={0} x2={width} y1={top} y2={top} />
            <text className={styles.lane} x={8} y={top + 20}>
              {profile.name}
            </text>
            <Lane blocks={parts.flatMap((part) => blockOf(part, livedOf.get(part.id), { axis, y, top }))} />
            {lived.outs
              .filter(({ cameraId }) => cameraId === id)
              .map(({ what, atMs }) => (
                <path
                  key={what}
                  className={styles.ranOut}
                  d={`M${axis.x(atMs)} ${top + 2} V${top + LAY.lane - 2}`}
                >
                  <title>{failureText(what)}</title>
                </path>
              ))}
          </g>
        );
      })}
    </svg>
  );
}

/** One part of the day as it is drawn: its light, where it was planned, and where it was lived through. */
interface Block {
  id: string;
  failed: boolean;
  light: Rect;
  planned: Rect;
  lived: Rect;
}

interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

function blockOf(
  { id, fromMs, toMs }: WorkedPart,
  own: SeenPart | undefined,
  { axis, y, top }: { axis: TimeAxis; y: (ev: number) => number; top: number },
): Block[] {
  if (!own) return [];
  const planned = axis.between({ fromMs, toMs });
  const went = axis.between({ fromMs: fromMs + own.delayMs, toMs: toMs + own.delayMs });
  const failed = own.failed.size > 0;
  const width = Math.max(4, went.width);
  const light = y(own.evMax);
  return [
    {
      id,
      failed,
      light: { x: went.x, y: light, width, height: Math.max(2, y(own.evMin) - light) },
      planned: { x: planned.x, y: top + 6, width: Math.max(4, planned.width), height: BLOCK },
      lived: { x: went.x, y: top + 6 + (failed ? FALLS : 0), width, height: BLOCK },
    },
  ];
}

/** The parts of one camera. Of a long day many are one path: it is drawn six times a second. */
function Lane({ blocks }: { blocks: readonly Block[] }): ReactNode {
  if (blocks.length <= LONG_DAY)
    return blocks.map(({ id, failed, light, planned, lived }) => (
      <g key={id} data-failed={failed} className={styles.livedPart}>
        <rect className={styles.lightOf} {...light} />
        <rect className={styles.planned} {...planned} />
        <rect className={styles.lived} {...lived} />
      </g>
    ));
  return [true, false].map((failed) => {
    const own = blocks.filter((block) => block.failed === failed);
    return (
      <g key={String(failed)} data-failed={failed} className={styles.livedPart}>
        <path className={styles.lightOf} d={pathOf(own.map(({ light }) => light))} />
        <path className={styles.planned} d={pathOf(own.map(({ planned }) => planned))} />
        <path className={styles.lived} d={pathOf(own.map(({ lived }) => lived))} />
      </g>
    );
  });
}

function pathOf(rects: readonly Rect[]): string {
  return rects.map(({ x, y, width, height }) => `M${x} ${y}h${width}v${height}h${-width}z`).join('');
}

const HOUR_MS = 3_600_000;
/** So many spreads darker than foretold fill the lane; as many brighter empty it. */
const FULL = 2;

/** A bank of cloud under the top of its lane: the thicker, the darker the hour. */
function cloudPath(clouds: readonly number[], dayFromMs: number, { shown, x }: TimeAxis): string {
  const hours = clouds
    .map((spreads, hour) => ({ atMs: dayFromMs + hour * HOUR_MS, spreads }))
    .filter(({ atMs }) => atMs > shown.fromMs - HOUR_MS && atMs < shown.toMs + HOUR_MS);
  const thick = scaleLinear([FULL, -FULL], [0, LAY.cloud - 6]).clamp(true);
  const left = (atMs: number): number => x(Math.min(shown.toMs, Math.max(shown.fromMs, atMs)));
  return (
    area<(typeof hours)[number]>()
      .x(({ atMs }) => left(atMs))
      .y0(LAY.axis + 2)
      .y1(({ spreads }) => LAY.axis + 2 + thick(spreads))
      .curve(curveMonotoneX)(hours) ?? ''
  );
}

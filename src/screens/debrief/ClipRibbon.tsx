'use client';

import * as messages from '@/language/debrief';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Clip } from '@/core/records/clip';
import type { WorkedCamera } from '@/core/day/workedDay';
import { item } from '@/core/units/items';
import { dayPartName } from '@/words/shotName';
import { spanText } from '@/words/lightText';
import { blockWords, BOLD, busyStretch, LANE } from '../outing/ribbon/dayShape';
import { acrossStep } from '../ui/arrowKeys';
import { fitted } from '../ui/fitted';
import { HourLines, timeAxis } from '../ui/timeAxis';
import type { TimeAxis } from '../ui/timeAxis';
import { usePointerDrag } from '../ui/usePointerDrag';
import { useWidth } from '../ui/useWidth';
import { partOf } from './dayTakes';
import drawing from '../ui/timeDrawing.module.css';
import styles from './drawn.module.css';
import { clipName, isDoubtful, shotOfClip, verdictText, whenText } from './shown';
import type { DebriefProps } from './shown';

const LAY = { left: 92, right: 20, axis: 22, shot: 26, clip: 22, gap: 10 };
const LANE_HEIGHT = LAY.shot + LAY.clip + LAY.gap;

/** The day over the clock: what each camera was to film, and under it what came back. Clips are pulled to another shot. */
export function ClipRibbon(props: DebriefProps): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const empty = props.worked.parts.length === 0;
  return (
    <div ref={frame} className={drawing.ribbon}>
      {empty && <p className="quiet">{messages.nothingPlannedOnThisDay}</p>}
      {!empty && width > 0 && <Drawing {...props} width={width} frame={frame} />}
    </div>
  );
}

function Drawing({
  clips,
  worked,
  zone,
  onChoose,
  onMove,
  width,
  frame,
}: DebriefProps & { width: number; frame: { current: HTMLDivElement | null } }): ReactNode {
  const { cameras } = worked;
  const axis = timeAxis(busyStretch(worked), { left: LAY.left, right: width - LAY.right }, frame);
  const strays = clips.filter(({ entryId }) => entryId === null);
  const lanes = cameras.length + (strays.length > 0 ? 1 : 0);
  const height = LAY.axis + lanes * LANE_HEIGHT + 4;
  const { drag, grip } = usePointerDrag<string, number>(axis.at, {
    drop: ({ held, from, to }) => {
      const clip = clips.find(({ id }) => id === held);
      if (!clip) return;
      // What is not pulled is pressed.
      if (Math.abs(axis.x(to) - axis.x(from)) < 6) onChoose(clip.id);
      else onMove(clip, nearestPart(worked.cameras, clip, startOf(clip, worked) + to - from));
    },
    cancel: () => undefined,
  });
  const pulled = (clip: Clip): number => (drag?.held === clip.id ? drag.to - drag.from : 0);
  const keys = (event: KeyboardEvent, clip: Clip): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose(clip.id);
      return;
    }
    const step = acrossStep(event, 1);
    if (step !== null) onMove(clip, besidePart(worked.cameras, clip, Math.sign(step)));
  };
  const block = (clip: Clip, top: number): ReactNode => (
    <ClipBlock
      key={clip.id}
      clip={clip}
      axis={axis}
      fromMs={startOf(clip, worked) + pulled(clip)}
      top={top}
      label={[clipName(clip), shotOfClip(clip, worked), whenText(clip, zone), verdictText(clip, worked)].join(
        ', ',
      )}
      handlers={{ ...grip(clip.id), onKeyDown: (event: KeyboardEvent) => keys(event, clip) }}
    />
  );
  return (
    <svg width={width} height={height} role="group" aria-label={messages.clipsOfTheDay}>
      <HourLines axis={axis} zone={zone} from={LAY.axis} to={height} labelY={14} />
      {cameras.map((camera, lane) => {
        const top = LAY.axis + lane * LANE_HEIGHT;
        const name = camera.profile.name;
        const own = clips.filter((clip) => clip.entryId !== null && clip.cameraId === camera.id);
        const blocks = camera.parts.map((part) => {
          const { x, width: wide } = axis.between(part);
          return { left: x, wide: Math.max(6, wide) };
        });
        const words = blockWords(blocks, width);
        return (
          <g key={camera.id} role="group" aria-label={name}>
            <text x={8} y={top + 18} className={drawing.lane}>
              {fitted(name, LAY.left - 14, LANE)}
              <title>{name}</title>
            </text>
            <line
              x1={0}
              x2={width}
              y1={top + LANE_HEIGHT - 4}
              y2={top + LANE_HEIGHT - 4}
              className={drawing.hair}
            />
            {camera.parts.map((part, at) => {
              const { left, wide } = item(blocks, at);
              const { at: x, anchor, room } = item(words, at);
              return (
                <g key={part.id}>
                  <title>{`${dayPartName(part)}, ${spanText(part.fromMs, part.toMs, zone)}`}</title>
                  <rect x={left} width={wide} y={top + 3} height={LAY.shot - 6} className={styles.planned} />
                  <text x={x} y={top + 18} textAnchor={anchor} className={styles.word}>
                    {fitted(dayPartName(part), room, BOLD)}
                  </text>
                </g>
              );
            })}
            {own.map((clip) => block(clip, top + LAY.shot))}
          </g>
        );
      })}
      {strays.length > 0 && (
        <g role="group" aria-label={messages.notPlanned}>
          <text x={8} y={LAY.axis + cameras.length * LANE_HEIGHT + 18} className={drawing.lane}>
            {fitted(messages.notPlanned, LAY.left - 14, LANE)}
          </text>
          {strays.map((clip) => block(clip, LAY.axis + cameras.length * LANE_HEIGHT + 4))}
        </g>
      )}
    </svg>
  );
}

function ClipBlock({
  clip,
  axis,
  fromMs,
  top,
  label,
  handlers,
}: {
  clip: Clip;
  axis: TimeAxis;
  fromMs: number;
  top: number;
  label: string;
  handlers: object;
}): ReactNode {
  const length = 1000 * clip.measured.container.durationSeconds;
  // What was filmed on another day, or by a clock that is far off, stands at the edge.
  const from = Math.min(Math.max(fromMs, axis.shown.fromMs), axis.shown.toMs);
  const { x, width } = axis.between({ fromMs: from, toMs: from + length });
  const wide = Math.max(10, width);
  const findings = clip.measured.findings.length;
  const state = clip.looked === 'file' ? 'unseen' : findings > 0 ? 'amiss' : 'good';
  return (
    <g role="button" tabIndex={0} aria-label={label} className={styles.clip} data-state={state} {...handlers}>
      <title>{label}</title>
      <rect x={x - 8} width={wide + 16} y={top - 4} height={LAY.clip + 6} fill="transparent" />
      <rect x={x} width={wide} y={top} height={LAY.clip - 6} className={styles.bar} />
      {isDoubtful(clip) && (
        <text x={x + wide / 2} y={top + 13} textAnchor="middle" className={styles.mark}>
          ?
        </text>
      )}
    </g>
  );
}

/** When a clip began by the clock, or where its shot stands when the file does not say. */
function startOf(clip: Clip, worked: DebriefProps['worked']): number {
  if (clip.startAt !== null) return Date.parse(clip.startAt);
  return partOf(worked, clip)?.fromMs ?? worked.parts[0]?.fromMs ?? worked.fromMs;
}

interface Put {
  entryId: string;
  part: number;
}

/** The part of the clip's own camera that begins nearest to a time; of any, while its camera is not known. */
function nearestPart(cameras: readonly WorkedCamera[], clip: Clip, atMs: number): Put | null {
  const parts = ownParts(cameras, clip);
  if (parts.length === 0) return null;
  const near = parts.reduce((best, part) =>
    Math.abs(part.fromMs - atMs) < Math.abs(best.fromMs - atMs) ? part : best,
  );
  return { entryId: near.entryId, part: near.part };
}

/** The shot before or after; beyond the last, none. */
function besidePart(cameras: readonly WorkedCamera[], clip: Clip, way: number): Put | null {
  const parts = ownParts(cameras, clip);
  const at = parts.findIndex(({ entryId, part }) => entryId === clip.entryId && part === clip.part);
  const next = parts[at < 0 ? (way > 0 ? 0 : parts.length - 1) : at + way];
  return next ? { entryId: next.entryId, part: next.part } : null;
}

function ownParts(cameras: readonly WorkedCamera[], { cameraId }: Clip): WorkedCamera['parts'] {
  return cameras.find(({ id }) => id === cameraId)?.parts ?? cameras.flatMap(({ parts }) => parts);
}

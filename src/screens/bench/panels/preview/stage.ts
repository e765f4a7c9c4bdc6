import { clippedCells } from '@/core/preview/judge';
import type { Picture } from '@/core/preview/develop';
import type { MotionMap } from '@/core/motion/motionMap';

/** Drawing the two pictures on one canvas: halves of one frame, or side by side, with what is laid over them. */
export interface StageView {
  layout: 'divide' | 'sideBySide';
  /** Where the divide stands, 0…1. */
  divide: number;
  /** Marks where it is burnt out or crushed. */
  marks: boolean;
  /** The blur of one exposure as strokes, with its map and the shutter of each side. */
  strokes: readonly ({ map: MotionMap; seconds: number } | null)[] | null;
  /** Shares of the frame; `null` without a loupe. */
  loupe: { x: number; y: number } | null;
}

export interface Colours {
  ink: string;
  sheet: string;
  mine: string;
  worked: string;
  warn: string;
}

/** Picture canvases, one for each side, kept so that none is made for each frame. */
export type Backs = [HTMLCanvasElement, HTMLCanvasElement];

const LOUPE = 4;

export function drawStage(
  canvas: HTMLCanvasElement,
  backs: Backs,
  pictures: readonly (Picture | null)[],
  view: StageView,
  colours: Colours,
  /** Drawn by a card already, in place of the workers' pictures. */
  live: readonly (HTMLCanvasElement | null)[] = [],
): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const { width, height } = canvas;
  context.fillStyle = colours.sheet;
  context.fillRect(0, 0, width, height);
  const sources = pictures.map((picture, side) => {
    const back = backs[side];
    if (live[side]) return live[side];
    if (!picture || !back) return null;
    lay(back, picture);
    return back;
  });
  const areas = areasOf(view, width, height, pictures.length);
  areas.forEach(({ x, y, w, h, from, to }, side) => {
    const picture = pictures[side];
    const back = sources[side];
    if (!picture || !back) return;
    context.save();
    context.beginPath();
    context.rect(x + from * w, y, (to - from) * w, h);
    context.clip();
    context.imageSmoothingQuality = 'high';
    context.drawImage(back, x, y, w, h);
    if (view.marks) drawMarks(context, picture, { x, y, w, h }, colours);
    const strokes = view.strokes?.[side];
    if (strokes) drawStrokes(context, strokes, { x, y, w, h }, colours);
    context.restore();
  });
  if (view.layout === 'divide' && pictures.length > 1)
    drawDivide(context, view.divide, width, height, colours);
  if (view.loupe) drawLoupe(context, sources, view, areas, width, height, colours);
}

interface Area {
  x: number;
  y: number;
  w: number;
  h: number;
  /** The part shown, shares of the width. */
  from: number;
  to: number;
}

function areasOf(view: StageView, width: number, height: number, count: number): Area[] {
  const whole = { x: 0, y: 0, w: width, h: height };
  if (count < 2) return [{ ...whole, from: 0, to: 1 }];
  if (view.layout === 'divide')
    return [
      { ...whole, from: 0, to: view.divide },
      { ...whole, from: view.divide, to: 1 },
    ];
  const gap = Math.round(width * 0.006);
  const w = (width - gap) / 2;
  return [
    { x: 0, y: 0, w, h: height, from: 0, to: 1 },
    { x: w + gap, y: 0, w, h: height, from: 0, to: 1 },
  ];
}

function lay(back: HTMLCanvasElement, { width, height, rgba }: Picture): void {
  if (back.width !== width || back.height !== height) {
    back.width = width;
    back.height = height;
  }
  back.getContext('2d')?.putImageData(new ImageData(rgba, width, height), 0, 0);
}

type Box = Pick<Area, 'x' | 'y' | 'w' | 'h'>;

/** Burnt out: a caret upwards in each cell; crushed: one downwards. */
function drawMarks(context: CanvasRenderingContext2D, picture: Picture, box: Box, colours: Colours): void {
  const size = box.w / 48 / 3.2;
  context.lineWidth = Math.max(1, size / 2.4);
  for (const { x, y, what } of clippedCells(picture)) {
    const [cx, cy] = [box.x + x * box.w, box.y + y * box.h];
    const up = what === 'white' ? 1 : -1;
    context.strokeStyle = what === 'white' ? colours.warn : '#9fe3ff';
    context.beginPath();
    context.moveTo(cx - size, cy + (up * size) / 2);
    context.lineTo(cx, cy - (up * size) / 2);
    context.lineTo(cx + size, cy + (up * size) / 2);
    context.stroke();
  }
}

/** Shorter than this, per cent of the width, a stroke is a dot that says nothing. */
const LEAST_STROKE_PCT = 0.08;

/** Each stroke is as long as the blur of one exposure at its place. */
function drawStrokes(
  context: CanvasRenderingContext2D,
  { map, seconds }: { map: MotionMap; seconds: number },
  box: Box,
  colours: Colours,
): void {
  const stroke = (colour: string, wide: number): void => {
    context.strokeStyle = colour;
    context.lineWidth = wide;
    context.beginPath();
    for (const { place, xPctPerS, yPctPerS, pctPerS } of map.cells) {
      if (pctPerS * seconds < LEAST_STROKE_PCT) continue;
      const cx = box.x + ((place.x + 1) / 2) * box.w;
      const cy = box.y + box.h / 2 + (place.y / 2) * box.w;
      const dx = (xPctPerS * seconds * box.w) / 200;
      const dy = (yPctPerS * seconds * box.w) / 200;
      context.moveTo(cx - dx, cy - dy);
      context.lineTo(cx + dx, cy + dy);
    }
    context.stroke();
  };
  context.lineCap = 'round';
  stroke(colours.sheet, Math.max(3, box.w / 260));
  stroke(colours.worked, Math.max(1.5, box.w / 520));
}

function drawDivide(
  context: CanvasRenderingContext2D,
  divide: number,
  width: number,
  height: number,
  colours: Colours,
): void {
  const x = divide * width;
  const thick = Math.max(2, width / 500);
  context.fillStyle = colours.sheet;
  context.fillRect(x - thick * 1.5, 0, thick * 3, height);
  context.fillStyle = colours.ink;
  context.fillRect(x - thick / 2, 0, thick, height);
  // A notch top and bottom, as on the stop rule.
  const notch = width / 60;
  for (const [y, way] of [
    [0, 1],
    [height, -1],
  ] as const) {
    context.beginPath();
    context.moveTo(x - notch, y);
    context.lineTo(x + notch, y);
    context.lineTo(x, y + way * notch * 1.4);
    context.fill();
  }
}

/** The same place of both pictures, four times as large, pixel by pixel, in the two lower corners. */
function drawLoupe(
  context: CanvasRenderingContext2D,
  backs: readonly (HTMLCanvasElement | null)[],
  { loupe, layout }: StageView,
  areas: readonly Area[],
  width: number,
  height: number,
  colours: Colours,
): void {
  if (!loupe) return;
  const w = width * 0.24;
  const h = Math.min(height * 0.42, w * 0.75);
  context.imageSmoothingEnabled = false;
  areas.forEach((area, side) => {
    const back = backs[side];
    if (!back || back.width < 2) return;
    const sourceW = back.width / LOUPE / (area.w / w);
    const sourceH = (sourceW * h) / w;
    const sx = Math.min(back.width - sourceW, Math.max(0, loupe.x * back.width - sourceW / 2));
    const sy = Math.min(back.height - sourceH, Math.max(0, loupe.y * back.height - sourceH / 2));
    const x = side === 0 ? 0 : width - w;
    const y = height - h;
    context.drawImage(back, sx, sy, sourceW, sourceH, x, y, w, h);
    context.strokeStyle = colours.sheet;
    context.lineWidth = 3;
    context.strokeRect(x, y, w, h);
    context.strokeStyle = colours.ink;
    context.lineWidth = 1;
    context.strokeRect(x, y, w, h);
  });
  context.imageSmoothingEnabled = true;
  const [first] = areas;
  if (!first) return;
  const cx = layout === 'divide' ? loupe.x * width : first.x + loupe.x * first.w;
  const cy = loupe.y * height;
  context.strokeStyle = colours.sheet;
  context.lineWidth = 2;
  const r = width / 90;
  context.beginPath();
  for (const [dx, dy] of [
    [-1, 0],
    [1, 0],
    [0, -1],
    [0, 1],
  ] as const) {
    context.moveTo(cx + dx * r, cy + dy * r);
    context.lineTo(cx + 2.2 * dx * r, cy + 2.2 * dy * r);
  }
  context.stroke();
}

/** Colours of the theme, for a canvas. */
export function readColours(): Colours {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string): string => style.getPropertyValue(name).trim();
  return {
    ink: read('--ink'),
    sheet: read('--sheet'),
    mine: read('--mine'),
    worked: read('--worked'),
    warn: read('--warn'),
  };
}

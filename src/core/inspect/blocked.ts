import type { Plane } from './plane';
import { quantileOf } from './series';

/** The picture is looked at in so many cells across and down. */
const ACROSS = 16;
const DOWN = 9;
/** A cell that changes and is drawn by less than this share of one of the scene shows nothing of the scene. */
/** The scene is what more than this share of the cells fall short of: up to three quarters may be taken. */
const OF_THE_SCENE = 0.75;
const STILL = 0.35;
const FLAT = 0.35;
/** Less change from picture to picture than this, share of the range, and nothing moves that could be missed. */
const LEAST_CHANGE = 0.004;
/** Steps from pixel to pixel below this all over, and the picture shows nothing at all. */
const NOTHING = 0.0025;

/**
 * How much of the view something in front of the lens takes: cells at the picture's edge, or joined to it by others, that are
 * darker than most, without detail, and still while the rest changes. Sky is as plain but not as dark. Starting figures.
 */
export class BlockedMeter {
  private readonly luma = new Float64Array(ACROSS * DOWN);
  private readonly detail = new Float64Array(ACROSS * DOWN);
  private readonly change = new Float64Array(ACROSS * DOWN);
  private frames = 0;
  private pairs = 0;
  private before: Float64Array | null = null;

  /** The next picture does not follow the last. */
  cut(): void {
    this.before = null;
  }

  add({ width, height, luma }: Plane): void {
    const means = new Float64Array(ACROSS * DOWN);
    for (let row = 0; row < DOWN; row++)
      for (let column = 0; column < ACROSS; column++) {
        const cell = row * ACROSS + column;
        const [left, right] = [
          Math.floor((column * width) / ACROSS),
          Math.floor(((column + 1) * width) / ACROSS),
        ];
        const [top, bottom] = [Math.floor((row * height) / DOWN), Math.floor(((row + 1) * height) / DOWN)];
        let [sum, steps] = [0, 0];
        for (let y = top; y < bottom; y++)
          for (let x = left + 1; x < right; x++) {
            const value = luma[y * width + x] ?? 0;
            sum += value;
            steps += Math.abs(value - (luma[y * width + x - 1] ?? 0));
          }
        const count = Math.max(1, (bottom - top) * (right - left - 1));
        means[cell] = sum / count;
        this.luma[cell] = (this.luma[cell] ?? 0) + sum / count;
        this.detail[cell] = (this.detail[cell] ?? 0) + steps / count;
        if (this.before)
          this.change[cell] = (this.change[cell] ?? 0) + Math.abs(sum / count - (this.before[cell] ?? 0));
      }
    this.frames += 1;
    if (this.before) this.pairs += 1;
    this.before = means;
  }

  /** Per cent of the picture; `null`: it could not be told, for nothing moved. */
  result(): number | null {
    const { frames, pairs } = this;
    if (frames === 0) return null;
    const detail = this.detail.map((sum) => sum / frames);
    if (Math.max(...detail) < NOTHING) return 100;
    if (pairs === 0) return null;
    const change = this.change.map((sum) => sum / pairs);
    const [most, drawn, bright] = [change, detail, this.luma].map((all) => quantileOf(all, OF_THE_SCENE));
    if ((most ?? 0) < LEAST_CHANGE) return null;
    const covered = change.map((_, cell) =>
      Number(
        (change[cell] ?? 0) < STILL * (most ?? 0) &&
          (detail[cell] ?? 0) < FLAT * (drawn ?? 0) &&
          (this.luma[cell] ?? 0) < (bright ?? 0),
      ),
    );
    return (100 * joinedToEdge(covered)) / covered.length;
  }
}

/** How many marked cells stand at the edge or hang together with one that does. */
function joinedToEdge(marked: Float64Array): number {
  const seen = new Set<number>();
  const next: number[] = [];
  const visit = (column: number, row: number): void => {
    const cell = row * ACROSS + column;
    if (column < 0 || row < 0 || column >= ACROSS || row >= DOWN || !marked[cell] || seen.has(cell)) return;
    seen.add(cell);
    next.push(cell);
  };
  for (let column = 0; column < ACROSS; column++) {
    visit(column, 0);
    visit(column, DOWN - 1);
  }
  for (let row = 0; row < DOWN; row++) {
    visit(0, row);
    visit(ACROSS - 1, row);
  }
  for (let cell = next.pop(); cell !== undefined; cell = next.pop()) {
    const column = cell % ACROSS;
    const row = (cell - column) / ACROSS;
    visit(column - 1, row);
    visit(column + 1, row);
    visit(column, row - 1);
    visit(column, row + 1);
  }
  return seen.size;
}

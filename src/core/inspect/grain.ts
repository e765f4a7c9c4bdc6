import type { CodedLuma } from './plane';
import { medianOf } from './series';

/** Grain and blocks: what is measured in the pixels as they were decoded, for neither survives a smaller picture. */
export interface Grain {
  /** Spread of the noise, share of the range: of all flat places, of the dark and of the middle tones; `null`: none flat. */
  all: number | null;
  dark: number | null;
  middle: number | null;
  /** Steps across the borders of 8 by 8 blocks over steps within: 1 none. `null`: nothing to step. */
  blocking: number | null;
}

const BLOCK = 16;
/** Blocks looked at in one picture, evenly spread. */
const MOST_BLOCKS = 900;
/** The flattest share of them is taken to hold nothing but noise. */
const FLATTEST = 0.1;
/** Tones that clip hold none; up to a quarter of the range counts as dark. */
const TONES = { from: 0.03, dark: 0.25, to: 0.92 };
const FEWEST = 3;

interface Block {
  flatness: number;
  mean: number;
  noise: number;
}

/**
 * Noise by the difference of two Laplacians, blind to anything that changes evenly, on the flattest tenth of blocks; how
 * flat a block is, is told by its quarters, which noise hardly moves. Source: Immerkær 1996, eqs. 1–5. Blocking: mean step
 * across 8-pixel borders over the mean step elsewhere, as in Wang, Bovik & Evans 2000.
 */
export function grainOf(coded: CodedLuma): Grain {
  const { width, height } = coded;
  const [columns, rows] = [Math.floor((width - 2) / BLOCK), Math.floor((height - 2) / BLOCK)];
  const step = Math.max(1, Math.ceil(Math.sqrt((columns * rows) / MOST_BLOCKS)));
  const blocks: Block[] = [];
  let [across, acrossCount, within, withinCount] = [0, 0, 0, 0];
  for (let row = 0; row < rows; row += step)
    for (let column = 0; column < columns; column += step) {
      const block = blockOf(coded, column * BLOCK + 1, row * BLOCK + 1);
      if (block.mean > TONES.from && block.mean < TONES.to) blocks.push(block);
      const steps = stepsIn(coded, column * BLOCK, row * BLOCK);
      across += steps.across;
      within += steps.within;
      acrossCount += steps.acrossCount;
      withinCount += steps.withinCount;
    }
  const noiseOf = (some: readonly Block[]): number | null => {
    const flat = [...some]
      .sort((one, other) => one.flatness - other.flatness)
      .slice(0, Math.max(FEWEST, Math.round(FLATTEST * some.length)));
    return flat.length < FEWEST ? null : medianOf(flat.map(({ noise }) => noise));
  };
  return {
    all: noiseOf(blocks),
    dark: noiseOf(blocks.filter(({ mean }) => mean <= TONES.dark)),
    middle: noiseOf(blocks.filter(({ mean }) => mean > TONES.dark)),
    blocking:
      within > 0 && acrossCount > 0 && withinCount > 0 ? across / acrossCount / (within / withinCount) : null,
  };
}

function blockOf({ stride, codes, black, white }: CodedLuma, left: number, top: number): Block {
  let [sum, laplacians] = [0, 0];
  const quarters = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (let y = top; y < top + BLOCK; y++)
    for (let x = left; x < left + BLOCK; x++) {
      const at = y * stride + x;
      const value = codes[at] ?? 0;
      sum += value;
      const quarter = ((y - top) >> 2) * 4 + ((x - left) >> 2);
      quarters[quarter] = (quarters[quarter] ?? 0) + value;
      const corners =
        (codes[at - stride - 1] ?? 0) +
        (codes[at - stride + 1] ?? 0) +
        (codes[at + stride - 1] ?? 0) +
        (codes[at + stride + 1] ?? 0);
      const sides =
        (codes[at - stride] ?? 0) + (codes[at - 1] ?? 0) + (codes[at + 1] ?? 0) + (codes[at + stride] ?? 0);
      laplacians += Math.abs(corners - 2 * sides + 4 * value);
    }
  const count = BLOCK * BLOCK;
  const range = white - black;
  return {
    flatness: Math.max(...quarters) - Math.min(...quarters),
    mean: (sum / count - black) / range,
    noise: (Math.sqrt(Math.PI / 2) * laplacians) / (6 * count) / range,
  };
}

/** Steps from pixel to pixel along rows: over the border in the middle of a block of sixteen, and over the others. */
function stepsIn(
  { stride, codes }: CodedLuma,
  left: number,
  top: number,
): { across: number; acrossCount: number; within: number; withinCount: number } {
  let [across, within] = [0, 0];
  for (let y = top; y < top + BLOCK; y += 4)
    for (let x = left + 1; x < left + BLOCK; x++) {
      const step = Math.abs((codes[y * stride + x] ?? 0) - (codes[y * stride + x - 1] ?? 0));
      if (x % 8 === 0) across += step;
      else within += step;
    }
  return { across, acrossCount: BLOCK / 4, within, withinCount: (14 * BLOCK) / 4 };
}

/** Noise as decibels below the range: twice the grain is 6 dB less. */
export function noiseDecibels(spread: number): number {
  return -20 * Math.log10(Math.max(1e-5, spread));
}

/**
 * Surfaces made by arithmetic: one square tile each, that repeats, with half, quarter and smaller copies for what lies
 * far away. A tone 0…255 multiplies a surface's colour, a cover 0…255 says where there is anything at all.
 */
interface Texture {
  /** Texels across the finest level; each level after it is half the size of the one before. */
  size: number;
  levels: number;
  /** Where each level begins in `tone` and `cover`. */
  offsets: Int32Array;
  tone: Uint8Array;
  /** `null`: no holes. */
  cover: Uint8Array | null;
}

export const TEXTURES = [
  'rock',
  'water',
  'earth',
  'leaves',
  'trunks',
  'road',
  'posts',
  'planks',
  'plain',
  'ice',
  'person',
  'edge',
] as const;
export type TextureId = (typeof TEXTURES)[number];

const SIZE = 256;
const LEVELS = 7;
const made = new Map<TextureId, Texture>();

export function textureOf(id: TextureId): Texture {
  const known = made.get(id);
  if (known) return known;
  const texture = tile(MAKERS[id]());
  made.set(id, texture);
  return texture;
}

/** A tone, or a tone and a cover, 0…1, at u and v, 0…1. */
type Maker = (u: number, v: number) => number | readonly [tone: number, cover: number];

const MAKERS: Record<TextureId, () => Maker> = {
  rock: () => {
    const [warp, layers, cracks, grit] = [cloud(4, 3, 1), cloud(7, 4, 2), cloud(6, 4, 3), cloud(48, 2, 14)];
    return (u, v) => {
      const w = 0.1 * warp(u, v);
      const crack = Math.abs(cracks(u, v + w) - 0.5) < 0.014;
      return clamp(0.1 + 0.6 * layers(u + 0.6 * w, v) + 0.5 * grit(u, v) - (crack ? 0.22 : 0));
    };
  },
  water: () => {
    const [ripple, foaming, spray] = [cloud(14, 4, 4), cloud(6, 4, 5), cloud(60, 1, 15)];
    return (u, v) => {
      const foam = foaming(u, v) + 0.1 * (spray(u, v) - 0.5);
      return foam > 0.59 ? clamp(0.72 + 2 * (foam - 0.59)) : clamp(0.08 + 0.5 * ripple(u, v));
    };
  },
  earth: () => {
    const [soil, stones, grit] = [cloud(5, 4, 6), cloud(30, 2, 7), cloud(64, 1, 16)];
    return (u, v) => clamp(0.08 + 0.45 * soil(u, v) + 0.35 * grit(u, v) + (stones(u, v) > 0.66 ? 0.3 : 0));
  },
  leaves: () => {
    const leaf = cloud(12, 4, 8);
    return (u, v) => clamp(2.2 * leaf(u, v) - 0.55);
  },
  trunks: () => {
    const bark = cloud(20, 2, 9);
    // Three trunks a tile, of unlike width, leaning a little.
    const trunks = [
      [0.16, 0.035],
      [0.47, 0.022],
      [0.81, 0.045],
    ] as const;
    return (u, v) => {
      for (const [at, half] of trunks) {
        const off = Math.abs(u + 0.012 * Math.sin(6.283 * v + 9 * at) - at);
        if (off < half) return [clamp(0.2 + 0.6 * bark(u, v) - 0.25 * (off / half) ** 2), 1];
      }
      return NOTHING;
    };
  },
  road: () => {
    const [grain, patch] = [cloud(40, 2, 10), cloud(4, 2, 11)];
    return (u, v) =>
      Math.abs(u - 0.5) < 0.012 && v % 0.5 < 0.2
        ? 0.95
        : clamp(0.3 + 0.25 * grain(u, v) + 0.12 * patch(u, v));
  },
  posts: () => (u, v) => {
    const off = Math.abs(u - 0.5);
    return off < 0.02 ? [v > 0.1 && v < 0.3 ? 0.15 : 0.95, 1] : NOTHING;
  },
  planks: () => {
    const grain = cloud(3, 5, 12);
    return (u, v) => {
      const board = Math.floor(v * 8);
      const joint = v * 8 - board;
      return joint < 0.05 ? 0.15 : clamp(0.35 + 0.5 * grain(u + 0.37 * board, v) + 0.05 * (board % 3));
    };
  },
  plain: () => {
    const patch = cloud(6, 3, 13);
    return (u, v) => 0.48 + 0.06 * patch(u, v);
  },
  ice: () => {
    const [cracks, fine, snow, grit] = [cloud(4, 3, 21), cloud(9, 3, 22), cloud(5, 4, 23), cloud(56, 1, 24)];
    return (u, v) => {
      if (Math.abs(cracks(u, v) - 0.5) < 0.006 || Math.abs(fine(u, v) - 0.5) < 0.004) return 0.5;
      return clamp(snow(u, v) > 0.66 ? 0.42 + 0.2 * grit(u, v) : 0.16 + 0.3 * grit(u, v));
    };
  },
  person: () => (u, v) => {
    const x = Math.abs(u - 0.5);
    const head = Math.hypot(x, v - 0.1) < 0.085;
    const body = v > 0.19 && v < 0.58 && x < 0.15 - 0.06 * (v - 0.19);
    const arms = v > 0.2 && v < 0.5 && x > 0.13 && x < 0.21;
    const legs = v >= 0.58 && v < 0.98 && x > 0.015 && x < 0.115;
    if (head) return [v < 0.08 ? 0.85 : 0.6, 1];
    if (body) return [Math.floor(v * 22) % 2 === 0 ? 0.9 : 0.22, 1];
    return arms || legs ? [legs ? 0.14 : 0.55, 1] : NOTHING;
  },
  // A bright bar on black: what measuring is done on.
  edge: () => (u) => (u > 0.25 && u < 0.75 ? 1 : 0),
};

const NOTHING = [0, 0] as const;

function tile(maker: Maker): Texture {
  const offsets = new Int32Array(LEVELS);
  let whole = 0;
  for (let level = 0; level < LEVELS; level++) {
    offsets[level] = whole;
    whole += (SIZE >> level) ** 2;
  }
  const tone = new Uint8Array(whole);
  const cover = new Uint8Array(whole);
  let open = false;
  for (let row = 0; row < SIZE; row++)
    for (let column = 0; column < SIZE; column++) {
      const value = maker((column + 0.5) / SIZE, (row + 0.5) / SIZE);
      const holed = typeof value !== 'number';
      tone[row * SIZE + column] = Math.round(255 * (holed ? value[0] : value));
      cover[row * SIZE + column] = holed ? Math.round(255 * value[1]) : 255;
      open ||= holed;
    }
  for (let level = 1; level < LEVELS; level++)
    halve(tone, cover, offsets[level - 1] ?? 0, offsets[level] ?? 0, SIZE >> level);
  return { size: SIZE, levels: LEVELS, offsets, tone, cover: open ? cover : null };
}

/** The mean of each four; where there are holes, of what is there. */
function halve(tone: Uint8Array, cover: Uint8Array, from: number, to: number, size: number): void {
  const wide = size * 2;
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      const at = from + 2 * row * wide + 2 * column;
      let sum = 0;
      let weight = 0;
      for (const each of [at, at + 1, at + wide, at + wide + 1]) {
        const covered = cover[each] ?? 0;
        sum += covered * (tone[each] ?? 0);
        weight += covered;
      }
      tone[to + row * size + column] = weight > 0 ? Math.round(sum / weight) : 0;
      cover[to + row * size + column] = Math.round(weight / 4);
    }
}

/**
 * Value noise in several octaves, 0…1, that repeats with u and v, laid out once and then looked up. Source: Ebert et
 * al., Texturing and Modeling, ch. 2.
 */
function cloud(cells: number, octaves: number, seed: number): (u: number, v: number) => number {
  const field = new Float32Array(SIZE * SIZE);
  let weight = 0.5 / (1 - 0.5 ** octaves);
  for (let octave = 0; octave < octaves; octave++) {
    addLattice(field, Math.min(SIZE / 2, cells << octave), seed + 17 * octave, weight);
    weight /= 2;
  }
  return (u, v) => {
    const column = Math.floor(u * SIZE) & (SIZE - 1);
    const row = Math.floor(v * SIZE) & (SIZE - 1);
    return field[row * SIZE + column] ?? 0;
  };
}

/** One octave: chance values on a lattice, smoothed in between. */
function addLattice(field: Float32Array, cells: number, seed: number, weight: number): void {
  const lattice = Float32Array.from({ length: cells * cells }, (_, at) =>
    chance(at % cells, Math.floor(at / cells), seed),
  );
  const cell = new Int32Array(SIZE);
  const next = new Int32Array(SIZE);
  const share = new Float32Array(SIZE);
  for (let at = 0; at < SIZE; at++) {
    const place = (at * cells) / SIZE;
    const whole = Math.floor(place);
    const t = place - whole;
    cell[at] = whole;
    next[at] = (whole + 1) % cells;
    share[at] = t * t * (3 - 2 * t);
  }
  for (let row = 0; row < SIZE; row++) {
    const top = (cell[row] ?? 0) * cells;
    const bottom = (next[row] ?? 0) * cells;
    const down = share[row] ?? 0;
    for (let column = 0; column < SIZE; column++) {
      const [left, right, across] = [cell[column] ?? 0, next[column] ?? 0, share[column] ?? 0];
      const above = (lattice[top + left] ?? 0) * (1 - across) + (lattice[top + right] ?? 0) * across;
      const below = (lattice[bottom + left] ?? 0) * (1 - across) + (lattice[bottom + right] ?? 0) * across;
      const at = row * SIZE + column;
      field[at] = (field[at] ?? 0) + weight * (above + down * (below - above));
    }
  }
}

/** 0…1, the same for the same three numbers. */
function chance(a: number, b: number, seed: number): number {
  let h = (Math.imul(a, 374761393) + Math.imul(b, 668265263) + Math.imul(seed, 974711)) | 0;
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

function clamp(value: number): number {
  return Math.min(1, Math.max(0, value));
}

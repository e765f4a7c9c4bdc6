import type { Scene, Surface } from './scene';
import type { PreviewTake } from './take';
import { textureOf } from './textures';
import type { TextureId } from './textures';

/** A surface with all that the inner loop would otherwise work out again for every ray. */
export interface Prepared {
  axis: 0 | 1 | 2;
  at: number;
  from: number;
  to: number;
  acrossFrom: number;
  acrossTo: number;
  offsetU: number;
  offsetV: number;
  perU: number;
  perV: number;
  texelsPerM: number;
  perTone: number;
  red: number;
  green: number;
  blue: number;
  textureId: TextureId;
  size: number;
  levels: number;
  offsets: Int32Array;
  tone: Uint8Array;
  cover: Uint8Array | null;
  /** The subject: it moves across while everything else stands. */
  passes: boolean;
}

/** Which texel of a surface a ray meets after `t` of its length, at the level whose texels are as large as a pixel there. */
export function texelAt(
  surface: Prepared,
  t: number,
  wx: number,
  wy: number,
  wz: number,
  z: number,
  subjectX: number,
  pixelRad: number,
): number {
  const { axis } = surface;
  let u: number;
  let v: number;
  let along: number;
  if (axis === 0) {
    u = (wz * t + z) * surface.perU;
    v = (wy * t - surface.offsetV) * surface.perV;
    along = wx;
  } else if (axis === 1) {
    u = (wx * t - surface.offsetV) * surface.perU;
    v = (wz * t + z) * surface.perV;
    along = wy;
  } else {
    u = (wx * t - (surface.passes ? subjectX : 0) - surface.offsetU) * surface.perU;
    v = (wy * t - surface.offsetV) * surface.perV;
    along = wz;
  }
  const slant = along < 0 ? -along : along;
  // A slanting surface takes more texels one way: halfway between the two is the best that square levels can do.
  const foot = (t * pixelRad * surface.texelsPerM * 0.75) / (slant > 0.12 ? Math.sqrt(slant) : 0.35);
  let level = foot < 2 ? 0 : 31 - Math.clz32(foot);
  if (level >= surface.levels) level = surface.levels - 1;
  const size = surface.size >> level;
  const mask = size - 1;
  return (surface.offsets[level] ?? 0) + (Math.floor(v * size) & mask) * size + (Math.floor(u * size) & mask);
}

/** Light from the right and from above: what faces it is brighter. */
const FACING = { left: 1.1, right: 0.85, level: 1.05, ahead: 1 };

function prepared(surface: Surface): Prepared {
  const { axis, at, from = -Infinity, to = Infinity, acrossFrom = -Infinity, acrossTo = Infinity } = surface;
  const facing =
    axis === 'x' ? (at < 0 ? FACING.left : FACING.right) : axis === 'y' ? FACING.level : FACING.ahead;
  const texture = textureOf(surface.texture);
  const [tileU, tileV] = surface.tileM;
  const [red, green, blue] = surface.colour;
  return {
    axis: axis === 'x' ? 0 : axis === 'y' ? 1 : 2,
    at,
    from,
    to,
    acrossFrom,
    acrossTo,
    offsetU: Number.isFinite(acrossFrom) ? acrossFrom : 0,
    offsetV: Number.isFinite(from) ? from : 0,
    perU: 1 / tileU,
    perV: 1 / tileV,
    texelsPerM: texture.size / Math.max(tileU, tileV),
    // A tone in the middle leaves the colour as it is; what measures is not shaded.
    perTone: surface.texture === 'edge' ? 1 / 255 : (2 * facing) / 255,
    red,
    green,
    blue,
    textureId: surface.texture,
    ...texture,
    passes: false,
  };
}

/** A standing figure, square to the view, whose middle passes the camera's axis. */
function person({ distanceM, sizeM }: NonNullable<PreviewTake['subject']>, heightM: number): Surface {
  const feet = Math.min(Math.max(heightM, 0.3), sizeM * 0.92);
  return {
    axis: 'z',
    at: distanceM,
    from: feet - sizeM,
    to: feet,
    acrossFrom: -sizeM / 2,
    acrossTo: sizeM / 2,
    texture: 'person',
    tileM: [sizeM, sizeM],
    colour: [0.3, 0.13, 0.1],
  };
}

/** All surfaces of a take: its place, and the subject that passes. */
export function surfacesOf(take: PreviewTake, scene: Scene): Prepared[] {
  const passing = take.subject ? [{ ...prepared(person(take.subject, take.heightM)), passes: true }] : [];
  return [...scene.surfaces.map(prepared), ...passing];
}

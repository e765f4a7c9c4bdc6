import { pctWidthPerDegree, project, unproject } from '../optics/projection';
import { item } from '../units/items';
import { toneCurveOf, developed } from './develop';
import type { ToneCurve, Picture } from './develop';
import { gearMask, MASK_REACH } from './gear';
import type { GearMask } from './gear';
import { CameraPath, PHASES } from './path';
import type { Instant } from './path';
import type { Scene } from './scene';
import { surfacesOf, texelAt } from './surfaces';
import type { Prepared } from './surfaces';
import { evAt, flickerGain, meter, uncovered } from './take';
import type { CapturedFrame, PreviewTake } from './take';

/**
 * Pictures of a take, ray by ray: each pixel looks along its direction, through a camera that moves, turns and shakes
 * while the shutter is open, at flat surfaces; the light gathered is exposed, made noisy as the ISO is, and written as
 * sRGB. The same code runs in a worker and under the tests, which measure its pixels.
 */
/** Metres at which half of what is seen outdoors is haze. */
export const HAZE_M = 260;

export class Renderer {
  readonly width: number;
  readonly height: number;
  private readonly directions: Float32Array;
  private readonly surfaces: readonly Prepared[];
  private readonly path: CameraPath;
  private readonly gear: GearMask | null;
  readonly light: Float32Array;
  private readonly pixelRad: number;
  private readonly curve: ToneCurve;

  constructor(
    private readonly take: PreviewTake,
    private readonly scene: Scene,
    width: number,
  ) {
    this.width = width;
    this.height = Math.max(2, 2 * Math.round((width * take.shape) / 2));
    this.directions = directionsOf(take, this.width, this.height);
    this.surfaces = surfacesOf(take, scene);
    this.path = new CameraPath(take);
    this.gear = gearMask(take.lens, take.gear);
    this.curve = toneCurveOf(take.exposure.guardStops);
    this.light = new Float32Array(3 * this.width * this.height);
    this.pixelRad =
      ((100 / width / pctWidthPerDegree(take.lens.horizontalDeg, take.lens.projection)) * Math.PI) / 180;
  }

  /** One captured frame. `rays` overrides how many rays each pixel takes, for a first quick look. */
  picture(frame: CapturedFrame, rays?: number): Picture {
    const { take } = this;
    const metered = meter(take.exposure, evAt(take, frame.atSeconds));
    const open = metered.shutterSeconds;
    const count = rays ?? this.path.raysFor(open, this.width);
    const instants = this.path.instantsOf(frame.atSeconds, open, count);
    this.light.fill(0);
    for (const [at, instant] of instants.entries()) this.gather(instant, at % PHASES, 1 / count);
    if (this.gear) this.drawGear(this.gear, frame.atSeconds);
    const gain =
      2 ** metered.offStops * flickerGain(take, frame.atSeconds, open) * uncovered(take, frame.atSeconds);
    const { isoStopsAboveBase } = metered;
    const exposed = { gain, isoStopsAboveBase, softness: take.softness, seed: frame.number };
    return developed(this, exposed, this.curve);
  }

  /** Adds one ray to every pixel of a phase. The four phases stand in a two by two pattern. */
  private gather({ matrix, z, subjectX }: Instant, phase: number, weight: number): void {
    const { width, height, directions, light, surfaces, scene, pixelRad } = this;
    const [m0 = 0, m1 = 0, m2 = 0, m3 = 0, m4 = 0, m5 = 0, m6 = 0, m7 = 0, m8 = 0] = matrix;
    const [above, horizon] = [scene.sky.above, scene.sky.horizon];
    const outdoors = above[2] > 0.1;
    // Early and late instants stand side by side in each row and each column, so that no line leans.
    for (let row = phase & 1; row < height; row += 2)
      for (let column = phase === 1 || phase === 2 ? 1 : 0; column < width; column += 2) {
        const at = 3 * (row * width + column);
        const x = directions[at] ?? 0;
        const y = directions[at + 1] ?? 0;
        const s = directions[at + 2] ?? 0;
        if (s !== s) continue;
        const wx = m0 * x + m1 * y + m2 * s;
        const wy = m3 * x + m4 * y + m5 * s;
        const wz = m6 * x + m7 * y + m8 * s;
        let nearest = Infinity;
        let tone = 0;
        let hit: Prepared | null = null;
        for (const surface of surfaces) {
          const { axis } = surface;
          const along = axis === 0 ? wx : axis === 1 ? wy : wz;
          if (along < 1e-4 && along > -1e-4) continue;
          const t = surface.at / along;
          if (t <= 0 || t >= nearest) continue;
          const bounded = axis === 1 ? wx * t : wy * t;
          if (bounded < surface.from || bounded > surface.to) continue;
          if (axis === 2) {
            const across = surface.passes ? wx * t - subjectX : wx * t;
            if (across < surface.acrossFrom || across > surface.acrossTo) continue;
          }
          if (surface.cover === null) {
            // Looked up only if nothing nearer comes.
            tone = -1;
          } else {
            const texel = texelAt(surface, t, wx, wy, wz, z, subjectX, pixelRad);
            if ((surface.cover[texel] ?? 0) < 128) continue;
            tone = surface.tone[texel] ?? 0;
          }
          nearest = t;
          hit = surface;
        }
        if (tone < 0 && hit !== null)
          tone = hit.tone[texelAt(hit, nearest, wx, wy, wz, z, subjectX, pixelRad)] ?? 0;
        let r: number;
        let g: number;
        let b: number;
        if (hit === null) {
          const up = wy < 0 ? -wy : 0;
          r = horizon[0] + (above[0] - horizon[0]) * up;
          g = horizon[1] + (above[1] - horizon[1]) * up;
          b = horizon[2] + (above[2] - horizon[2]) * up;
        } else {
          const bright = tone * hit.perTone;
          r = hit.red * bright;
          g = hit.green * bright;
          b = hit.blue * bright;
          if (outdoors) {
            const haze = nearest / (nearest + HAZE_M);
            r += (horizon[0] - r) * haze;
            g += (horizon[1] - g) * haze;
            b += (horizon[2] - b) * haze;
          }
        }
        light[at] = (light[at] ?? 0) + weight * r;
        light[at + 1] = (light[at + 1] ?? 0) + weight * g;
        light[at + 2] = (light[at + 2] ?? 0) + weight * b;
      }
  }

  /** Hands, bar or bow: still in the camera's frame, so a steadied picture shows them swing. */
  private drawGear(gear: GearMask, at: number): void {
    const { width, height, light, take } = this;
    const shift = this.path.shownFrom(at);
    const ahead = project(take.lens, { x: shift[2] ?? 0, y: shift[5] ?? 0, z: shift[8] ?? 1 }) ?? {
      x: 0,
      y: 0,
    };
    const roll = Math.atan2(shift[3] ?? 0, shift[0] ?? 1);
    const [cos, sin] = [Math.cos(roll), Math.sin(roll)];
    const cells = gear.size / (2 * MASK_REACH);
    for (let row = 0; row < height; row++)
      for (let column = 0; column < width; column++) {
        const x = (2 * (column + 0.5)) / width - 1;
        const y = ((2 * (row + 0.5)) / height - 1) * take.shape;
        const mx = Math.floor((x * cos - y * sin + ahead.x + MASK_REACH) * cells);
        const my = Math.floor((x * sin + y * cos + ahead.y + MASK_REACH) * cells);
        if (mx < 0 || my < 0 || mx >= gear.size || my >= gear.size) continue;
        const cell = my * gear.size + mx;
        const mark = gear.what[cell] ?? 0;
        if (mark === 0) continue;
        const colour = item(gear.colours, mark - 1);
        const bright = ((gear.shade[cell] ?? 0) / 255) * 1.6;
        const to = 3 * (row * width + column);
        light[to] = colour[0] * bright;
        light[to + 1] = colour[1] * bright;
        light[to + 2] = colour[2] * bright;
      }
  }
}

/** Where each pixel of the delivered frame looks; NaN outside the lens's image circle. */
function directionsOf({ lens, shape }: PreviewTake, width: number, height: number): Float32Array {
  const directions = new Float32Array(3 * width * height);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const x = (2 * (column + 0.5)) / width - 1;
      const y = ((2 * (row + 0.5)) / height - 1) * shape;
      const direction = unproject(lens, { x, y });
      const at = 3 * (row * width + column);
      directions[at] = direction?.x ?? NaN;
      directions[at + 1] = direction?.y ?? NaN;
      directions[at + 2] = direction?.z ?? NaN;
    }
  return directions;
}

import type { CameraProfile } from '../camera/profile';
import type { Filter } from '../filters/filterSchema';
import type { DryLight, Light } from '../light/lightSchema';
import { DAY_LIGHT_STOPS } from '../light/lightRange';
import { figureAt, figureId } from '../records/figures';
import type { Figure, Learned } from '../records/learned';
import { omit } from '../units/omit';
import { USUAL } from './usual';

/**
 * The person's own figures put to use in a brief, each in the place of the usual one, and which of them it used. What the
 * person sets themself for a shot goes before.
 */
export class LearnedFigures {
  private readonly byId: ReadonlyMap<string, Learned>;
  private readonly asked = new Map<string, Learned>();

  constructor(private readonly learned: readonly Learned[]) {
    this.byId = new Map(learned.map((one) => [figureId(one.figure), one]));
  }

  /** Those that were asked for and found. */
  used(): Learned[] {
    return [...this.asked.values()];
  }

  private find(figure: Figure): Learned | undefined {
    const id = figureId(figure);
    const found = this.byId.get(id);
    if (found) this.asked.set(id, found);
    return found;
  }

  /** What multiplies the usual shake. */
  shakeFactor(of: Omit<Extract<Figure, { of: 'shake' }>, 'of'>): number {
    return 2 ** (this.find({ of: 'shake', ...of })?.off ?? 0);
  }

  /** The highest ISO whose grain the person still calls good, at one of the camera's steps. */
  isoCeiling({ id, iso }: CameraProfile): number {
    const own = this.find({ of: 'iso', cameraId: id });
    if (!own) return USUAL.isoCeiling;
    const wanted = Math.log2(figureAt(own, own.off));
    const steps = iso.steps.filter((step) => step >= iso.standard.base);
    const near = (step: number): number => Math.abs(Math.log2(step) - wanted);
    return steps.reduce((best, step) => (near(step) < near(best) ? step : best), iso.standard.base);
  }

  camera(profile: CameraProfile): CameraProfile {
    const cameraId = profile.id;
    for (const kind of ['heat', 'bitRate', 'guard'] as const) this.find({ of: kind, cameraId });
    for (const { figure } of this.learned)
      if (figure.of === 'power' && figure.cameraId === cameraId) this.find(figure);
    return profileWith(profile, this.learned);
  }

  filters(kit: readonly Filter[]): readonly Filter[] {
    if (!this.learned.some(({ figure }) => figure.of === 'filter')) return kit;
    return kit.map((filter) => {
      const own = filter.kind === 'variable' ? null : this.find({ of: 'filter', filterId: filter.id });
      return own ? { ...filter, measuredStops: Math.max(0, figureAt(own, own.off)) } : filter;
    });
  }

  light(light: Light): Light {
    if (light.kind === 'underwater') return { ...light, surface: this.light(light.surface) as DryLight };
    if (light.kind === 'scene') {
      const corrected = this.corrections([light.from, light.to], (scene) => ({ of: 'scene', scene }));
      return corrected ? { ...light, corrected: { ...corrected, ...light.corrected } } : light;
    }
    if (light.kind !== 'sun') return light;
    const { sky, shade = [], horizon } = light;
    const shades = [...shade, ...(horizon ? [horizon.behind] : [])];
    const corrected = {
      ...this.corrections(sky === undefined ? [] : [sky], (one) => ({ of: 'sky', sky: one })),
      ...this.corrections(shades, (one) => ({ of: 'shade', shade: one })),
    };
    return Object.keys(corrected).length > 0
      ? { ...light, corrected: { ...corrected, ...light.corrected } }
      : light;
  }

  private corrections<Name extends string>(
    names: readonly Name[],
    figureOf: (name: Name) => Figure,
  ): Partial<Record<Name, { stops: number; spreadStops: number }>> | null {
    const corrected: Partial<Record<Name, { stops: number; spreadStops: number }>> = {};
    for (const name of new Set(names)) {
      const own = this.find(figureOf(name));
      // What is known of the usual day; the day itself still differs.
      if (own) corrected[name] = { stops: own.off, spreadStops: Math.hypot(own.spread, DAY_LIGHT_STOPS) };
    }
    return Object.keys(corrected).length > 0 ? corrected : null;
  }
}

/** What stands ready of a camera is kept by its profile, so the same figures give the same profile. */
const made = new WeakMap<CameraProfile, WeakMap<readonly Learned[], CameraProfile>>();

function profileWith(profile: CameraProfile, learned: readonly Learned[]): CameraProfile {
  const known = made.get(profile)?.get(learned);
  if (known) return known;
  const corrected = correctedProfile(profile, learned);
  const byList = made.get(profile) ?? new WeakMap<readonly Learned[], CameraProfile>();
  made.set(profile, byList.set(learned, corrected));
  return corrected;
}

function correctedProfile(profile: CameraProfile, learned: readonly Learned[]): CameraProfile {
  let corrected = profile;
  for (const one of learned) {
    const { figure, off } = one;
    if (!('cameraId' in figure) || figure.cameraId !== profile.id) continue;
    switch (figure.of) {
      case 'heat':
        corrected = {
          ...corrected,
          heat: { ...corrected.heat, stillAirKPerW: profile.heat.stillAirKPerW * 2 ** off },
        };
        break;
      case 'bitRate':
        corrected = { ...corrected, writesShare: (profile.writesShare ?? 1) * 2 ** off };
        break;
      case 'guard': {
        const { standard, flat, log } = profile.highlightGuardStops;
        const moved = (stops: number): number => Math.max(0, stops + off);
        corrected = {
          ...corrected,
          highlightGuardStops: { standard: moved(standard), flat: moved(flat), log: moved(log) },
        };
        break;
      }
      case 'power': {
        const measured = { ...omit(omit(figure, 'of'), 'cameraId'), factor: 2 ** off };
        corrected = {
          ...corrected,
          power: { ...corrected.power, measured: [...(corrected.power.measured ?? []), measured] },
        };
        break;
      }
      case 'iso':
        break;
    }
  }
  return corrected;
}

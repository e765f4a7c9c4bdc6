import * as messages from '@/language/bench/rule';
import { flickerSafeShutters } from '@/core/light/flicker';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import type { Brief } from '@/core/brief/brief';
import type { Solution } from '@/core/answer/solve';
import { clamp, THIRD_STOP_SHUTTERS } from '@/core/units/stops';
import type { ShotChange } from '../../data/useShotEditing';
import { pinnedTo } from '../answer/pins';

/**
 * What the handles of the stop rule do. A handle stands at a place on the scale, EV100; moving it changes the shot by
 * the nearest standard step, and pins only what it moves: the rest is worked out anew, and may take up what was moved.
 */
export type Handle = 'evMin' | 'evMax' | 'filter' | 'shutter' | 'ceiling';

/**
 * The window's fixed shoulder on the bright side, EV100: its end, or under a running shutter the light from which the
 * shutter starts to run.
 */
export function shoulderEv({ candidate, exposure }: Solution): number {
  return exposure.windowEvMax - candidate.shutter.spanStops;
}

/** Where a handle stands, EV100. */
export function handleEv(solution: Solution, handle: Handle): number {
  const { light } = solution.space;
  switch (handle) {
    case 'evMin':
      return light.evMin;
    case 'evMax':
      return light.evMax;
    case 'ceiling':
      return solution.exposure.windowEvMin;
    case 'filter':
    case 'shutter':
      return shoulderEv(solution);
  }
}

/** Where the shoulder would stand with another filter, EV100. */
export function notchEv(solution: Solution, filterStops: number): number {
  return shoulderEv(solution) - solution.candidate.filter.stops + filterStops;
}

/** The change of the shot that brings a handle nearest to a place on the scale. */
export function moveHandle(
  solution: Solution,
  handle: Handle,
  ev: number,
): { label: string; change: ShotChange } {
  const { space, settings, exposure } = solution;
  const { brief, light } = space;
  switch (handle) {
    case 'evMin': {
      const evMin = clamp(tenth(ev), -10, Math.max(-10, light.evMax));
      return {
        label: messages.changeTheDarkestLight,
        change: (shot) => ({ ...shot, light: { kind: 'range', evMin, evMax: Math.max(evMin, light.evMax) } }),
      };
    }
    case 'evMax': {
      const evMin = Math.max(-10, light.evMin);
      const evMax = clamp(tenth(ev), evMin, 24);
      return {
        label: messages.changeTheBrightestLight,
        change: (shot) => ({ ...shot, light: { kind: 'range', evMin, evMax } }),
      };
    }
    case 'ceiling': {
      const isoCeiling = nearest(isoLadder(brief), settings.iso.max * 2 ** (exposure.windowEvMin - ev));
      return {
        label: messages.changeTheISOCeiling,
        change: (shot) => ({ ...shot, limits: { ...shot.limits, isoCeiling } }),
      };
    }
    case 'filter': {
      const wanted = ev - shoulderEv(solution) + settings.filter.stops;
      const filter = filterSettings(wearable(brief)).reduce((best, one) =>
        Math.abs(one.stops - wanted) < Math.abs(best.stops - wanted) ? one : best,
      );
      return {
        label: messages.changeTheFilterOnThe,
        change: (shot) => pinnedTo(shot, 'filter', { filter: { ids: [...filter.ids], stops: filter.stops } }),
      };
    }
    case 'shutter': {
      const wanted = settings.shutterSeconds * 2 ** (shoulderEv(solution) - ev);
      const shutterSeconds = nearest(shutterLadder(brief, settings.frameRate, light.pulseHz), wanted);
      return {
        label: messages.changeTheShutterOnThe,
        change: (shot) =>
          pinnedTo(shot, 'shutterSeconds', { shutterSeconds, shutterMode: settings.shutterMode }),
      };
    }
  }
}

/** Where a handle stands after some standard steps to the right (or left, when negative), EV100. */
export function steppedEv(solution: Solution, handle: Handle, steps: number): number {
  const { brief } = solution.space;
  const { settings } = solution;
  const at = handleEv(solution, handle);
  switch (handle) {
    case 'evMin':
    case 'evMax':
      return at + steps / 3;
    case 'ceiling':
      return at + Math.sign(steps);
    case 'filter': {
      // Two glasses of one strength, as a variable filter set to that of another, are one step.
      const { stops: here } = settings.filter;
      const further = filterSettings(wearable(brief))
        .map(({ stops }) => stops)
        .filter((stops) => (stops - here) * Math.sign(steps) > 1e-9);
      const nearer = steps > 0 ? Math.min(...further) : Math.max(...further);
      return notchEv(solution, further.length === 0 ? here : nearer);
    }
    case 'shutter': {
      const ladder = shutterLadder(brief, settings.frameRate, solution.space.light.pulseHz);
      const here = ladder.indexOf(nearest(ladder, settings.shutterSeconds));
      const next = ladder[clamp(here - steps, 0, ladder.length - 1)] ?? settings.shutterSeconds;
      return at + Math.log2(settings.shutterSeconds / next);
    }
  }
}

/** ISO values the ceiling can be set to. */
export function isoLadder({ camera }: Brief): number[] {
  const { standard, steps } = camera.iso;
  return steps.filter((iso) => iso >= standard.base && iso <= standard.max);
}

/** Shutters that fit the frame rate, shortest first, seconds; under lamps the flicker-safe ones too. */
function shutterLadder({ camera }: Brief, frameRate: number, pulseHz: number | null): number[] {
  const safe = pulseHz === null ? [] : flickerSafeShutters(pulseHz, frameRate);
  return [...THIRD_STOP_SHUTTERS, 1 / (2 * frameRate), ...safe]
    .filter((seconds) => seconds <= 1.000001 / frameRate && seconds >= camera.shutter.shortestSeconds * 0.999)
    .sort((a, b) => a - b)
    .filter((seconds, at, all) => at === 0 || Math.abs(seconds / (all[at - 1] ?? 1) - 1) > 0.005);
}

function nearest(values: readonly number[], wanted: number): number {
  const far = (value: number): number => Math.abs(Math.log2(value / wanted));
  return values.reduce((best, value) => (far(value) < far(best) ? value : best), values[0] ?? wanted);
}

function tenth(ev: number): number {
  return Math.round(ev * 10) / 10;
}

import type { Candidate } from '../search/candidate';
import { expose, isoWindow, shutterSetting } from '../loss/exposureLoss';
import type { Exposure } from '../loss/exposureLoss';
import type { Space } from '../search/space';

/**
 * What helps when the light does not fit the window: each way with what would then still be missed at either end, in
 * stops. Only ways this camera has are offered.
 */
export type Help =
  | { code: 'letShutterRun'; toSeconds: number; overStops: number; underStops: number }
  | { code: 'raiseCeiling'; iso: number; overStops: number; underStops: number }
  | { code: 'splitRun'; atEv: number; overStops: number; underStops: number }
  | { code: 'exposeForBright'; underStops: number; overStops: number }
  | { code: 'exposeForDark'; underStops: number; overStops: number }
  | { code: 'logColour'; guardStops: number; overStops: number; underStops: number };

export function helpsFor(space: Space, candidate: Candidate, exposure: Exposure): Help[] {
  const { brief, light, sensor } = space;
  const { shutter, filter, iso } = candidate;
  const { camera, limits } = brief;
  const missed = exposure.overStops + exposure.underStops;
  if (missed === 0) return [];
  const helps: Help[] = [];

  if (shutter.spanStops === 0 && exposure.overStops > 0 && camera.shutter.auto) {
    const run = shutterSetting(camera.shutter.shortestSeconds, shutter.longestSeconds);
    const { overStops, underStops, brightLog } = expose(sensor, light, run, filter.stops, iso);
    helps.push({ code: 'letShutterRun', toSeconds: 2 ** brightLog, overStops, underStops });
  }

  const range = camera.iso[space.colour] ?? camera.iso.standard;
  const wanted = camera.iso.steps.find((step) => step >= iso.max * 2 ** exposure.underStops);
  const raised = Math.min(wanted ?? range.max, range.max);
  if (exposure.underStops > 0 && raised > Math.max(limits.isoCeiling, iso.max)) {
    const wider = expose(sensor, light, shutter, filter.stops, isoWindow(iso.min, raised));
    helps.push({
      code: 'raiseCeiling',
      iso: raised,
      overStops: wider.overStops,
      underStops: wider.underStops,
    });
  }

  const span = exposure.windowEvMax - exposure.windowEvMin;
  const width = light.evMax - light.evMin;
  if (width > span) {
    const left = Math.max(0, width / 2 - span);
    helps.push({ code: 'splitRun', atEv: (light.evMin + light.evMax) / 2, overStops: left, underStops: 0 });
    helps.push({ code: 'exposeForBright', overStops: 0, underStops: Math.max(0, width - span) });
    helps.push({ code: 'exposeForDark', underStops: 0, overStops: Math.max(0, width - span) });
  }

  const log = camera.iso.log;
  if (
    exposure.overStops > 0 &&
    space.colour !== 'log' &&
    log &&
    log.base <= limits.isoCeiling &&
    candidate.mode.colours.includes('log')
  )
    helps.push({
      code: 'logColour',
      guardStops: camera.highlightGuardStops.log,
      overStops: Math.max(0, exposure.overStops - camera.highlightGuardStops.log),
      underStops: exposure.underStops,
    });
  return helps;
}

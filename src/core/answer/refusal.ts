import { limitAgainst } from '../camera/modeTable';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import { schoolOf } from '../loss/schools';
import { search } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { lapseOf } from '../timeLapse/lapseAnswer';
import { isLapseBrief } from '../timeLapse/timeLapsePlan';
import { spaceFor } from '../search/space';
import type { Obstacle } from '../search/obstacle';

/** Why there is no answer, and the nearest changes to the brief that would have one. */
export interface Refusal {
  obstacle: Obstacle;
  /** The camera's own words for what it lacks, where its profile has them. */
  says: string[];
  nearest: NearestChange[];
}

/** One change that works: which pins give way, to what, and the pins (and ceiling) to take instead. */
export interface NearestChange {
  gaveWay: (keyof Pins | 'isoCeiling')[];
  pins: Pins;
  isoCeiling?: number;
  settings: Settings;
  score: number;
}

/** How many ways to offer. */
const WAYS = 5;

export function refusalFor(brief: Brief, obstacle: Obstacle): Refusal {
  if (obstacle.code === 'ceilingBelowBase') {
    const isoCeiling = obstacle.base;
    const way = workable({ ...brief, limits: { ...brief.limits, isoCeiling } }, ['isoCeiling']);
    return { obstacle, says: [], nearest: way ? [{ ...way, isoCeiling }] : [] };
  }
  const involved = pinsIn(obstacle, brief);
  const singles = involved.map((pin) => omit(brief, [pin]));
  const pairs = involved.flatMap((pin, index) =>
    involved.slice(index + 1).map((other) => omit(brief, [pin, other])),
  );
  const ways = singles.some((way) => way !== null) ? singles : pairs;
  const found = ways.filter((way) => way !== null).sort((a, b) => a.score - b.score);
  const all = found.length > 0 ? found : [omit(brief, Object.keys(brief.pins) as (keyof Pins)[])];
  return {
    obstacle,
    says: obstacle.code === 'noSuchMode' ? limitsInTheWay(brief) : [],
    nearest: all.filter((way) => way !== null).slice(0, WAYS),
  };
}

/** The pins that could give way. */
function pinsIn(obstacle: Obstacle, { pins }: Brief): (keyof Pins)[] {
  const named = ((): (keyof Pins)[] => {
    switch (obstacle.code) {
      case 'noSuchMode':
        return obstacle.pins;
      case 'setByInterval':
        return ['recording'];
      case 'noManualShutter':
        return ['recording', 'shutterMode', 'shutterSeconds', 'shutterAngleDeg'];
      case 'noSuchView':
        return ['view'];
      case 'shutterLongerThanInterval':
        return ['shutterSeconds', 'shutterAngleDeg'];
      case 'shutterLongerThanFrame':
      case 'angleDisagrees':
        return ['shutterSeconds', 'shutterAngleDeg', 'frameRate'];
      case 'shutterTooShort':
        return ['shutterSeconds', 'shutterAngleDeg', 'shutterFloorSeconds'];
      case 'shutterFloorAbove':
        return ['shutterFloorSeconds', 'shutterSeconds'];
      case 'noAutoShutter':
        return ['shutterMode', 'shutterFloorSeconds'];
      case 'takesNoFilter':
      case 'filterNotInKit':
      case 'filterStops':
        return ['filter'];
      case 'isoOutside':
        return ['iso'];
      case 'ceilingBelowBase':
        return [];
    }
  })();
  return named.filter((pin) => pins[pin] !== undefined);
}

/** What the answer becomes when some pins give way; the value they take is written back as a pin. */
function omit(brief: Brief, gone: (keyof Pins)[]): NearestChange | null {
  const kept = Object.fromEntries(
    Object.entries(brief.pins).filter(([key]) => !gone.includes(key as keyof Pins)),
  ) as Pins;
  return workable({ ...brief, pins: kept }, gone);
}

function workable(brief: Brief, gaveWay: NearestChange['gaveWay']): NearestChange | null {
  if (isLapseBrief(brief)) {
    const lapse = lapseOf(brief);
    return lapse && { gaveWay, pins: brief.pins, settings: lapse.settings, score: lapse.loss };
  }
  const made = spaceFor(brief, schoolOf(brief.look));
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  return { gaveWay, pins: brief.pins, settings: settingsOf(made.space, found.candidate), score: found.score };
}

/** The limits of the camera that stand against every view and hold the pins leave open. */
function limitsInTheWay({ camera, pins }: Brief): string[] {
  const { frameRate, resolution, stabilization } = pins;
  if (frameRate === undefined || !resolution || !stabilization) return [];
  const sizes = camera.resolutions.filter(
    ({ width, height }) => width === resolution.width && height === resolution.height,
  );
  const views = pins.view ? [pins.view.id] : camera.views.map(({ id }) => id);
  const said = sizes.flatMap(({ id }) =>
    views.map((viewId) =>
      limitAgainst(camera, {
        recording: pins.recording ?? 'video',
        resolutionId: id,
        frameRate,
        viewId,
        stabilization,
      }),
    ),
  );
  return said.every((text) => text !== undefined) ? [...new Set(said)] : [];
}

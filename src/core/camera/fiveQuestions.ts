import { omit } from '../units/omit';
import type { Codec, Stabilization } from '../vocabulary/modes';
import type { Projection } from '../optics/projection';
import { ARCHETYPES } from './archetypes';
import type { TableRow } from './rulesFrom';
import { rulesFrom } from './rulesFrom';
import type { CameraProfile } from './profile';

/**
 * A camera from five questions: which sizes, how fast each, which views, which holds, which codecs. Whatever is not asked
 * is as on the usual main camera, and can be changed afterwards. Pixels, frames a second, degrees, Mbit/s.
 */
export interface FiveAnswers {
  sizes: readonly { id: string; width: number; height: number; fastestFps: number }[];
  views: readonly { id: string; horizontalDeg: number; projection: Projection }[];
  holds: readonly Hold[];
  codecs: readonly { codec: Codec; tenBit: boolean; bitRateMbps: number }[];
}

export type Hold = Exclude<Stabilization, 'off'>;

/** Frame rates that cameras offer. */
export const USUAL_RATES = [24, 25, 30, 50, 60, 100, 120, 200, 240] as const;
/** Above this no camera has the time to hold a horizon (start). */
const HORIZON_UP_TO_FPS = 60;
const HORIZON_HOLDS: readonly Stabilization[] = ['levelHold', 'rollHold'];

/** Sizes and views that a person may tick, under the names they go by. */
export const USUAL_SIZES: readonly FiveAnswers['sizes'][number][] = [
  { id: '5K', width: 5120, height: 2880, fastestFps: 30 },
  { id: '4K tall', width: 3840, height: 2880, fastestFps: 30 },
  { id: '4K', width: 3840, height: 2160, fastestFps: 60 },
  { id: '2.7K', width: 2688, height: 1512, fastestFps: 120 },
  { id: '1080p', width: 1920, height: 1080, fastestFps: 240 },
  { id: '720p', width: 1280, height: 720, fastestFps: 240 },
];
export const USUAL_VIEWS: readonly FiveAnswers['views'][number][] = [
  { id: 'widest', horizontalDeg: 146, projection: 'stretched' },
  { id: 'wide', horizontalDeg: 112, projection: 'curved' },
  { id: 'straight', horizontalDeg: 88, projection: 'straight' },
  { id: 'narrow', horizontalDeg: 62, projection: 'straight' },
];

/** What of the five has no answer yet; a camera needs a size, a view and a codec. */
export function unanswered({ sizes, views, codecs }: FiveAnswers): ('sizes' | 'views' | 'codecs')[] {
  return (['sizes', 'views', 'codecs'] as const).filter(
    (key) => ({ sizes, views, codecs })[key].length === 0,
  );
}

/** Nothing may be `unanswered`. */
export function cameraFromFive(id: string, name: string, answers: FiveAnswers): CameraProfile {
  const { sizes, views, holds, codecs } = answers;
  const usual = structuredClone(ARCHETYPES.main);
  const [first] = views;
  return {
    ...omit(usual, 'sensor'),
    id,
    name,
    summary: '',
    resolutions: sizes.map((size) => ({ id: size.id, width: size.width, height: size.height })),
    ...(first ? { standardView: first.id } : {}),
    views: views.map((view) => ({ ...view, fromSphere: false })),
    stabilizations: Object.fromEntries(
      holds.flatMap((hold) => {
        const given = usual.stabilizations[hold];
        return given ? [[hold, given]] : [];
      }),
    ),
    rules: rulesFrom(rowsOf(answers, codecs)),
    limits: [],
  };
}

function rowsOf({ sizes, views, holds }: FiveAnswers, codecs: FiveAnswers['codecs']): TableRow[] {
  const encodings = codecs.map(({ codec, tenBit, bitRateMbps }): TableRow['encodings'][number] => ({
    codec,
    bitDepth: tenBit ? 10 : 8,
    bitRatesMbps: [bitRateMbps],
  }));
  const colours: TableRow['colours'] = codecs.some(({ tenBit }) => tenBit)
    ? ['standard', 'flat', 'log']
    : ['standard'];
  return sizes.flatMap((size) =>
    USUAL_RATES.filter((fps) => fps <= size.fastestFps).flatMap((frameRate) =>
      views.flatMap((view) =>
        (['off', ...holds] as const)
          .filter((hold) => frameRate <= HORIZON_UP_TO_FPS || !HORIZON_HOLDS.includes(hold))
          .map((stabilization) => ({
            recording: 'video' as const,
            resolutionId: size.id,
            frameRate,
            viewId: view.id,
            stabilization,
            colours,
            encodings,
          })),
      ),
    ),
  );
}

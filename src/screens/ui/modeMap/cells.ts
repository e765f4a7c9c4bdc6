import type { Stabilization } from '@/core/vocabulary/modes';
import { modesOf } from '@/core/camera/modeTable';
import type { Mode } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { grants, valuesOf } from '@/core/camera/wishes';
import type { ModeWishes } from '@/core/camera/wishes';

/** One cell of the mode map: a size at a frame rate, with every view and hold that goes with it. */
export interface Cell {
  resolutionId: string;
  frameRate: number;
  /** By stabilization, then view: not there, there but not as wished, or granted. */
  marks: Mark[][];
  granted: number;
  /** How many times it slows on the usual timeline; 1 is not at all. */
  slows: number;
  slowMotionOnly: boolean;
  tenBit: boolean;
  hevcOnly: boolean;
}

/** The timeline on which the map tells how far a rate slows. */
export const USUAL_TIMELINE_FPS = 25;

export type Mark = 'none' | 'dark' | 'lit';

export interface MapOf {
  resolutions: string[];
  frameRates: number[];
  views: string[];
  stabilizations: Stabilization[];
  cells: Cell[][];
}

/** The whole map of a camera under wishes. Wishes for size and rate darken the other cells, like any other wish. */
export function mapOf(profile: CameraProfile, wishes: ModeWishes): MapOf {
  const modes = modesOf(profile).filter(
    ({ recording }) => wishes.recording === undefined || recording === wishes.recording,
  );
  const resolutions = valuesOf(profile, 'resolutionId').map(String);
  const frameRates = valuesOf(profile, 'frameRate').map(Number);
  const views = valuesOf(profile, 'viewId').map(String);
  const stabilizations = valuesOf(profile, 'stabilization') as Stabilization[];
  const at = new Map<string, Mode[]>();
  for (const mode of modes) {
    const key = `${mode.resolution.id}|${mode.frameRate}`;
    at.set(key, [...(at.get(key) ?? []), mode]);
  }
  return {
    resolutions,
    frameRates,
    views,
    stabilizations,
    cells: resolutions.map((resolutionId) =>
      frameRates.map((frameRate) => {
        const here = at.get(`${resolutionId}|${frameRate}`) ?? [];
        const lit = here.filter((mode) => grants(mode, wishes));
        const mark = (hold: Stabilization, view: string): Mark => {
          const is = (mode: Mode): boolean => mode.stabilization === hold && mode.view.id === view;
          return lit.some(is) ? 'lit' : here.some(is) ? 'dark' : 'none';
        };
        return {
          resolutionId,
          frameRate,
          marks: stabilizations.map((hold) => views.map((view) => mark(hold, view))),
          granted: lit.length,
          slows: here.length === 0 ? 1 : Math.max(1, Math.floor(frameRate / USUAL_TIMELINE_FPS)),
          slowMotionOnly: here.length > 0 && here.every(({ recording }) => recording === 'slowMotion'),
          tenBit: here.some(({ encodings }) => encodings.some(({ bitDepth }) => bitDepth === 10)),
          hevcOnly: here.every(({ encodings }) => encodings.every(({ codec }) => codec === 'hevc')),
        };
      }),
    ),
  };
}

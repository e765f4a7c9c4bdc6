import Papa from 'papaparse';
import { modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { COLUMNS } from './columns';
import type { Column } from './columns';

/** The mode table of a camera as CSV text; reading it back gives the same modes. */
export function writeModeSheet(profile: CameraProfile): string {
  const rows = modesOf(profile).flatMap((mode) => {
    const kinds = new Map<string, number[]>();
    for (const { codec, bitDepth, bitRateMbps } of mode.encodings) {
      const key = `${codec}|${bitDepth}`;
      kinds.set(key, [...(kinds.get(key) ?? []), bitRateMbps]);
    }
    const lens = profile.views.find(({ id }) => id === mode.view.id);
    const means = mode.stabilization === 'off' ? undefined : profile.stabilizations[mode.stabilization];
    return [...kinds].map(([key, rates]): Record<Column, string | number> => {
      const [codec = '', bitDepth = ''] = key.split('|');
      return {
        recording: mode.recording,
        resolution: mode.resolution.id,
        widthPx: mode.resolution.width,
        heightPx: mode.resolution.height,
        frameRateFps: mode.frameRate,
        view: mode.view.id,
        horizontalDeg: lens?.horizontalDeg ?? mode.view.horizontalDeg,
        projection: mode.view.projection,
        stabilization: mode.stabilization,
        cropPerSide: mode.cropPerSide,
        swingDeg: means?.swingDeg ?? '',
        colours: mode.colours.join(' '),
        codec,
        bitDepth,
        bitRatesMbps: rates.join(' '),
      };
    });
  });
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: true, newline: '\n' });
}

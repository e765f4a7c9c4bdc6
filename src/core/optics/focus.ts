/**
 * Where a lens is sharp. Distances in metres, focal lengths and blur circles in millimetres. Thin lens, which holds for
 * anything much farther away than the focal length. Source: any optics text; the blur disc of a point at D with the
 * lens focused at F spans the angle A·|1/D − 1/F| for an aperture A.
 */

/** Hyperfocal distance in metres, `f²/(N·c) + f`: focused there, all is sharp from half of it to infinity. */
export function hyperfocalM(focalMm: number, fNumber: number, circleMm: number): number {
  return ((focalMm * focalMm) / (fNumber * circleMm) + focalMm) / 1000;
}

export interface Focusing {
  focalMm: number;
  fNumber: number;
  blurCircleMm: number;
  kind: 'fixed' | 'auto';
  /** Where a fixed lens stands; left out, at the hyperfocal distance. */
  atM?: number | undefined;
  nearLimitM: number;
}

/** What a lens is focused at for a subject: a fixed one where it stands, an automatic one as near as it can come. */
function focusedAtM(lens: Focusing, subjectM: number): number {
  if (lens.kind === 'auto') return Math.max(subjectM, lens.nearLimitM);
  return lens.atM ?? hyperfocalM(lens.focalMm, lens.fNumber, lens.blurCircleMm);
}

/** The blur disc of a point, degrees across. */
export function blurDiscDeg(lens: Focusing, subjectM: number): number {
  const apertureM = lens.focalMm / lens.fNumber / 1000;
  const radians = apertureM * Math.abs(1 / subjectM - 1 / focusedAtM(lens, subjectM));
  return (radians * 180) / Math.PI;
}

/** The stretch within which the blur disc stays inside the lens's blur circle, metres. */
export function sharpRangeM(lens: Focusing, subjectM: number): { fromM: number; toM: number } {
  const focus = focusedAtM(lens, subjectM);
  const slack = (lens.blurCircleMm * lens.fNumber) / (lens.focalMm * lens.focalMm) / 1e-3;
  const nearest = 1 / (1 / focus + slack);
  const farthest = 1 / focus - slack;
  return { fromM: nearest, toM: farthest <= 1e-9 ? Infinity : 1 / farthest };
}

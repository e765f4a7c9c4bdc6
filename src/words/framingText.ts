import { FACE_READS_FROM_PX } from '@/core/optics/framing';
import type { FramedView } from '@/core/compare/framed';
import { trimmed } from '@/core/units/format';

/** What a view does with the subject, a line each. */
export interface FramingLine {
  what: string;
  text: string;
  warn: boolean;
}

export function framingLines(framed: FramedView): FramingLine[] {
  const { framing, subject } = framed;
  const share = `${trimmed(framing.shareOfHeight * 100, framing.shareOfHeight < 0.1 ? 1 : 0)} % of the height`;
  const near = framed.nearestFitsM;
  return [
    {
      what: 'Subject',
      text: `${framing.fits ? 'fits' : 'does not fit'}, ${share}${framing.lost ? ', too small to show' : ''}`,
      warn: !framing.fits || framing.lost,
    },
    {
      what: 'Distance',
      text: `${near === null ? 'never fits here' : `fits from ${metres(near)}`}, shows to ${metres(framed.farthestShowsM)}`,
      warn: near === null || subject.distanceM < near,
    },
    {
      what: 'Pixels',
      text: `${trimmed(framing.subjectPx, 0)} px tall, a face ${trimmed(framing.facePx, 0)} px: ${framing.faceReads ? 'reads' : `does not read (${FACE_READS_FROM_PX} px do)`}`,
      warn: false,
    },
    {
      what: 'Focus',
      text: `${framed.blurPx < 1 ? 'sharp' : `blur disc ${trimmed(framed.blurPx, 1)} px`} at ${metres(subject.distanceM)}; sharp ${metres(framed.sharp.fromM)} to ${framed.sharp.toM === Infinity ? 'far' : metres(framed.sharp.toM)}`,
      warn: framed.blurPx >= 3 || subject.distanceM < framed.nearLimitM,
    },
    {
      what: 'Shape',
      text: `drawn ${trimmed(framing.drawnWider, 2)}× as wide as at the centre${framed.outwardStretch > 1.05 ? `, the edge there pulled ${trimmed(framed.outwardStretch, 2)}×` : ''}`,
      warn: Math.abs(Math.log2(framing.drawnWider)) > 0.32,
    },
    {
      what: 'Enlarges',
      text: `${trimmed(framed.magnification, 2)}× the standard view; ${trimmed(framed.pxPerDegree, 0)} px a degree`,
      warn: false,
    },
    {
      what: 'In the way',
      text: framed.blocked < 0.005 ? 'nothing' : `${trimmed(framed.blocked * 100, 0)} % of the frame covered`,
      warn: framed.blocked > 0.25,
    },
  ];
}

function metres(value: number): string {
  return `${value < 10 ? trimmed(value, 2) : trimmed(value, 0)} m`;
}

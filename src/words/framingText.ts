import * as messages from '@/language/words/framing';
import { FACE_READS_FROM_PX } from '@/core/optics/framing';
import type { FramedView } from '@/core/compare/framed';
import { trimmed } from '@/core/units/format';

/** What a view does with the subject, a line each. */
interface FramingLine {
  what: string;
  text: string;
  warn: boolean;
}

export function framingLines(framed: FramedView): FramingLine[] {
  const { framing, subject } = framed;
  const share = messages.ofTheHeight({
    shareOfHeight: trimmed(framing.shareOfHeight * 100, framing.shareOfHeight < 0.1 ? 1 : 0),
  });
  const near = framed.nearestFitsM;
  return [
    {
      what: messages.subject,
      text: `${framing.fits ? messages.fits : messages.doesNotFit}, ${share}${framing.lost ? messages.tooSmallToShow : ''}`,
      warn: !framing.fits || framing.lost,
    },
    {
      what: messages.distance,
      text: messages.showsTo({
        near: near === null ? messages.neverFitsHere : messages.fitsFrom({ near: metres(near) }),
        farthestShowsM: metres(framed.farthestShowsM),
      }),
      warn: near === null || subject.distanceM < near,
    },
    {
      what: messages.pixels,
      text: messages.pxTallAFacePx({
        subjectPx: trimmed(framing.subjectPx, 0),
        facePx: trimmed(framing.facePx, 0),
        faceReads: framing.faceReads
          ? messages.reads
          : messages.doesNotReadPxDo({ faceReadsFromPx: FACE_READS_FROM_PX }),
      }),
      warn: false,
    },
    {
      what: messages.focus,
      text: messages.atSharpTo({
        blurPx:
          framed.blurPx < 1 ? messages.sharp : messages.blurDiscPx({ blurPx: trimmed(framed.blurPx, 1) }),
        distanceM: metres(subject.distanceM),
        fromM: metres(framed.sharp.fromM),
        toM: framed.sharp.toM === Infinity ? messages.far : metres(framed.sharp.toM),
      }),
      warn: framed.blurPx >= 3 || subject.distanceM < framed.nearLimitM,
    },
    {
      what: messages.shape,
      text: messages.drawnAsWideAsAt({
        drawnWider: trimmed(framing.drawnWider, 2),
        outwardStretch:
          framed.outwardStretch > 1.05
            ? messages.theEdgeTherePulled({ outwardStretch: trimmed(framed.outwardStretch, 2) })
            : '',
      }),
      warn: Math.abs(Math.log2(framing.drawnWider)) > 0.32,
    },
    {
      what: messages.enlarges,
      text: messages.theStandardViewPxA({
        magnification: trimmed(framed.magnification, 2),
        pxPerDegree: trimmed(framed.pxPerDegree, 0),
      }),
      warn: false,
    },
    {
      what: messages.inTheWay,
      text:
        framed.blocked < 0.005
          ? messages.nothing
          : messages.ofTheFrameCovered({ blocked: trimmed(framed.blocked * 100, 0) }),
      warn: framed.blocked > 0.25,
    },
  ];
}

function metres(value: number): string {
  return messages.value({ value: value < 10 ? trimmed(value, 2) : trimmed(value, 0) });
}

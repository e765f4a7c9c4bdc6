import * as messages from '@/language/words/reason';
import { trimmed } from '@/core/units/format';
import { EYE_PX_PER_DEGREE } from '@/core/playback/screens';
import { CODEC_LABEL, SCREEN_LABEL, STABILIZATION_LABEL } from '../labels';
import type { ForcedBy } from '@/core/answer/neighbours';
import { capital } from '../sentences';
import type { ReasonText } from '../sentences';
import { durationText } from '../settingText';
import type { ReasonOf } from './telling';

/** So many times the delivered width leave room for a cut (start: a tenth to either side). */
const ROOM_FROM = 1.2;

export function resolutionText(reason: ReasonOf<'resolution'>): ReasonText {
  const { width, deliveredWidth, usableWidth, editKeeps } = reason;
  const usable = Math.round(usableWidth);
  const steps = [
    messages.pxRecordedPxUsableIn({
      width,
      usable,
      editKeeps:
        editKeeps < 0.999
          ? messages.afterTheEditsSteadyingKeeps({ editKeeps: trimmed(editKeeps * 100, 0) })
          : '',
      deliveredWidth,
    }),
    messages.onAThatIsAbout({
      screen: SCREEN_LABEL[reason.screen],
      sightPxPerDegree: trimmed(reason.sightPxPerDegree, 0),
      eyePxPerDegree: EYE_PX_PER_DEGREE,
    }),
  ];
  const ratio = usableWidth / deliveredWidth;
  const { forcedBy } = reason;
  const forced = forcedBy
    ? messages.stopsThereWithoutItPx({
        reason: capital(FORCING_TEXT[forcedBy.setting](reason)),
        widthPx: forcedBy.widthPx,
      })
    : '';
  const own =
    ratio < 0.999
      ? messages.pxUsableWhereAreWanted({ usable, deliveredWidth })
      : messages.theDeliveredWidthToStraighten({ ratio: trimmed(ratio, 1), room: ratio >= ROOM_FROM });
  return { text: own + forced, steps };
}

const FORCING_TEXT: Record<ForcedBy['setting'], (reason: ReasonOf<'resolution'>) => string> = {
  stabilization: ({ stabilization }) =>
    messages.stabilization({ stabilization: STABILIZATION_LABEL[stabilization].toLowerCase() }),
  frameRate: ({ frameRate }) => messages.fps({ frameRate: trimmed(frameRate, 2) }),
  view: () => messages.thisView,
};

export function viewText(reason: ReasonOf<'view'>): ReasonText {
  const { horizontalDeg, filmedDeg, leastDeg, mostDeg } = reason;
  const filmed =
    filmedDeg > horizontalDeg + 1 ? messages.ofTheFilmed({ filmedDeg: trimmed(filmedDeg, 0) }) : '';
  const both = reason.filled !== null && reason.ofRide;
  const alone = reason.filled === null ? messages.theRide : messages.theSubject;
  const wants = both ? messages.subjectAndRide : alone;
  const wantVerb = both ? messages.want : messages.wants;
  const steps = [
    messages.acrossAfterTheCropAt({
      horizontalDeg: trimmed(horizontalDeg, 0),
      wants,
      wantVerb,
      leastDeg: trimmed(leastDeg, 0),
      mostDeg: trimmed(mostDeg, 0),
    }),
  ];
  const text =
    horizontalDeg < leastDeg - 0.5
      ? messages.showsNarrowerThanTheThat({
          horizontalDeg: trimmed(horizontalDeg, 0),
          filmed,
          leastDeg: trimmed(leastDeg, 0),
          wants,
          wantVerb,
        })
      : reason.fromSphere
        ? messages.cutFlatOutOfThe({ horizontalDeg: trimmed(horizontalDeg, 0) })
        : messages.shows({
            horizontalDeg: trimmed(horizontalDeg, 0),
            filmed,
            wants,
            wantVerb,
            leastDeg: trimmed(leastDeg, 0),
          });
  const { filled, wantedShare } = reason;
  const size =
    filled === null || wantedShare === null
      ? ''
      : messages.theSubjectFills({
          filled: trimmed(filled * 100, filled < 0.1 ? 1 : 0),
          wanted: trimmed(wantedShare * 100, 0),
          small: filled < wantedShare * 0.95,
        });
  return { text: `${text}${size}`, steps };
}

export function bitRateText(reason: ReasonOf<'bitRateMbps'>): ReasonText {
  const share = reason.cardShare * 100;
  return {
    text: messages.bitsAPixelFillOf({
      bitsPerPixel: trimmed(reason.bitsPerPixel, 2),
      recordSeconds: durationText(reason.recordSeconds),
      share: trimmed(share, 0),
    }),
    steps: [
      messages.atMbitSIsWorth({
        codec: CODEC_LABEL[reason.codec],
        bitRateMbps: trimmed(reason.bitRateMbps, 1),
        bitsPerPixel: trimmed(reason.bitsPerPixel, 2),
        hevc: reason.codec === 'hevc',
        avcRateMbps: trimmed(reason.avcRateMbps, 0),
      }),
      messages.rateTime8WithSound({ share: trimmed(share, 0) }),
    ],
  };
}

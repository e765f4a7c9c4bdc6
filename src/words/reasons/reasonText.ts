import * as messages from '@/language/words/reason';
import { HEVC_SHARE_OF_AVC } from '@/core/camera/card';
import type { FigureKind } from '@/core/records/learned';
import type { Reason } from '@/core/answer/reason';
import { trimmed } from '@/core/units/format';
import { usedText } from '../learnedText';
import { RECORDING_WHY } from '../cameraText';
import { CODEC_LABEL } from '../labels';
import { besideSteps, besideText } from '../besideText';
import { capital } from '../sentences';
import type { ReasonText } from '../sentences';
import { colourText, offsetReasonText, whiteBalanceText } from '../secondRowText';
import { filterReasonText, isoReasonText } from './exposure';
import { frameRateText, shutterReasonText, stabilizationText } from './movement';
import { bitRateText, resolutionText, viewText } from './picture';
import type { Telling } from './telling';

/** The figures that each setting stands on, of those that a person may have their own of. */
const STANDS_ON: Partial<Record<Reason['setting'], readonly FigureKind[]>> = {
  frameRate: ['power', 'heat'],
  shutterSeconds: ['shake'],
  filter: ['scene', 'shade', 'sky', 'filter', 'guard'],
  iso: ['iso'],
  bitRateMbps: ['bitRate'],
};

export function reasonText(reason: Reason, telling: Telling): ReasonText {
  const said = saidOf(reason, telling);
  const own = telling.learned.filter(({ figure }) => STANDS_ON[reason.setting]?.includes(figure.of));
  if (own.length === 0) return said;
  const sentences = own.map((one) => capital(usedText(one, telling.names)));
  return {
    ...said,
    text: [said.text, ...sentences].join(' '),
    short: said.short ?? said.text,
    steps: [...said.steps, ...sentences],
  };
}

function saidOf(reason: Reason, telling: Telling): ReasonText {
  const said = say(reason, telling);
  if (reason.pinned)
    return {
      ...said,
      text:
        reason.pinned === 'day'
          ? messages.theDaySetsThis({ said: said.text })
          : messages.youSetThis({ said: said.text }),
    };
  const beside = besideText(reason.setting, reason.beside, telling.kit);
  return beside === ''
    ? said
    : {
        ...said,
        text: `${said.text} ${beside}`,
        steps: [...said.steps, ...besideSteps(reason.setting, reason.beside, telling.kit)],
      };
}

function say(reason: Reason, telling: Telling): ReasonText {
  switch (reason.setting) {
    case 'frameRate':
      return frameRateText(reason);
    case 'shutterSeconds':
      return shutterReasonText(reason);
    case 'filter':
      return filterReasonText(reason, telling);
    case 'iso':
      return isoReasonText(reason, telling);
    case 'resolution':
      return resolutionText(reason);
    case 'view':
      return viewText(reason);
    case 'bitRateMbps':
      return bitRateText(reason);
    case 'stabilization':
      return stabilizationText(reason);
    case 'whiteBalance':
      return whiteBalanceText(reason);
    case 'colour':
      return colourText(reason);
    case 'exposureOffsetStops':
      return offsetReasonText(reason);
    case 'codec':
      return {
        text:
          reason.codec === 'hevc'
            ? messages.theSamePictureInAbout({ hevcShareOfAvc: trimmed(HEVC_SHARE_OF_AVC, 1) })
            : messages.cutsOnAnyComputerAt,
        steps: [messages.atTheBitRateAbove({ codec: CODEC_LABEL[reason.codec] })],
      };
    case 'bitDepth':
      return {
        text:
          reason.bitDepth === 10
            ? messages.fourTimesTheStepsSkies
            : reason.log
              ? messages.logIn8BitBreaks
              : messages.enoughForAPicturePosted,
        steps: [],
      };
    case 'recording':
      return { text: RECORDING_WHY[reason.recording], steps: [] };
    case 'sharpening':
    case 'noiseReduction':
      return {
        text: reason.graded ? messages.leftToTheEditWhere : messages.postedStraightAwaySoThe,
        steps: [],
      };
  }
}

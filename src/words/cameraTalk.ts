import * as messages from '@/language/words/cameraTalk';
import { trimmed } from '@/core/units/format';
import type { SetupFault } from '@/core/records/setup';
import type { SimulatedEnd, SetFault } from '@/simulators/camera/camera';
import { shutterFraction } from '@/core/units/format';

/** Why a code is not taken, and how a clip ended: the stand-in camera's words. */
export function setupFaultText(fault: SetupFault): string {
  switch (fault.code) {
    case 'foreign':
      return messages.thisIsNoSetUp;
    case 'version':
      return messages.thisCodeIsOfVersion({ version: fault.version });
    case 'damaged':
      return messages.thisCodeIsDamagedIts;
    case 'missing':
      return messages.thisCodeLacksMakeIt({ key: fault.key });
    case 'unknown':
      return messages.thisCodeHoldsWhichVersion({ key: fault.key });
    case 'value':
      return messages.isNoValueFor({ value: fault.value, key: fault.key });
  }
}

export function setFaultText(fault: SetFault, camera: string): string {
  switch (fault.code) {
    case 'otherCamera':
      return messages.thisSetUpIsFor({ wanted: fault.wanted, camera });
    case 'noMode':
      return messages.hasNoModeWithThis({ camera });
    case 'colour':
      return messages.hasNoColourInThis({ camera, colour: fault.colour });
    case 'rate':
      return messages.doesNotWriteMbitS({
        camera,
        mbps: trimmed(fault.mbps, 1),
        upperCase: fault.codec.toUpperCase(),
      });
    case 'shutter':
      return messages.goesNoShorterThanS({ camera, shortest: shutterFraction(fault.shortest) });
    case 'iso':
      return messages.hasNoISOFromTo({ camera, min: fault.min, max: fault.max });
    case 'running':
      return messages.itIsRecordingStopIt;
  }
}

export const END_LABEL: Record<SimulatedEnd, string> = messages.endLabel;

import { trimmed } from '@/core/units/format';
import type { SetupFault } from '@/formats/code/setupCode';
import type { End, SetFault } from '@/simulators/camera/camera';
import { shutterFraction } from '@/core/units/format';

/** Why a code is not taken, and how a clip ended: the stand-in camera's words. */
export function setupFaultText(fault: SetupFault): string {
  switch (fault.code) {
    case 'foreign':
      return 'This is no set-up code of Lynxeye. Show one from the cards, under Codes.';
    case 'version':
      return `This code is of version ${fault.version}; this camera reads version 1. Show it from the same version of the app.`;
    case 'damaged':
      return 'This code is damaged: its checksum does not fit. Show it larger, or paste its text again.';
    case 'missing':
      return `This code lacks "${fault.key}". Make it anew from the cards.`;
    case 'unknown':
      return `This code holds "${fault.key}", which version 1 does not know.`;
    case 'value':
      return `"${fault.value}" is no value for "${fault.key}".`;
  }
}

export function setFaultText(fault: SetFault, camera: string): string {
  switch (fault.code) {
    case 'otherCamera':
      return `This set-up is for another camera ("${fault.wanted}"), and this is ${camera}.`;
    case 'noMode':
      return `${camera} has no mode with this size, frame rate, view and stabilization together.`;
    case 'colour':
      return `${camera} has no ${fault.colour} colour in this mode.`;
    case 'rate':
      return `${camera} does not write ${trimmed(fault.mbps, 1)} Mbit/s in ${fault.codec.toUpperCase()} in this mode.`;
    case 'shutter':
      return `${camera} goes no shorter than ${shutterFraction(fault.shortest)} s, or runs no shutter by itself.`;
    case 'iso':
      return `${camera} has no ISO from ${fault.min} to ${fault.max} in this colour.`;
    case 'running':
      return 'It is recording. Stop it first.';
  }
}

export const END_LABEL: Record<End, string> = {
  stopped: 'stopped by hand',
  cardFull: 'card full',
  batteryFlat: 'battery flat',
  tooHot: 'too hot',
};

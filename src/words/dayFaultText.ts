import * as messages from '@/language/words/dayFault';
import type { DayFault } from '@/core/day/dayFaults';
import type { WorkedDay } from '@/core/day/workedDay';
import { trimmed } from '@/core/units/format';
import { clockText } from './lightText';
import { clashText, holdsText, outText } from './outingText';
import { dayPartName } from './shotName';

/** What a day does not manage, in a sentence. */
export function dayFaultText(fault: DayFault, day: WorkedDay, zone: string): string {
  const camera = (id: string): string => day.camera(id)?.profile.name ?? id;
  const part = (id: string): string => dayPartName(day.part(id), messages.anotherShot);
  switch (fault.what) {
    case 'clash':
      return clashText(camera(fault.cameraId), part(fault.withId), part(fault.partId), fault.atMs, zone);
    case 'missing':
      return messages.shotIsGone;
    case 'noAnswer':
      return messages.noSettingKeepsItsPins({ part: part(fault.partId) });
    case 'filterRun':
      return messages.pinnedFiltersLeaveNoWay({ camera: camera(fault.cameraId) });
    case 'out':
      return outText(
        fault.out,
        camera(fault.out.cameraId),
        dayPartName(day.part(fault.out.partId), messages.theDay),
        zone,
      );
    case 'slowCard':
      return messages.cardIsTooSlow({
        camera: camera(fault.cameraId),
        card: fault.card,
        writesMBps: trimmed(fault.writesMBps, 1),
        keepsMBps: trimmed(fault.keepsMBps, 1),
      });
    case 'light':
      return messages.lightIsLost({ part: part(fault.partId), lost: holdsText(fault) });
    case 'setups':
      return messages.moreSetupsThanSlots({ camera: camera(fault.cameraId) });
    case 'hot':
      return messages.warnsOfHeat({ camera: camera(fault.cameraId), at: clockText(fault.atMs, zone) });
  }
}

import * as messages from '@/language/words/thing';
import { densityOf } from '@/core/units/stops';
import { bankUsableWh, cellWh, coldShare } from '@/core/camera/power';
import { cardSeconds, usableGb, WRITE_SHARE } from '@/core/camera/card';
import { habitsOf } from '@/core/vocabulary/mounts';
import type { Thing } from '@/core/records/kitItem';
import { trimmed } from '@/core/units/format';
import { cautionText, mountNoteText, obstructionText } from './mountText';

/** A thing that is not a camera. */
export type PlainThing = Exclude<Thing, { what: 'camera' }>;

/** What follows from a thing's figures, and what to mind with it, a line each. */
export function followsFrom(thing: PlainThing): string[] {
  switch (thing.what) {
    case 'filter': {
      const { filter } = thing;
      if (filter.kind === 'variable')
        return [
          messages.passes1To1Of({
            stopsMin: trimmed(2 ** filter.stopsMin, 1),
            stopsMax: trimmed(2 ** filter.stopsMax, 1),
          }),
        ];
      const stops = filter.measuredStops ?? filter.stops;
      return [
        messages.passes1OfTheLight({
          stops: trimmed(2 ** stops, 1),
          stops2: trimmed(densityOf(stops), 2),
          noMeasuredStops: filter.measuredStops === undefined,
        }),
        ...(filter.kind === 'polarizer' ? [messages.worksBestAtRightAngles] : []),
        ...(filter.kind === 'cover' ? [messages.oneMoreGlassBeforeThe] : []),
        ...(filter.stacksOn?.length ? [messages.inAStackTheStops] : []),
        ...(filter.opensSeal ? [cautionText('sealOpen')] : []),
      ];
    }
    case 'card':
      return [
        messages.gbToFillMinAt({
          capacityGb: trimmed(usableGb(thing.capacityGb), 1),
          capacityGb2: trimmed(cardSeconds(60, thing.capacityGb) / 60, 0),
        }),
        messages.halfOfTheWritingKept({ writeMBps: trimmed(thing.writeMBps * 8 * WRITE_SHARE, 0) }),
      ];
    case 'cell':
      return [
        messages.whEachWhInAll({
          thing: trimmed(cellWh(thing), 2),
          thing2: trimmed(cellWh(thing) * thing.count, 1),
          coldShare: trimmed(100 * (1 - coldShare(0)), 0),
        }),
        messages.keepCellsWarmAndDry,
      ];
    case 'bank':
      return [messages.whReachTheCamera({ ampereHours: trimmed(bankUsableWh(thing.ampereHours), 1) })];
    case 'mount': {
      const habits = habitsOf(thing.kind, thing.place);
      return [
        obstructionText(habits),
        messages.usuallyOffLevelByUp({
          tiltRiskDeg: habits.tiltRiskDeg,
          from: trimmed(habits.subjectM.from, 1),
          to: trimmed(habits.subjectM.to, 0),
        }),
        ...(habits.upsideDown === 'never'
          ? []
          : [messages.usuallyUpsideDownLockThe({ isUsually: habits.upsideDown === 'usually' })]),
        ...habits.notes.map(mountNoteText),
        ...habits.cautions.map(cautionText),
      ];
    }
  }
}

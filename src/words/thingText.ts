import { densityOf } from '@/core/units/stops';
import { bankUsableWh, cellWh, coldShare } from '@/core/camera/power';
import { cardSeconds, usableGb, WRITE_SHARE } from '@/core/camera/card';
import { habitsOf } from '@/core/vocabulary/mounts';
import type { Thing } from '@/core/records/kitItem';
import { trimmed } from '@/core/units/format';
import { cautionText, mountNoteText, obstructionText } from './mountText';

/** A thing that is not a camera. */
export type Plain = Exclude<Thing, { what: 'camera' }>;

/** What follows from a thing's figures, and what to mind with it, a line each. */
export function followsFrom(thing: Plain): string[] {
  switch (thing.what) {
    case 'filter': {
      const { filter } = thing;
      if (filter.kind === 'variable')
        return [
          `Passes 1/${trimmed(2 ** filter.stopsMin, 1)} to 1/${trimmed(2 ** filter.stopsMax, 1)} of the light.`,
        ];
      const stops = filter.measuredStops ?? filter.stops;
      return [
        `Passes 1/${trimmed(2 ** stops, 1)} of the light; density ${trimmed(densityOf(stops), 2)}${filter.measuredStops === undefined ? ', by its label' : ', as measured'}.`,
        ...(filter.kind === 'polarizer'
          ? ['Works best at right angles to the sun; on a wide view the sky darkens unevenly.']
          : []),
        ...(filter.kind === 'cover'
          ? ['One more glass before the lens: ghosts when the sun is near the frame.']
          : []),
        ...(filter.stacksOn?.length
          ? ['In a stack the stops add up; two rings darken the corners of a wide view.']
          : []),
        ...(filter.opensSeal ? [cautionText('sealOpen')] : []),
      ];
    }
    case 'card':
      return [
        `${trimmed(usableGb(thing.capacityGb), 1)} GB to fill, ${trimmed(cardSeconds(60, thing.capacityGb) / 60, 0)} min at 60 Mbit/s.`,
        `Half of the writing kept in reserve: up to ${trimmed(thing.writeMBps * 8 * WRITE_SHARE, 0)} Mbit/s.`,
      ];
    case 'cell':
      return [
        `${trimmed(cellWh(thing), 2)} Wh each, ${trimmed(cellWh(thing) * thing.count, 1)} Wh in all; about ${trimmed(100 * (1 - coldShare(0)), 0)} % less at 0 °C.`,
        'Keep cells warm and dry; never charge one that froze or swelled.',
      ];
    case 'bank':
      return [`${trimmed(bankUsableWh(thing.ampereHours), 1)} Wh reach the camera.`];
    case 'mount': {
      const habits = habitsOf(thing.kind, thing.place);
      return [
        obstructionText(habits),
        `Usually off level by up to ${habits.tiltRiskDeg}°; subjects ${trimmed(habits.subjectM.from, 1)} to ${trimmed(habits.subjectM.to, 0)} m away.`,
        ...(habits.upsideDown === 'never'
          ? []
          : [
              `${habits.upsideDown === 'usually' ? 'Usually' : 'Sometimes'} upside down: lock the orientation.`,
            ]),
        ...habits.notes.map(mountNoteText),
        ...habits.cautions.map(cautionText),
      ];
    }
  }
}

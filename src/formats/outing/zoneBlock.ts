import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';

/**
 * A zone's clock changes written out, for calendars that do not know the zone by its name (RFC 5545, 3.6.5): one
 * observance for each change in the years given, after a first one that holds at their start. Written from what this
 * machine knows, under the very name the outing has, so that aliases are defined too.
 */
export function zoneBlock(zone: string, fromYear: number, toYear: number): ICAL.Component {
  const block = new ICAL.Component('vtimezone');
  block.addPropertyWithValue('tzid', zone);
  const start = Temporal.ZonedDateTime.from({ timeZone: zone, year: fromYear, month: 1, day: 1 });
  const end = Temporal.ZonedDateTime.from({ timeZone: zone, year: toYear + 1, month: 1, day: 1 });
  let offset = start.offsetNanoseconds;
  block.addSubcomponent(observance('standard', '1970-01-01T00:00:00', offset, offset));
  for (
    let at = start.getTimeZoneTransition('next');
    at && Temporal.ZonedDateTime.compare(at, end) < 0;
    at = at.getTimeZoneTransition('next')
  ) {
    const to = at.offsetNanoseconds;
    // It begins at what the clock showed before it was changed.
    const onset = at.toInstant().toZonedDateTimeISO('UTC').add({ nanoseconds: offset }).toPlainDateTime();
    block.addSubcomponent(observance(to > offset ? 'daylight' : 'standard', onset.toString(), offset, to));
    offset = to;
  }
  return block;
}

function observance(name: string, onset: string, fromNs: number, toNs: number): ICAL.Component {
  const part = new ICAL.Component(name);
  part.addPropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(onset.padEnd(19, ':00')));
  part.addPropertyWithValue('tzoffsetfrom', ICAL.UtcOffset.fromSeconds(fromNs / 1e9));
  part.addPropertyWithValue('tzoffsetto', ICAL.UtcOffset.fromSeconds(toNs / 1e9));
  return part;
}

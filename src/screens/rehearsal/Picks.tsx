import * as messages from '@/language/rehearsal';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { pinsOf } from '@/core/compare/variants';
import type { WorkedPart } from '@/core/day/workedDay';
import type { Outing } from '@/core/records/outing';
import type { Pins, SettingKey, Settings } from '@/core/records/settings';
import type { ReadingWorth } from '@/core/rehearse/reading';
import type { Robust } from '@/core/rehearse/rehearse';
import { tenths, trimmed } from '@/core/units/format';
import { omit } from '@/core/units/omit';
import { SETTING_LABEL } from '@/words/labels';
import { clockText } from '@/words/lightText';
import { settingText } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import type { DayEditing } from '../outing/useDayEditing';

/** From this share of days on it is told of the filter alone. */
const READING_CHANGES = 0.1;
/** So long before its shot, minutes: the filter can still be changed. */
const READING_BEFORE = 10;

/** A reading that is worth it goes on the cards, with the filter for what it says. */
export function Reading({
  of,
  reading,
  outing,
  editing,
}: {
  of: WorkedPart | undefined;
  reading: ReadingWorth;
  outing: Outing;
  editing: DayEditing;
}): ReactNode {
  if (!of) return null;
  const shot = dayPartName(of);
  const filterToo = reading.changesFilter >= READING_CHANGES;
  const changes = filterToo ? reading.changesFilter : reading.changes;
  const entry = outing.days.flatMap(({ entries }) => entries).find(({ id }) => id === of.entryId);
  const planned = entry?.what === 'shot' ? entry.reading : undefined;
  const before = planned?.minutesBefore ?? READING_BEFORE;
  return (
    <li>
      <span>
        {messages.readingAt({
          at: clockText(of.fromMs - before * 60_000, outing.zone),
          shot,
          what: filterToo ? messages.theFilter : messages.whatIsSet,
          tenths: trimmed(10 * changes, 0),
          saves: trimmed(reading.savesLoss, 2),
        })}{' '}
        {planned && messages.readingIsPlanned}
      </span>
      <Button
        aria-label={planned ? messages.takeReadingOff({ shot }) : messages.takeReading({ shot })}
        onClick={() =>
          void editing.changeEntry(
            planned ? messages.takeAReadingOff : messages.takeAReading,
            of.entryId,
            (one) => {
              if (one.what !== 'shot') return one;
              return planned ? omit(one, 'reading') : { ...one, reading: { minutesBefore: READING_BEFORE } };
            },
          )
        }
      >
        {planned ? messages.takeOff : messages.take}
      </Button>
    </li>
  );
}

/** Settings that lose less on the mean of all days, in place of those of the plan. */
export function RobustPick({
  part,
  pick,
  now,
  editing,
}: {
  part: WorkedPart;
  pick: Robust;
  now: Settings;
  editing: DayEditing;
}): ReactNode {
  const pins = pinsFor(now, pick.settings);
  const settings = (Object.keys(pins) as SettingKey[])
    .filter((key) => key !== 'shutterAngleDeg')
    .map((key) => `${SETTING_LABEL[key]} ${settingText(key, pick.settings, part.brief.filters)}`)
    .join(', ');
  const shot = dayPartName(part);
  const { onLikelyDay } = pick;
  return (
    <li>
      <span>
        {messages.robust({
          shot,
          settings,
          saves: trimmed(pick.saves, 2),
          cost:
            Math.abs(onLikelyDay) < 0.05
              ? messages.costsNothing
              : onLikelyDay > 0
                ? messages.costsMore({ cost: tenths(onLikelyDay) })
                : messages.costsLess({ cost: tenths(-onLikelyDay) }),
        })}
      </span>
      <Button
        aria-label={messages.takeRobust({ shot, settings })}
        onClick={() =>
          void editing.take(messages.takeRobustPick, [{ what: 'pins', pins: [{ partId: part.id, pins }] }])
        }
      >
        {messages.take}
      </Button>
    </li>
  );
}

/** The settings that differ; the angle says the same as the time. */
function pinsFor(now: Settings, wanted: Settings): Pins {
  const [before, after] = [pinsOf(now), pinsOf(wanted)];
  const keys = (Object.keys(after) as (keyof Pins)[]).filter(
    (key) => key !== 'shutterAngleDeg' && JSON.stringify(before[key]) !== JSON.stringify(after[key]),
  );
  return Object.fromEntries(keys.map((key) => [key, after[key]]));
}

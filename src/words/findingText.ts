import * as messages from '@/language/words/finding';
import type { Filter } from '@/core/filters/filterSchema';
import type { Found, MeasuredClip, Pictures } from '@/core/records/clipReport';
import type { Pins, Settings } from '@/core/records/settings';
import { tenths, trimmed } from '@/core/units/format';
import { SETTING_LABEL, viewLabel } from './labels';
import { settingText } from './settingText';

/** What a clip was filmed at, and with which filters at hand. */
export interface Filmed {
  settings: Settings;
  filters: readonly Filter[];
}

/** A finding says what is seen, when, how much against which limit, and the one change that would have cured it. */
export function findingText(found: Found, pictures: Pictures | null, filmed: Filmed | null): string {
  const seen = seenText(found, pictures);
  if (!found.change || !filmed) return seen;
  const change = pinsText(found.change, filmed);
  return `${seen} ${isAsFilmed(found.change, filmed) ? messages.setAsPlanned({ change }) : messages.wouldHaveCured({ change })}`;
}

/** What was planned, and not what was filmed. */
function isAsFilmed(change: Pins, { settings }: Filmed): boolean {
  return (Object.keys(change) as (keyof Pins)[]).every(
    (key) => JSON.stringify(change[key]) === JSON.stringify(settings[key]),
  );
}

/** "filter ND32", "shutter 1/200 s and filter ND16". */
export function pinsText(change: Pins, { settings, filters }: Filmed): string {
  const { view, ...rest } = change;
  const changed = { ...settings, ...rest } as Settings;
  return (Object.keys(change) as (keyof Pins)[])
    .map((key) =>
      key === 'view' && view
        ? `${SETTING_LABEL.view} ${viewLabel(view.id)}`
        : `${SETTING_LABEL[key]} ${settingText(key, changed, filters)}`,
    )
    .join(messages.and);
}

function seenText({ code, atSeconds, value, limit }: Found, pictures: Pictures | null): string {
  const at = tenths(atSeconds ?? 0);
  const figures = { value: trimmed(value, 1), limit: trimmed(limit, 1) };
  switch (code) {
    case 'over':
      return messages.over({ at, ...figures });
    case 'under':
      return atSeconds === null
        ? messages.underAll({ value: signed(value), limit: signed(limit) })
        : messages.under({ at, ...figures });
    case 'stutter':
      return messages.stutter({ ...figures, pattern: String(pictures?.repeatPattern ?? 0) });
    case 'tilt':
      return messages.tilt({
        value: tenths(Math.abs(value)),
        side: value > 0 ? 'clockwise' : 'anticlockwise',
        limit: trimmed(limit, 1),
      });
    case 'flicker':
      return messages.flicker({
        ...figures,
        hz: trimmed(pictures?.flicker?.hz ?? 0, 1),
        lamps: String(pictures?.flicker?.mainsHz ?? 0),
      });
    case 'soft':
      return ((pictures?.blur?.median ?? 0) > limit ? messages.soft : messages.softNear)({
        value: trimmed(value, 2),
        limit: trimmed(limit, 2),
      });
    case 'bitRate':
      return limit < 3
        ? messages.blocks({ value: trimmed(value, 2), limit: trimmed(limit, 2) })
        : messages.bitRate(figures);
    case 'cutOff':
      return value < limit
        ? messages.cutOff({ value: trimmed(value, 0), limit: trimmed(limit, 0) })
        : messages.brokenOff({ value: tenths(value) });
    case 'clippedSound':
      return messages.clippedSound({ value: trimmed(value, 2), limit: trimmed(limit, 2) });
    case 'frameRate':
      return messages.frameRate({ value: trimmed(value, 2), limit: trimmed(limit, 2) });
    case 'silent':
      return messages.silent({ value: trimmed(value, 0) });
    case 'drift':
      return messages.drift(figures);
    case 'smear':
      return messages.smear(figures);
    case 'strobing':
      return messages.strobing(figures);
    case 'noise':
      return messages.noise(figures);
    case 'shake':
      return messages.shake(figures);
    case 'size':
      return messages.size(figures);
    case 'wind':
      return messages.wind(figures);
  }
}

function signed(stops: number): string {
  return tenths(stops).replace('-', '−');
}

/** Why pictures stayed unread, or what of the file is not there; `null`: all of it was read. */
export function unreadText({ unread, container }: Pick<MeasuredClip, 'unread' | 'container'>): string | null {
  switch (unread) {
    case null:
      return null;
    case 'noFrames':
      return messages.noFrames;
    case 'notDecoded':
      return messages.notInThisBrowser({ codec: container.videoCodec });
    case 'cutShort':
      return messages.cutShort;
  }
}

import type { Pins, SettingKey, Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';

/** The pins that hold a tile where it stands. */
export function pinsHolding(key: SettingKey, now: Settings): Pins {
  switch (key) {
    case 'shutterSeconds':
      return {
        shutterSeconds: now.shutterSeconds,
        shutterMode: now.shutterMode,
        ...(now.shutterFloorSeconds === undefined ? {} : { shutterFloorSeconds: now.shutterFloorSeconds }),
      };
    case 'view':
      return { view: { id: now.view.id } };
    default:
      return { [key]: now[key] };
  }
}

/** The pin keys that belong to a tile: the shutter tile holds four. */
export function pinKeysOf(key: SettingKey): SettingKey[] {
  return key === 'shutterSeconds'
    ? ['shutterSeconds', 'shutterAngleDeg', 'shutterMode', 'shutterFloorSeconds']
    : [key];
}

export function withoutPins(pins: Pins, key: SettingKey): Pins {
  const gone = pinKeysOf(key);
  return Object.fromEntries(Object.entries(pins).filter(([name]) => !gone.includes(name as SettingKey)));
}

/** The shot with a tile pinned to a value, whatever it was pinned to before. */
export function pinnedTo(shot: Shot, setting: SettingKey, pins: NonNullable<Shot['pins']>): Shot {
  return { ...shot, pins: { ...withoutPins(shot.pins ?? {}, setting), ...pins } };
}

/** The shot with a tile let go. */
export function released(shot: Shot, setting: SettingKey): Shot {
  const pins = withoutPins(shot.pins ?? {}, setting);
  const others = omit(shot, 'pins');
  return Object.keys(pins).length === 0 ? others : { ...others, pins };
}

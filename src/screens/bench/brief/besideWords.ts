import * as messages from '@/language/bench/brief';
import { lampsIn } from '@/core/light/lamps';
import { darkShareOf } from '@/core/light/lightRange';
import type { Light } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { SURROUNDINGS } from '@/core/vocabulary/surroundings';
import type { Surroundings } from '@/core/vocabulary/surroundings';
import { SURROUNDINGS_LABEL } from '@/words/labels';
import { LAMP_KINDS } from '@/core/vocabulary/lamps';
import type { LampKind } from '@/core/vocabulary/lamps';
import { options } from './wordControls';
import type { Word } from './wordControls';

/** What a light says beside its figures: it stays when those change. */
export function besideOf({ lamps, darkShare }: Light): Pick<Light, 'lamps' | 'darkShare'> {
  return { ...(lamps === undefined ? {} : { lamps }), ...(darkShare === undefined ? {} : { darkShare }) };
}

/** Which lamps there are, and how long the run is near its dark end: whatever else tells the light. */
export const lampKind: Word = {
  id: 'lampKind',
  name: messages.kindOfLamps,
  path: 'light.lamps',
  kind: 'choice',
  options: options(LAMP_KINDS, messages.lampLabel),
  value: ({ light }) => lampsIn(light),
  set: (shot, value, { light }) => ({
    ...shot,
    light: value === null ? (omit(light, 'lamps') as Light) : { ...light, lamps: value as LampKind },
  }),
};
export const surroundings: Word = {
  id: 'surroundings',
  name: messages.surroundings,
  path: 'surroundings',
  kind: 'choice',
  options: options(SURROUNDINGS, SURROUNDINGS_LABEL),
  value: (brief) => brief.surroundings,
  set: (shot, value) =>
    value === null ? omit(shot, 'surroundings') : { ...shot, surroundings: value as Surroundings },
};
export const darkShare: Word = {
  id: 'darkShare',
  name: messages.darkShare,
  path: 'light.darkShare',
  kind: 'number',
  unit: '%',
  min: 0,
  max: 100,
  step: 5,
  value: ({ light, mount }) => Math.round(100 * darkShareOf(light, mount.kind)),
  set: (shot, value, { light }) => ({
    ...shot,
    light: value === null ? (omit(light, 'darkShare') as Light) : { ...light, darkShare: value / 100 },
  }),
};

import { ACTIVITIES, ACTIVITY_HABITS } from '@/core/vocabulary/activities';
import type { Activity } from '@/core/vocabulary/activities';
import type { Shot, ShotInput } from '@/core/records/shot';
import { emptyShot } from '@/core/records/emptyShot';
import { ACTIVITY_LABEL, MOUNT_LABEL, SCENE_LABEL } from '@/words/labels';
import { capital } from '@/words/sentences';

/** The three words of a quick brief: the ride, the light, the playback. Everything else takes its usual value. */
export interface QuickBrief {
  ride: Activity;
  light: string;
  playback: number;
}

type SceneLight = Extract<NonNullable<ShotInput['light']>, { kind: 'scene' }>;

const LIGHTS: Record<string, { label: string; from: SceneLight['from']; to: SceneLight['from'] }> = {
  sunShade: { label: 'sun and open shade', from: 'openShade', to: 'openSun' },
  sun: { label: 'open sun all the way', from: 'openSun', to: 'openSun' },
  sunWood: { label: 'sun into a light wood', from: 'lightWood', to: 'openSun' },
  denseWood: { label: 'dense wood and glades', from: 'denseWood', to: 'openShade' },
  gorge: { label: 'gorge floor into sun', from: 'gorgeFloor', to: 'openSun' },
  snow: { label: 'snow in the sun', from: 'hazySun', to: 'snowSun' },
  cloud: { label: 'cloud, bright to heavy', from: 'heavyOvercast', to: 'brightCloud' },
  dusk: { label: 'after sunset', from: 'afterSunset', to: 'afterSunset' },
  hall: { label: 'a lit hall', from: 'sportsHall', to: 'brightHall' },
  room: { label: 'a lit room', from: 'litRoom', to: 'litRoom' },
  street: { label: 'a lit street', from: 'litStreet', to: 'litStreet' },
};

export const RIDE_OPTIONS = ACTIVITIES.map((value) => ({
  value,
  label: `${ACTIVITY_LABEL[value]}, ${MOUNT_LABEL[ACTIVITY_HABITS[value].usual.kind]}`,
}));
export const LIGHT_OPTIONS = Object.entries(LIGHTS).map(([value, { label }]) => ({ value, label }));
export const PLAYBACK_OPTIONS = [
  { value: 1, label: 'in real time' },
  { value: 2, label: 'slowed 2×' },
  { value: 4, label: 'slowed 4×' },
  { value: 8, label: 'slowed 8×' },
];

export const FIRST_BRIEF: QuickBrief = { ride: 'riding', light: 'sunShade', playback: 1 };

export function shotOfQuick({ ride, light, playback }: QuickBrief): Shot {
  const chosen = LIGHTS[light];
  const mount = ACTIVITY_HABITS[ride].usual;
  const where = chosen ? placeName(chosen.from, chosen.to) : '';
  return {
    ...emptyShot(`${capital(ACTIVITY_LABEL[ride])}, ${where}`),
    playback: { slowdown: playback },
    mount: { ...mount, activity: ride },
    ...(chosen ? { light: { kind: 'scene', from: chosen.from, to: chosen.to } } : {}),
  };
}

function placeName(from: SceneLight['from'], to: SceneLight['from']): string {
  return from === to ? SCENE_LABEL[from] : `${SCENE_LABEL[from]} to ${SCENE_LABEL[to]}`;
}

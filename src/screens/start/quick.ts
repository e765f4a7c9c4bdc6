import * as messages from '@/language/start';
import { ACTIVITIES, ACTIVITY_HABITS } from '@/core/vocabulary/activities';
import type { Activity } from '@/core/vocabulary/activities';
import { TALKING } from '@/core/brief/usual';
import type { Shot, ShotInput } from '@/core/records/shot';
import { emptyShot } from '@/core/records/emptyShot';
import { ACTIVITY_LABEL, MOUNT_LABEL, SCENE_LABEL } from '@/words/labels';
import { capital } from '@/words/sentences';

/** The three words of a quick brief: the ride, the light, the playback. Everything else takes its usual value. */
export interface QuickBrief {
  ride: Ride;
  light: string;
  playback: number;
}

/** What is done, or a person who talks to the camera meanwhile. */
export type Ride = Activity | keyof typeof TALKS;

const TALKS = { talking: 'still', walkingTalking: 'walking' } as const satisfies Record<string, Activity>;
const TALK_LABEL: Record<keyof typeof TALKS, string> = messages.talkLabel;

const isTalk = (ride: Ride): ride is keyof typeof TALKS => ride in TALKS;
const activityOf = (ride: Ride): Activity => (isTalk(ride) ? TALKS[ride] : ride);
const rideName = (ride: Ride): string => (isTalk(ride) ? TALK_LABEL[ride] : ACTIVITY_LABEL[ride]);

type SceneLight = Extract<NonNullable<ShotInput['light']>, { kind: 'scene' }>;

const LIGHTS: Record<string, { label: string; from: SceneLight['from']; to: SceneLight['from'] }> = {
  sunShade: { label: messages.sunAndOpenShade, from: 'openShade', to: 'openSun' },
  sun: { label: messages.openSunAllTheWay, from: 'openSun', to: 'openSun' },
  sunWood: { label: messages.sunIntoALightWood, from: 'lightWood', to: 'openSun' },
  denseWood: { label: messages.denseWoodAndGlades, from: 'denseWood', to: 'openShade' },
  gorge: { label: messages.gorgeFloorIntoSun, from: 'gorgeFloor', to: 'openSun' },
  snow: { label: messages.snowInTheSun, from: 'hazySun', to: 'snowSun' },
  cloud: { label: messages.cloudBrightToHeavy, from: 'heavyOvercast', to: 'brightCloud' },
  dusk: { label: messages.afterSunset, from: 'afterSunset', to: 'afterSunset' },
  hall: { label: messages.aLitHall, from: 'sportsHall', to: 'brightHall' },
  room: { label: messages.aLitRoom, from: 'litRoom', to: 'litRoom' },
  street: { label: messages.aLitStreet, from: 'litStreet', to: 'litStreet' },
};

const RIDES: readonly Ride[] = ['talking', 'walkingTalking', ...ACTIVITIES];

export const RIDE_OPTIONS = RIDES.map((value) => ({
  value,
  label: `${rideName(value)}, ${MOUNT_LABEL[ACTIVITY_HABITS[activityOf(value)].usual.kind]}`,
}));
export const LIGHT_OPTIONS = Object.entries(LIGHTS).map(([value, { label }]) => ({ value, label }));
export const PLAYBACK_OPTIONS = [
  { value: 1, label: messages.inRealTime },
  { value: 2, label: messages.slowed2 },
  { value: 4, label: messages.slowed4 },
  { value: 8, label: messages.slowed8 },
];

export const FIRST_BRIEF: QuickBrief = { ride: 'riding', light: 'sunShade', playback: 1 };

export function shotOfQuick({ ride, light, playback }: QuickBrief): Shot {
  const chosen = LIGHTS[light];
  const activity = activityOf(ride);
  const mount = ACTIVITY_HABITS[activity].usual;
  const where = chosen ? placeName(chosen.from, chosen.to) : '';
  return {
    ...emptyShot(`${capital(rideName(ride))}, ${where}`),
    playback: { slowdown: playback },
    mount: { ...mount, activity },
    ...(isTalk(ride) ? { motion: { subject: { ...TALKING } } } : {}),
    ...(chosen ? { light: { kind: 'scene', from: chosen.from, to: chosen.to } } : {}),
  };
}

function placeName(from: SceneLight['from'], to: SceneLight['from']): string {
  return from === to
    ? SCENE_LABEL[from]
    : messages.fromToTo({ from: SCENE_LABEL[from], to: SCENE_LABEL[to] });
}

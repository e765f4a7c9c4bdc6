import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { TALKING, talksToCamera } from '@/core/brief/usual';
import { subjectPace } from '@/core/loss/movement';
import { solve } from '@/core/answer/solve';
import { readShot } from '@/core/records/shot';
import { ACTIVITIES, ACTIVITY_HABITS } from '@/core/vocabulary/activities';
import type { Activity } from '@/core/vocabulary/activities';
import { FIRST_BRIEF, LIGHT_OPTIONS, PLAYBACK_OPTIONS, RIDE_OPTIONS, shotOfQuick } from './quick';

describe('a quick brief', () => {
  it('of any ride, light and playback is a shot that could be kept, under a name that says both', () => {
    for (const { value: ride, label } of RIDE_OPTIONS)
      for (const { value: light } of LIGHT_OPTIONS)
        for (const { value: playback } of PLAYBACK_OPTIONS) {
          const shot = shotOfQuick({ ride, light, playback });
          expect(readShot(shot), `${label} ${light} ${playback}`).toMatchObject({ ok: true });
          expect(shot.name!.length).toBeGreaterThan(8);
          expect(shot.name).toMatch(/^\p{Lu}/u);
          expect(shot.playback).toEqual({ slowdown: playback });
        }
  });

  it('rides on the usual mount of the activity', () => {
    expect(RIDE_OPTIONS.map(({ value }) => value)).toEqual(expect.arrayContaining([...ACTIVITIES]));
    for (const ride of ACTIVITIES as readonly Activity[]) {
      const { mount } = briefOf(shotOfQuick({ ...FIRST_BRIEF, ride })).brief;
      expect([mount.activity, mount.kind]).toEqual([ride, ACTIVITY_HABITS[ride].usual.kind]);
    }
  });

  it('of somebody talking has them at arm\u2019s length, going along with the camera', () => {
    for (const [ride, travelMps, shake] of [
      ['talking', 0, 5],
      ['walkingTalking', 1.4, 15],
    ] as const) {
      const { brief } = briefOf(shotOfQuick({ ...FIRST_BRIEF, ride }));
      expect(brief.motion).toMatchObject({ travelMps, shakeDegPerSRms: shake });
      expect(brief.motion.subject).toEqual(TALKING);
      expect(talksToCamera(brief.motion.subject)).toBe(true);
      expect(subjectPace(brief, { horizontalDeg: 100, projection: 'curved' })).toBe(0);
    }
    expect(talksToCamera({ speedMps: 0, distanceM: 6 })).toBe(false);
    expect(talksToCamera({ speedMps: 1, distanceM: 0.7 })).toBe(false);
    expect(talksToCamera(null)).toBe(false);
  });

  it('is answered, in the light in which a person would film, at every speed', () => {
    for (const { value: light } of LIGHT_OPTIONS)
      for (const { value: playback } of PLAYBACK_OPTIONS) {
        const { brief } = briefOf(shotOfQuick({ ...FIRST_BRIEF, light, playback }));
        expect(solve(brief).solved, `${light} ${playback}`).toBe(true);
      }
  });

  it('without a light that is known leaves it to the usual one', () => {
    const shot = shotOfQuick({ ...FIRST_BRIEF, light: 'moon' });
    expect(shot).not.toHaveProperty('light');
    expect(readShot(shot)).toMatchObject({ ok: true });
  });
});

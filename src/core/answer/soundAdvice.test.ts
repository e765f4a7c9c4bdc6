import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { soundAdvice } from './soundAdvice';

const codes = (shot: Omit<Partial<Shot>, 'kind' | 'version'>): string[] =>
  soundAdvice(briefOf({ ...emptyShot('a'), ...shot }).brief).map(({ code }) => code);
const speech = { speech: true } as const;
const calm = { speech: true, windMps: 1 } as const;

describe('advice on sound', () => {
  it('is none where no speech is wanted, and a person who talks to the camera wants it by themself', () => {
    expect(codes({ motion: { travelMps: 20 } })).toEqual([]);
    const talking = briefOf({
      ...emptyShot('a'),
      motion: { subject: { speedMps: 0, distanceM: 0.7, sizeM: 0.5 } },
    });
    expect(talking.brief.sound).toEqual({ speech: true, windMps: 3 });
    expect(talking.assumed).toContainEqual({ path: 'sound.speech', value: true });
    expect(
      codes({ motion: { subject: { speedMps: 0, distanceM: 0.7, sizeM: 0.5 } }, sound: { speech: false } }),
    ).toEqual([]);
    expect(codes({ pins: { recording: 'timeLapse' }, sound: speech })).toEqual([]);
  });

  it('wants a cover from three metres a second of travel and wind together, and another microphone from nine', () => {
    const at = (travelMps: number, windMps: number): string[] =>
      codes({ motion: { travelMps }, sound: { speech: true, windMps } });
    expect(at(0, 2.9)).toEqual([]);
    expect(at(1.4, 1.5)).toEqual([]);
    expect(at(1.4, 1.6)).toEqual(['wind']);
    expect(at(0, 3)).toEqual(['wind']);
    expect(at(6, 2.9)).toEqual(['wind']);
    expect(at(12, 3)).toEqual(['wind', 'outside', 'slate']);
  });

  it('shuts windows inside a vehicle, opens a housing on water, and hears nothing in slow motion', () => {
    expect(
      codes({
        mount: { kind: 'vehicleInside', activity: 'driving' },
        motion: { travelMps: 30 },
        sound: speech,
      }),
    ).toEqual(['windows']);
    expect(
      codes({ mount: { kind: 'chest', activity: 'paddling' }, motion: { travelMps: 1 }, sound: calm }),
    ).toEqual(['opening']);
    expect(codes({ playback: { slowdown: 4 }, motion: { travelMps: 0 }, sound: calm })).toEqual(['slowed']);
  });
});

import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { ARCHETYPES } from '../camera/archetypes';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';
import { whichCamera } from './whichCamera';

const solved = (shot: Omit<ShotInput, 'kind' | 'version'>): Solution => {
  const outcome = solve(
    briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, ...shot })).brief,
  );
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const noon = { kind: 'range', evMin: 14.5, evMax: 15.5 } as const;
const named = (archetype: keyof typeof ARCHETYPES, id: string) => ({
  ...ARCHETYPES[archetype],
  id,
  name: id,
});

describe('which camera films a shot best', () => {
  it('puts first the one that is fast enough for the slow motion, and says that movement decides', () => {
    const now = solved({ playback: { slowdown: 8 }, camera: { archetype: 'mini' }, light: noon });
    const [best, ...others] = whichCamera(now, [named('mini', 'slow'), named('main', 'fast')]);
    expect(best).toMatchObject({ camera: { id: 'fast' }, chosen: false });
    expect(best!.gains.map(({ term }) => term)).toContain('stutter');
    expect(others.filter(({ chosen }) => chosen)).toHaveLength(1);
  });

  it('solves each as if the shot were planned with it, and gives the scores in order', () => {
    const kit = makeDemo().kit.flatMap(({ thing }) => (thing.what === 'camera' ? [thing.profile] : []));
    for (const { shot } of makeDemo().shots.slice(0, 6)) {
      const rows = whichCamera(solved(shot), kit);
      const scores = rows.map(({ score }) => score);
      expect(scores).toEqual([...scores].sort((a, b) => a - b));
      for (const { camera, settings, withoutPins } of rows) {
        const { pins, ...free } = shot;
        const alone = solved({
          ...free,
          ...(withoutPins || !pins ? {} : { pins }),
          camera: { profile: camera },
        });
        expect(settings, `${shot.name} with ${camera.name}`).toEqual(alone.settings);
      }
    }
  });

  it('answers one that cannot keep the pins without them, and says so', () => {
    const now = solved({ light: noon, pins: { bitDepth: 10 } });
    const rows = whichCamera(now, [named('mini', 'small')]);
    expect(rows.find(({ camera }) => camera.id === 'small')).toMatchObject({ withoutPins: true });
    expect(rows.find(({ chosen }) => chosen)).toMatchObject({ withoutPins: false, gains: [], costs: [] });
  });
});

import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { workingsOf } from '../search/workings';
import { warningText } from '@/words/warningText';
import type { Glare } from './glare';

const BAG: ShotInput['filters'] = [
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'nd16', kind: 'nd', stops: 4 },
  { id: 'cpl', kind: 'polarizer', stops: 1.5, stacksOn: ['nd8'] },
];
const shot = (more: Partial<ShotInput>) =>
  briefOf(ShotSchema.parse({ ...emptyShot('x'), filters: BAG, ...more })).brief;
const glareOf = (more: Partial<ShotInput>): Glare => workingsOf(shot(more)).glare;
const solved = (more: Partial<ShotInput>): Solution => {
  const outcome = solve(shot(more));
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const cloud = { kind: 'scene', from: 'brightCloud' } as const;
const sun = { kind: 'scene', from: 'openSun' } as const;
const over = (pitchDeg: number): ShotInput['mount'] => ({ kind: 'tripod', pitchDeg });

describe('glare off water', () => {
  it('is left by a polarizer as Fresnel says: next to none looking 37° down, most at a grazing look', () => {
    // Brewster's angle of water is atan 1.333 = 53.1° from upright.
    const narrow = { camera: { archetype: 'main' as const }, surroundings: 'water' as const, light: cloud };
    const left = (pitchDeg: number): number => glareOf({ ...narrow, mount: over(pitchDeg) }).left;
    expect(left(37)).toBeLessThan(left(5));
    expect(left(37)).toBeLessThan(left(80));
    expect(left(37)).toBeLessThan(0.45);
  });

  it('counts by what of the frame is water, and not at night or under a roof', () => {
    const bare = (more: Partial<ShotInput>): number =>
      glareOf({ surroundings: 'water', light: cloud, ...more }).bare;
    expect(bare({ mount: over(40) })).toBeGreaterThan(bare({ mount: over(0) }) * 1.5);
    expect(bare({ mount: over(40), light: { kind: 'scene', from: 'litRoom' } })).toBe(0);
    expect(bare({ mount: over(40), surroundings: 'rock' })).toBe(0);
  });

  it('puts a polarizer before a camera that looks down on a river, with its neutral filter where both serve', () => {
    const wears = solved({ surroundings: 'water', light: cloud, mount: over(40) });
    expect(wears.settings.filter.ids).toContain('cpl');
    const both = solved({
      surroundings: 'water',
      light: sun,
      mount: over(40),
      pins: { shutterSeconds: 1 / 50 },
    });
    expect(both.settings.filter.ids).toEqual(['nd8', 'cpl']);
  });

  it('leaves it in the bag on a helmet that looks ahead, and under a wide blue sky', () => {
    const paddling = { kind: 'helmet', activity: 'paddling' } as const;
    expect(solved({ mount: paddling, light: cloud }).settings.filter.ids).not.toContain('cpl');
    expect(glareOf({ mount: over(5), surroundings: 'water', light: sun }).uneven).toBe(true);
    expect(glareOf({ mount: over(5), surroundings: 'water', light: cloud }).uneven).toBe(false);
    expect(solved({ mount: over(5), surroundings: 'water', light: sun }).settings.filter.ids).not.toContain(
      'cpl',
    );
  });

  it('through a windscreen by day is worth one, and through a pane that stands square is not', () => {
    const behind = (glassDeg: number) => ({
      mount: {
        kind: 'vehicleInside' as const,
        place: 'outwards' as const,
        activity: 'driving' as const,
        glassDeg,
      },
      light: cloud,
    });
    expect(solved(behind(58)).settings.filter.ids).toContain('cpl');
    expect(solved(behind(5)).settings.filter.ids).not.toContain('cpl');
  });

  it('is never told as worth a filter that stays in the bag', () => {
    for (const pitchDeg of [0, 15, 30, 45])
      for (const kind of ['helmet', 'pole', 'tripod', 'chest'] as const)
        for (const light of [cloud, sun])
          for (const filters of [BAG, []]) {
            const { settings, warnings } = solved({
              surroundings: 'water',
              light,
              filters,
              mount: { kind, pitchDeg },
            });
            const told = warnings.find(({ code }) => code === 'glare');
            if (!told) continue;
            expect(settings.filter.ids).not.toContain('cpl');
            expect(warningText(told)).toMatch(
              filters.length > 0 ? /takes more here than it gives/ : /none in the bag/,
            );
          }
  });
});

import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { READY_SCHOOLS } from '../vocabulary/schools';
import { filtersWorn, strengthsNotAtHand } from '../changes/filter';
import { solve } from './solve';
import type { Solution } from './solve';

const outcomeOf = (shot: Partial<Shot>): ReturnType<typeof solve> =>
  solve(briefOf({ ...emptyShot('In front'), ...shot }).brief);
const solved = (shot: Partial<Shot>): Solution => {
  const outcome = outcomeOf(shot);
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const NOON = { kind: 'range', evMin: 14, evMax: 15.5 } as const;

describe('a camera that takes no filter', () => {
  const sphere: Partial<Shot> = { camera: { archetype: 'sphere' }, light: NOON };

  it('wears none of the usual bag, and is offered none', () => {
    for (const school of READY_SCHOOLS) {
      const { settings, warnings } = solved({ ...sphere, look: { school } });
      expect(settings.filter.ids, school).toEqual([]);
      const remedies = warnings.flatMap((one) => ('remedies' in one ? one.remedies : []));
      expect(remedies.map(({ code }) => code)).not.toContain('addFilter');
    }
  });

  it('refuses one that is pinned in words of its own, and takes a pin of none', () => {
    const pinned = outcomeOf({ ...sphere, pins: { filter: { ids: ['nd8'], stops: 3 } } });
    expect(pinned).toMatchObject({ solved: false, refusal: { obstacle: { code: 'takesNoFilter' } } });
    expect(outcomeOf({ ...sphere, pins: { filter: { ids: [], stops: 0 } } }).solved).toBe(true);
  });

  it('is offered no glass for a day either', () => {
    const { brief } = briefOf({ ...emptyShot('In front'), ...sphere });
    const part = { shot: emptyShot('x'), brief, camera: brief.camera } as never;
    expect(strengthsNotAtHand([part])).toEqual([]);
    expect(filtersWorn([part])).toEqual([]);
  });
});

describe('what fills the frame', () => {
  it('is not held in a cabin by any school, and warned of without a hold', () => {
    for (const place of ['outwards', 'inwards'] as const)
      for (const school of READY_SCHOOLS) {
        const { settings, space, warnings } = solved({
          mount: { kind: 'vehicleInside', place, activity: 'driving', ground: 'rough' },
          look: { school },
          light: { kind: 'range', evMin: 11, evMax: 13 },
        });
        expect([settings.stabilization, space.school.steadiedInEdit], `${place} ${school}`).toEqual([
          'off',
          false,
        ]);
        const margin = warnings.find((one) => one.code === 'margin');
        if (margin) expect(margin).toMatchObject({ way: 'cabin' });
      }
  });

  it('is drawn large enough: the further somebody is, the narrower the lens that is pointed at them', () => {
    const lens = (distanceM: number): number =>
      solved({
        mount: { kind: 'tripod', activity: 'running' },
        motion: { subject: { speedMps: 3, distanceM, sizeM: 1.8 } },
        light: { kind: 'range', evMin: 12, evMax: 13 },
      }).settings.view.horizontalDeg;
    const lenses = [1.2, 4, 25].map(lens);
    expect(lenses).toEqual([...lenses].sort((a, b) => b - a));
    expect(lenses[2]).toBeLessThan(70);
    expect(lenses[0]).toBeGreaterThan(100);
  });

  it('is not cropped by a hold stronger than the swing asks for', () => {
    for (const shakeDegPerSRms of [3, 6, 10]) {
      const { settings } = solved({
        mount: { kind: 'handle', activity: 'walking' },
        motion: { shakeDegPerSRms, subject: { speedMps: 1, distanceM: 12, sizeM: 1.8 } },
        light: { kind: 'range', evMin: 12, evMax: 13 },
      });
      expect(settings.stabilization).not.toBe('strong');
    }
  });
});

describe('half speed on a timeline of 24', () => {
  it('is filmed near the 48 that it shows, by every school', () => {
    for (const school of READY_SCHOOLS)
      for (const light of [NOON, { kind: 'range', evMin: 7, evMax: 8 }] as const) {
        const { settings } = solved({ look: { school }, light, playback: { timelineFps: 24, slowdown: 2 } });
        expect(settings.frameRate, school).toBeLessThanOrEqual(60);
      }
  });
});

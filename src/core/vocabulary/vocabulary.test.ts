import { describe, expect, it } from 'vitest';
import { TERM_TABLE } from '../loss/table';
import { schoolOf } from '../loss/schools';
import { ACTIVITIES, ACTIVITY_HABITS, ROLES } from './activities';
import { CAUTIONS } from './cautions';
import { GEAR } from './gear';
import { habitsOf, MOUNT_KINDS, MOUNT_NOTES, MOUNT_PLACES, MOUNTS, placesOf } from './mounts';
import { PAIR_ASKS, PAIR_KINDS } from './pairs';
import { SCENE_NAMES, SCENES } from './scenes';
import { READY_SCHOOLS, SCHOOL_HABITS, SCHOOL_IDS } from './schools';
import { TERM_IDS } from './terms';

describe('the vocabulary', () => {
  it('lists each kind once, each with its record', () => {
    expect(Object.keys(MOUNTS)).toEqual([...MOUNT_KINDS]);
    expect(Object.keys(ACTIVITY_HABITS)).toEqual([...ACTIVITIES]);
    for (const list of [MOUNT_KINDS, ACTIVITIES, SCENE_NAMES, SCHOOL_IDS, TERM_IDS, PAIR_KINDS, CAUTIONS])
      expect(new Set(list).size).toBe(list.length);
  });

  it('names terms as the table works them out, in its order, the wish last', () => {
    expect([...TERM_TABLE.map(({ id }) => id), 'wish']).toEqual([...TERM_IDS]);
  });

  it('gives mounts figures that fit each other, and uses every note, caution and thing somewhere', () => {
    for (const kind of MOUNT_KINDS) {
      const { shake, others, buzz } = MOUNTS[kind];
      expect(shake.smooth, kind).toBeLessThanOrEqual(shake.mixed);
      expect(shake.mixed, kind).toBeLessThanOrEqual(shake.rough);
      expect(others, kind).not.toContain(kind);
      if (buzz) expect(buzz.lowHz < buzz.highHz && buzz.share > 0 && buzz.share < 1, kind).toBe(true);
      for (const place of [undefined, ...placesOf(kind)]) {
        const { leastViewDeg, mostViewDeg, subjectM } = habitsOf(kind, place);
        expect(leastViewDeg, kind).toBeLessThan(mostViewDeg);
        expect(subjectM.from, kind).toBeLessThan(subjectM.to);
      }
    }
    const all = MOUNT_KINDS.flatMap((kind) => [undefined, ...placesOf(kind)].map((at) => habitsOf(kind, at)));
    const notes = new Set(all.flatMap((one) => one.notes));
    const things = new Set(all.flatMap((one) => one.inTheWay.map(({ what }) => what)));
    const places = new Set(MOUNT_KINDS.flatMap(placesOf));
    expect(MOUNT_NOTES.filter((note) => !notes.has(note))).toEqual([]);
    expect(MOUNT_PLACES.filter((place) => !places.has(place))).toEqual([]);
    expect(Object.keys(GEAR).filter((thing) => !things.has(thing as keyof typeof GEAR))).toEqual([]);
    const cautions = new Set([
      ...all.flatMap((one) => one.cautions),
      ...ACTIVITIES.flatMap((activity) => ACTIVITY_HABITS[activity].cautions),
    ]);
    // A filter that opens the housing brings its own, and so do hours on a stand.
    expect(CAUTIONS.filter((caution) => !cautions.has(caution))).toEqual(['sealOpen', 'sags', 'dew']);
  });

  it('gives every activity an angle for each role, and faster ones finer texture than standing still', () => {
    for (const activity of ACTIVITIES) {
      const { angles, travelMps, bitsPerPixel } = ACTIVITY_HABITS[activity];
      expect(Object.keys(angles).sort(), activity).toEqual([...ROLES].sort());
      expect(travelMps, activity).toBeGreaterThanOrEqual(0);
      if (activity !== 'still') expect(bitsPerPixel).toBeGreaterThan(ACTIVITY_HABITS.still.bitsPerPixel);
    }
  });

  it('gives scenes a range the right way round, and kinds of pair what they ask', () => {
    for (const name of SCENE_NAMES) expect(SCENES[name].evMin, name).toBeLessThanOrEqual(SCENES[name].evMax);
    for (const kind of PAIR_KINDS) expect(PAIR_ASKS[kind].length, kind).toBeGreaterThan(0);
  });

  it('weighs every term in every school: as it says, or evenly', () => {
    for (const id of READY_SCHOOLS)
      for (const term of TERM_IDS) {
        const own: Partial<Record<string, number>> = SCHOOL_HABITS[id].weights;
        expect(schoolOf({ school: id, mine: null }).weights[term], `${id} ${term}`).toBe(own[term] ?? 1);
      }
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../bench/anyShot';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import type { Shot } from '../records/shot';
import { pinsOf } from '../compare/variants';
import { schoolOf } from '../loss/schools';
import { nearlyEqual } from '../units/stops';
import { search } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { spaceFor } from '../search/space';
import { underPins } from '../search/workings';
import { answerPinned, answersByFilter, filterKey, partSpace } from './partAnswer';
import type { DayPart } from './schedule';
import { sampling } from '../../../testing/samples';

const partOf = (shot: Shot): DayPart => {
  const { brief } = briefOf(shot);
  return {
    id: 'e/0',
    entryId: 'e',
    shotId: 's',
    part: 0,
    title: { shot: null, part: null },
    camera: brief.camera,
    shot,
    brief,
    stretches: [{ fromMs: 0, toMs: 60_000 }],
    fromMs: 0,
    toMs: 60_000,
  };
};
const anyPart = anyShot(['main', 'mini']).map((input) => partOf(ShotSchema.parse(input)));

describe('answers of a part', () => {
  it('under each filter are those of a search that shares nothing', () => {
    fc.assert(
      fc.property(anyPart, (part) => {
        const ready = partSpace(part);
        const made = spaceFor({ ...part.brief }, schoolOf(part.brief.look));
        const answers = answersByFilter(ready);
        if (!made.ok || part.shot.timeLapse) return;
        for (const key of ready.filterKeys) {
          const filters = made.space.filters.filter((filter) => filterKey(filter) === key);
          const plain = search({ ...made.space, filters });
          expect(answers.get(key)?.loss ?? null, key).toEqual(plain ? plain.score : null);
        }
      }),
      sampling(60, 11),
    );
  });

  it('under pins are those of the brief told anew, whatever was worked out before', () => {
    fc.assert(
      fc.property(anyPart, anyPart, ({ brief }, other) => {
        const donor = spaceFor(other.brief);
        const found = donor.ok ? search(donor.space) : null;
        if (!donor.ok || !found) return;
        const pins = { ...pinsOf(settingsOf(donor.space, found.candidate)), filter: undefined };
        const wanted = Object.fromEntries(Object.entries(pins).filter(([, value]) => value !== undefined));
        // Both colours of a camera are asked for first: nothing of one may stand for the other.
        for (const colour of ['standard', 'log'] as const) {
          const first = spaceFor(underPins(brief, { colour }));
          if (first.ok) search(first.space);
        }
        const shared = spaceFor(underPins(brief, wanted));
        const anew = spaceFor({ ...brief, pins: wanted });
        expect(shared.ok).toBe(anew.ok);
        if (shared.ok && anew.ok) expect(search(shared.space)?.score).toEqual(search(anew.space)?.score);
      }),
      sampling(120, 12),
    );
  });

  it('held to another set-up never do better than their own, and keep to a pin of their own', () => {
    fc.assert(
      fc.property(anyPart, anyPart, (part, other) => {
        if (part.shot.timeLapse || other.shot.timeLapse) return;
        const ready = partSpace(part);
        const own = Math.min(...[...answersByFilter(ready).values()].map(({ loss }) => loss));
        const [setup] = answersByFilter(partSpace(other)).values();
        if (!setup) return;
        const pins = pinsOf(setup.settings);
        delete pins.filter;
        const held = answerPinned(ready, pins);
        if (!held) return;
        const { frameRate, shutterSeconds } = held.settings;
        const ladder = ready.space?.shutters.get(frameRate) ?? [];
        if (ladder.some(({ longestSeconds }) => nearlyEqual(longestSeconds, shutterSeconds)))
          expect(held.loss).toBeGreaterThanOrEqual(own - 1e-9);
        for (const [key, value] of Object.entries(part.brief.pins))
          if (key in pins) expect(JSON.stringify(pins[key as keyof typeof pins])).toBe(JSON.stringify(value));
      }),
      sampling(80, 13),
    );
  });
});

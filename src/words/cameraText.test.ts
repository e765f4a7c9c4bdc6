import { LONGEST_THING_NAME } from '@/core/records/names';
import { MOUNT_KINDS } from '@/core/vocabulary/mounts';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { CameraProfileSchema } from '@/core/camera/profile';
import { tableFindingsOf } from '@/core/camera/tableFindings';
import { cheapestGiveUps, valuesOf, WISH_KEYS } from '@/core/camera/wishes';
import { MOUNTS } from '@/core/vocabulary/mounts';
import { copiedThing, KitItemSchema, thingName, newThing, THING_KINDS } from '@/core/records/kitItem';
import { briefOf } from '@/core/brief/brief';
import { readShot } from '@/core/records/shot';
import { framedThrough } from '@/core/compare/framed';
import { solve } from '@/core/answer/solve';
import { steadyWays } from '@/core/compare/steadiness';
import { tableFindingText, insteadText, ruleText, wishText } from './cameraText';
import { framingLines } from './framingText';
import { cautionText, mountNoteText, obstructionText } from './mountText';
import { meansName, priceText, wayNotes } from './steadinessText';
import { followsFrom } from './thingText';
import { copyName, newThingName } from './newNames';

/** A line to read: something is said, and nothing leaks from the inside. */
const readable = (text: string): void => {
  expect(text.trim()).not.toBe('');
  expect(text).not.toMatch(/undefined|NaN|null|\[object|Infinity|-0\b/);
};

describe('the words of a camera', () => {
  it('name every wish and every rule of the cameras that ship', () => {
    for (const profile of Object.values(ARCHETYPES)) {
      for (const key of WISH_KEYS) for (const value of valuesOf(profile, key)) readable(wishText(key, value));
      for (const rule of profile.rules) readable(ruleText(rule));
    }
  });

  it('say what to take instead', () => {
    const [way] = cheapestGiveUps(
      ARCHETYPES.main,
      { recording: 'video', resolutionId: '4K', frameRate: 60, stabilization: 'rollHold' },
      'stabilization',
    );
    expect(way && insteadText(way)).toBe('2.7K');
  });

  it('word every finding of a spoilt table', () => {
    const profile = structuredClone(ARCHETYPES.main);
    profile.rules.push(structuredClone(profile.rules[1]!));
    profile.rules[0]!.encodings = [{ codec: 'avc', bitDepth: 8, bitRatesMbps: [3] }];
    profile.limits.push({ says: 'nothing at all', where: { frameRateAbove: 900 } });
    profile.limits.push({ says: 'no 2.7K', where: { resolutions: ['2.7K'], frameRateAbove: 45 } });
    profile.stabilizations.strong!.cropPerSide = 0.35;
    profile.views.push({ id: 'unused', horizontalDeg: 40, projection: 'straight', fromSphere: false });
    const findings = tableFindingsOf(CameraProfileSchema.parse(profile));
    const codes = new Set(findings.map(({ code }) => code));
    for (const code of [
      'overlap',
      'limitIdle',
      'gap',
      'cropEnlarges',
      'cropLeavesLittle',
      'bitRateTooLow',
      'logInEightBit',
      'neverOffered',
    ] as const)
      expect(codes).toContain(code);
    for (const finding of findings) readable(tableFindingText(finding, profile));
  });
});

describe('the words of mounts and things', () => {
  it('say what stands in the view, what to mind and the cautions', () => {
    for (const habits of Object.values(MOUNTS)) {
      readable(obstructionText(habits));
      habits.notes.forEach((note) => readable(mountNoteText(note)));
      habits.cautions.forEach((caution) => readable(cautionText(caution)));
    }
  });

  it('new and copied things are valid, named, and tell what follows from them', () => {
    for (const what of THING_KINDS) {
      const thing = newThing(what, 'one', newThingName(what));
      const copy = copiedThing(thing, 'two', copyName(thingName(thing), LONGEST_THING_NAME));
      for (const one of [thing, copy])
        expect(
          KitItemSchema.safeParse({
            kind: 'lynxeye/kit-item',
            version: 3,
            id: 'x',
            createdAt: '2026-10-03T09:00:00Z',
            updatedAt: '2026-10-03T09:00:00Z',
            thing: one,
          }).success,
          what,
        ).toBe(true);
      expect(thingName(copy)).toBe(`${thingName(thing)}, copy`);
      if (thing.what !== 'camera') followsFrom(thing).forEach(readable);
    }
    expect(followsFrom({ what: 'bank', name: 'b', ampereHours: 5 })).toEqual(['15.7 Wh reach the camera.']);
    expect(followsFrom({ what: 'cell', name: 'c', ampereHours: 2, volts: 3.85, count: 3 })[0]).toMatch(
      /^7\.7 Wh each, 23\.1 Wh in all/,
    );
  });
});

describe('the words of framing and steadiness', () => {
  it('read on every mount and every camera', () => {
    for (const kind of MOUNT_KINDS) {
      const read = readShot({
        kind: 'lynxeye/shot',
        version: 3,
        mount: { kind, tiltDeg: 6 },
        motion: { subject: { distanceM: 3, sideM: 1 } },
      });
      if (!read.ok) throw new Error(kind);
      const { brief } = briefOf(read.value);
      const outcome = solve(brief);
      if (!outcome.solved) throw new Error(kind);
      for (const way of steadyWays(outcome.solution.space, outcome.solution.loss)) {
        readable(meansName(way.means));
        readable(priceText(way));
        wayNotes(way).forEach(readable);
      }
      for (const camera of Object.values(ARCHETYPES)) {
        const framed = framedThrough(brief, camera, camera.views[0]!.id);
        if (!framed) throw new Error(`${kind} ${camera.id}`);
        for (const { what, text } of framingLines(framed)) {
          readable(what);
          readable(text);
        }
      }
    }
  });
});

import { describe, expect, it } from 'vitest';
import { readShot } from '../records/shot';
import { MIGRATIONS, upToDate } from './versions';
import { FILE_VERSION } from './versions';

const old = (rest: object): object => ({ kind: 'lynxeye/shot', version: 1, ...rest });

describe('versions of files', () => {
  it('have a named migration each, up to the version of today', () => {
    expect(MIGRATIONS.map(({ to }) => to)).toEqual(
      Array.from({ length: FILE_VERSION - 1 }, (_, at) => at + 2),
    );
    for (const { name } of MIGRATIONS) expect(name).not.toBe('');
  });

  it('brings boost up to date wherever version 1 could say it', () => {
    const camera = {
      kind: 'lynxeye/camera',
      version: 1,
      stabilizations: { standard: {}, boost: { cropPerSide: 0.1 } },
      rules: [{ stabilizations: ['off', 'boost'] }],
      limits: [{ where: { stabilizations: ['boost'] } }],
    };
    expect(
      upToDate(
        old({
          pins: { stabilization: 'boost' },
          camera: { profile: camera },
          secondAngles: [{ pins: { stabilization: 'boost' } }],
          pair: { second: { pins: { stabilization: 'boost' } } },
        }),
      ),
    ).toEqual({
      kind: 'lynxeye/shot',
      version: 3,
      pins: { stabilization: 'strong' },
      camera: {
        profile: {
          kind: 'lynxeye/camera',
          version: 3,
          stabilizations: { standard: {}, strong: { cropPerSide: 0.1 } },
          rules: [{ stabilizations: ['off', 'strong'] }],
          limits: [{ where: { stabilizations: ['strong'] } }],
        },
      },
      secondAngles: [{ pins: { stabilization: 'strong' } }],
      pair: { second: { pins: { stabilization: 'strong' } } },
    });
  });

  it('leaves what is up to date as it is, and a word of today wrong where it is wrong', () => {
    const today = { kind: 'lynxeye/shot', version: 3, pins: { stabilization: 'boost' } };
    expect(upToDate(today)).toBe(today);
    expect(readShot(today)).toMatchObject({ ok: false, faults: [{ path: 'pins.stabilization' }] });
    expect(readShot(old({ pins: { stabilization: 'boost' } }))).toMatchObject({
      ok: true,
      value: { version: 3, pins: { stabilization: 'strong' } },
    });
  });

  it('of a clip takes the sentences away, and says by its code why it stayed unread', () => {
    const clip = (version: number, measured: object): object => ({
      kind: 'lynxeye/clip',
      version,
      measured: { container: { frames: 1 }, pictures: null, unread: null, findings: [], ...measured },
    });
    const brought = (measured: object): unknown => upToDate(clip(2, measured));
    expect(brought({ findings: [{ code: 'over', value: 3, text: 'White.' }] })).toEqual(
      clip(3, { findings: [{ code: 'over', value: 3 }] }),
    );
    expect(brought({ unread: 'Why.' })).toEqual(clip(3, { unread: 'notDecoded' }));
    expect(brought({ unread: 'Why.', pictures: {} })).toEqual(clip(3, { unread: 'cutShort', pictures: {} }));
    expect(brought({ unread: 'Why.', container: { frames: 0 } })).toEqual(
      clip(3, { unread: 'noFrames', container: { frames: 0 } }),
    );
    // Whatever is no clip of ours is left for its schema to refuse.
    const odd = { kind: 'lynxeye/clip', version: 3, measured: 1 };
    expect(upToDate({ ...odd, version: 2 })).toEqual(odd);
    expect(upToDate(clip(2, { findings: 'none' }))).toEqual(clip(3, { findings: 'none' }));
  });

  it('refuses a later version in words, and no other number passes for an earlier one', () => {
    expect(readShot({ kind: 'lynxeye/shot', version: 4, newKey: 1 })).toEqual({
      ok: false,
      faults: [{ path: 'version', problem: { code: 'wanted', what: 'noLaterVersion', got: 4 } }],
    });
    for (const version of [0, -1, 1.5, '1', null])
      expect(readShot({ kind: 'lynxeye/shot', version }).ok, String(version)).toBe(false);
  });

  it('bears depth', () => {
    let deep: unknown = old({});
    for (let at = 0; at < 20_000; at += 1) deep = [deep];
    expect(() => upToDate(deep)).not.toThrow();
  });
});

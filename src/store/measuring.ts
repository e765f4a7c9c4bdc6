import type { MeasuredRecord, MeasuredBy, MeasuredFigure } from '@/core/records/measured';
import { briefOf } from '@/core/brief/brief';
import type { Shot } from '@/core/records/shot';
import type { Thing } from '@/core/records/kitItem';
import { FILE_VERSION } from '@/core/schema/versions';
import * as messages from '@/language/store';
import type { Repository } from './repository';
import type { RecordChange } from './step';

/** What a figure is measured of. */
export type MeasuredOf = MeasuredRecord['of'];

/**
 * Keeps a measured figure and has the shot, or the mount of the kit, take it over, in one step of undo. Gives whether what
 * it is of was still there.
 */
export async function keepMeasured(
  repository: Repository,
  of: MeasuredOf,
  figure: MeasuredFigure,
  by: MeasuredBy,
): Promise<boolean> {
  const at = repository.at();
  const made = (
    setting: Pick<MeasuredRecord, 'mount' | 'ground' | 'activity' | 'travelMps'>,
  ): RecordChange => ({
    table: 'measured',
    before: null,
    after: {
      kind: 'lynxeye/measured',
      version: FILE_VERSION,
      id: repository.newId(),
      createdAt: at,
      updatedAt: at,
      demo: false,
      of,
      by,
      figure,
      ...setting,
    },
  });
  const written = await repository.history.commit(
    figure.is === 'shake' ? messages.measureAShake : messages.measureALevel,
    async ({ shots, kit }) => {
      if ('shotId' in of) {
        const before = await shots.get(of.shotId);
        if (!before) return [];
        const { mount, motion } = briefOf(before.shot).brief;
        const { kind, place, ground, activity } = mount;
        const after = { ...before, updatedAt: at, shot: shotWith(before.shot, figure) };
        return [
          { table: 'shots', before, after },
          made({
            mount: place === undefined ? { kind } : { kind, place },
            ground,
            activity,
            travelMps: motion.travelMps,
          }),
        ];
      }
      const before = await kit.get(of.kitId);
      if (before?.thing.what !== 'mount') return [];
      const { kind, place } = before.thing;
      return [
        { table: 'kit', before, after: { ...before, updatedAt: at, thing: thingWith(before.thing, figure) } },
        made({ mount: place === undefined ? { kind } : { kind, place } }),
      ];
    },
  );
  return written.length > 0;
}

/** To what a figure is rounded that is shown and kept: a sensor knows no more. */
const round = (value: number): number => Math.round(value * 10) / 10;

function shotWith(shot: Shot, figure: MeasuredFigure): Shot {
  return figure.is === 'shake'
    ? { ...shot, motion: { ...shot.motion, shakeDegPerSRms: round(figure.degPerSRms) } }
    : {
        ...shot,
        mount: { ...shot.mount, tiltDeg: round(figure.tiltDeg), pitchDeg: round(figure.pitchDeg) },
      };
}

function thingWith(thing: Extract<Thing, { what: 'mount' }>, figure: MeasuredFigure): Thing {
  return figure.is === 'shake'
    ? { ...thing, shakeDegPerSRms: round(figure.degPerSRms) }
    : { ...thing, tiltDeg: round(figure.tiltDeg), pitchDeg: round(figure.pitchDeg) };
}

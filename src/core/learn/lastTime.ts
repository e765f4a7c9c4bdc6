import { briefOf } from '../brief/brief';
import { evRangeOf } from '../light/lightRange';
import type { Recording } from '../inspect/logbook';
import type { Found } from '../records/clipReport';
import type { Verdict } from '../vocabulary/verdicts';
import { shotOfPart } from '../records/secondAngles';
import type { Pins } from '../records/settings';
import type { Shot } from '../records/shot';
import { once } from '../units/once';

/** What came of a shot like this one, and what its findings ask for. */
export interface LastTime {
  recording: Recording;
  verdicts: readonly Verdict[];
  /** The worst first; what its change asks for, and whether the shot has it already. */
  findings: readonly { code: Found['code']; change: Pins | null; done: boolean }[];
}

/** The light of two shots is alike where their ends lie no further apart, stops. */
const ALIKE_STOPS = 1.5;

/**
 * The latest recording of this very shot of which anything is known, else of one filmed alike: same mount, activity,
 * ground and camera, in like light. `null`: there is none. `shots`: those of recordings that the log does not tell of.
 * What was recorded is read once, so that a shot may be asked about again at every change of it.
 */
export function lastTimes(
  book: readonly Recording[],
  shots: ReadonlyMap<string, Shot>,
): (shotId: string, shot: Shot) => LastTime | null {
  const told = book.filter(({ verdicts, findings }) => verdicts.length > 0 || findings.length > 0);
  const filmed = once(() =>
    told.flatMap((recording) => {
      const { entry, shotId } = recording;
      const its = entry?.shot ?? (shotId === null ? undefined : shots.get(shotId));
      return its ? [{ recording, ...likenessOf(its) }] : [];
    }),
  );
  return (shotId, shot) => {
    const own = told.find((one) => one.shotId === shotId);
    if (own) return timeOf(own, shot);
    const here = likenessOf(shot);
    const like = filmed().find((one) => alike(here, one));
    return like ? timeOf(like.recording, shot) : null;
  };
}

/** By what two shots are filmed alike. */
interface Likeness {
  filmedWith: string;
  light: ReturnType<typeof evRangeOf>;
}

function likenessOf(shot: Shot): Likeness {
  const { camera, mount, light } = briefOf(shotOfPart(shot, 0)).brief;
  return {
    filmedWith: [camera.id, mount.kind, mount.activity, mount.ground].join(' '),
    light: evRangeOf(light),
  };
}

function alike(one: Likeness, other: Likeness): boolean {
  return (
    one.filmedWith === other.filmedWith &&
    Math.abs(one.light.evMin - other.light.evMin) <= ALIKE_STOPS &&
    Math.abs(one.light.evMax - other.light.evMax) <= ALIKE_STOPS
  );
}

function timeOf(recording: Recording, { pins = {} }: Shot): LastTime {
  const clips = recording.clips.filter(({ part }) => part === 0);
  const findings = clips.flatMap(({ measured }) => measured.findings);
  const once = new Map(findings.map((finding) => [finding.code, finding]));
  return {
    recording,
    verdicts: recording.verdicts,
    findings: [...once.values()].map(({ code, change }) => ({
      code,
      change,
      done: change !== null && holds(pins, change),
    })),
  };
}

/** Whether everything that is asked for is pinned so. */
function holds(pins: Pins, change: Pins): boolean {
  return (Object.keys(change) as (keyof Pins)[]).every(
    (key) => JSON.stringify(pins[key]) === JSON.stringify(change[key]),
  );
}

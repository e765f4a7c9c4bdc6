import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { evRangeOf } from '../light/lightRange';
import type { Recording } from '../inspect/logbook';
import type { ClipReport } from '../records/clipReport';
import type { Verdict } from '../records/logEntry';
import { shotOfPart } from '../records/secondAngles';
import type { Pins } from '../records/settings';
import type { Shot } from '../records/shot';

/** What came of a shot like this one, and what its findings ask for. */
export interface LastTime {
  recording: Recording;
  verdicts: readonly Verdict[];
  /** The worst first; what its change asks for, and whether the shot has it already. */
  findings: readonly { code: ClipReport['findings'][number]['code']; change: Pins | null; done: boolean }[];
}

/** The light of two shots is alike where their ends lie no further apart, stops. */
const ALIKE_STOPS = 1.5;

/**
 * The latest recording of this very shot of which anything is known, else of one filmed alike: same mount, activity,
 * ground and camera, in like light. `null`: there is none. `shots`: those of recordings that the log does not tell of.
 */
export function lastTime(
  shotId: string,
  shot: Shot,
  book: readonly Recording[],
  shots: ReadonlyMap<string, Shot>,
): LastTime | null {
  const told = book.filter(({ verdicts, findings }) => verdicts.length > 0 || findings.length > 0);
  const own = told.find((one) => one.shotId === shotId);
  if (own) return timeOf(own, shot);
  const { brief } = briefOf(shotOfPart(shot, 0));
  const like = told.find(({ entry, shotId: other }) => {
    const its = entry?.shot ?? (other === null ? undefined : shots.get(other));
    return its !== undefined && alike(brief, briefOf(shotOfPart(its, 0)).brief);
  });
  return like ? timeOf(like, shot) : null;
}

function alike(one: Brief, other: Brief): boolean {
  if (one.camera.id !== other.camera.id) return false;
  for (const key of ['kind', 'activity', 'ground'] as const)
    if (one.mount[key] !== other.mount[key]) return false;
  const [here, there] = [evRangeOf(one.light), evRangeOf(other.light)];
  return (
    Math.abs(here.evMin - there.evMin) <= ALIKE_STOPS && Math.abs(here.evMax - there.evMax) <= ALIKE_STOPS
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

import type { CameraProfile } from '../camera/profile';
import { pinsOf } from '../compare/variants';
import { isTimeLapse } from '../records/filmedAs';
import type { Pins, Settings } from '../records/settings';
import { item } from '../units/items';
import { answerPinned, filterKey } from './partAnswer';
import type { PartAnswer } from './partAnswer';
import type { PartWork } from './partWork';
import { choosePresets } from './presets';
import type { PresetChoice } from './presets';
import type { DayPart } from './schedule';

/** A set-up as a camera stores it: everything but the filter, which no camera can store. */
export interface Preset {
  settings: Settings;
  intervalSeconds: number | null;
  partIds: readonly string[];
}

interface Worn {
  part: DayPart;
  work: PartWork;
  answer: PartAnswer;
}

/** What makes two answers one set-up, as a text; worked out once an answer. */
const keys = new WeakMap<PartAnswer, string>();

function setupKey(answer: PartAnswer): string {
  const known = keys.get(answer);
  if (known !== undefined) return known;
  const key = JSON.stringify([setupPins(answer.settings), answer.intervalSeconds]);
  keys.set(answer, key);
  return key;
}

/** The pins a stored set-up holds: all but the filter. */
export function setupPins(settings: Settings): Pins {
  const pins = pinsOf(settings);
  delete pins.filter;
  return pins;
}

/** The set-ups that a camera stores, and what each part is filmed with from them. */
export function storedIn(
  camera: CameraProfile,
  worn: readonly Worn[],
): { answers: PartAnswer[]; presets: Preset[]; choice: PresetChoice | null } {
  const own = worn.map(({ answer }) => answer);
  if (camera.presetSlots === 0 || worn.length === 0) return { answers: own, presets: [], choice: null };
  const setups: { key: string; answer: PartAnswer; timeLapse: boolean }[] = [];
  for (const { part, answer } of worn) {
    const key = setupKey(answer);
    if (!setups.some((one) => one.key === key))
      setups.push({ key, answer, timeLapse: isTimeLapse(part.shot) });
  }
  const under = worn.map((one) =>
    setups.map(({ key, answer, timeLapse }) => underSetup(one, key, answer, timeLapse)),
  );
  const extra = worn.map(({ answer }, at) =>
    item(under, at).map((other) => (other ? Math.max(0, other.loss - answer.loss) : Infinity)),
  );
  const choice = choosePresets(extra, camera.presetSlots);
  const serves = choice ? choice.serves : worn.map((_, at) => item(extra, at).indexOf(0));
  const kept = choice ? choice.kept : setups.map((_, at) => at);
  return {
    answers: worn.map(({ answer }, at) => item(under, at)[item(serves, at)] ?? answer),
    presets: kept.map((setup) => {
      const { answer } = item(setups, setup);
      return {
        settings: answer.settings,
        intervalSeconds: answer.intervalSeconds,
        partIds: worn.flatMap(({ part }, at) => (serves[at] === setup ? [part.id] : [])),
      };
    }),
    choice,
  };
}

/** A part under a set-up of another, wearing its own filter. `null`: it cannot. */
function underSetup(
  { part, work, answer }: Worn,
  key: string,
  setup: PartAnswer,
  timeLapse: boolean,
): PartAnswer | null {
  if (key === setupKey(answer)) return answer;
  if (timeLapse || isTimeLapse(part.shot)) return null;
  const { ids, stops } = answer.settings.filter;
  const held = `${filterKey({ ids })}@${stops}|${key}`;
  const known = work.pinned.get(held);
  if (known !== undefined) return known;
  const pinned = answerPinned(work.space, { ...setupPins(setup.settings), filter: { ids: [...ids] } });
  work.pinned.set(held, pinned);
  return pinned;
}

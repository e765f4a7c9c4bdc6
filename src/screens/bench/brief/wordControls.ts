import type { Brief } from '@/core/brief/brief';
import type { Shot } from '@/core/records/shot';

/**
 * The words of the sentence: where each stands in the brief, how it is edited, and how it changes the shot. Giving
 * `null` takes a word back to its usual value.
 */
export type Word = { id: string; name: string; path: string } & (
  | {
      kind: 'choice';
      value: (brief: Brief) => string;
      /** `hint`: what it means, in a line under it. */
      options: readonly { value: string; label: string; hint?: string }[];
      set: (shot: Shot, value: string | null, brief: Brief) => Shot;
      /** Values that need more than a word: choosing one opens a panel of the Bench. */
      opens?: Readonly<Record<string, string>>;
    }
  | {
      kind: 'number';
      value: (brief: Brief) => number;
      unit: string;
      min: number;
      max: number;
      step: number;
      set: (shot: Shot, value: number | null, brief: Brief) => Shot;
    }
  | {
      /** What is edited in a panel of the Bench below. */
      kind: 'link';
      text: (brief: Brief) => string;
      panel: string;
    }
);

type NumberWord = Extract<Word, { kind: 'number' }>;

export const options = <T extends string>(
  ids: readonly T[],
  label: Record<T, string>,
): { value: T; label: string }[] => ids.map((value) => ({ value, label: label[value] }));

/** A section of the shot with one key set, or left out; the section goes when it is empty. */
type SectionName = 'playback' | 'look' | 'mount' | 'motion' | 'limits' | 'sound';

export function withKey(shot: Shot, section: SectionName, key: string, value: unknown): Shot {
  const { [section]: before, ...others } = shot;
  const kept = Object.fromEntries(Object.entries(before ?? {}).filter(([name]) => name !== key));
  const after = value === null ? kept : { ...kept, [key]: value };
  return Object.keys(after).length === 0 ? others : { ...others, [section]: after };
}

export const inSection =
  (section: SectionName, key: string) =>
  (shot: Shot, value: unknown): Shot =>
    withKey(shot, section, key, value);

export const number = (
  id: string,
  name: string,
  section: SectionName,
  unit: string,
  [min, max, step]: readonly [number, number, number],
  value: (brief: Brief) => number,
): NumberWord => ({
  id,
  name,
  path: `${section}.${id}`,
  kind: 'number',
  unit,
  min,
  max,
  step,
  value,
  set: inSection(section, id),
});

export const subjectNumber = (
  id: 'speedMps' | 'distanceM' | 'sizeM' | 'sideM',
  name: string,
  unit: string,
  [min, max, step]: readonly [number, number, number],
): Word => ({
  id,
  name,
  path: `motion.subject.${id}`,
  kind: 'number',
  unit,
  min,
  max,
  step,
  value: (brief) => brief.motion.subject?.[id] ?? 0,
  set: (shot, value) => {
    const kept = Object.fromEntries(Object.entries(shot.motion?.subject ?? {}).filter(([key]) => key !== id));
    return withKey(shot, 'motion', 'subject', value === null ? kept : { ...kept, [id]: value });
  },
});

/** One stretch of the sentence: plain text between words. */
export type SentencePart = string | Word;

import { LONGEST_NAME } from '@/core/records/names';
import type { DayPart } from '@/core/day/schedule';
import { shotOfPart, titleOfPart } from '@/core/records/secondAngles';
import type { PartTitle } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import * as messages from '@/language/words/labels';

/** What a shot is called: its own name, or that it has none yet. */
export function shotName(shot?: { name?: string | undefined }): string {
  return shot?.name ?? messages.untitledShot;
}

/** What a part is called among the parts of its shot: "Main", "Bow". */
export function partName(shot: Shot, index: number): string {
  return titleText(titleOfPart(shot, index));
}

function titleText({ is, number, name }: PartTitle): string {
  if (name !== null) return name;
  return is === 'angle' ? messages.angleName({ number }) : messages.partLabel[is];
}

/** What a part is called in its day: "Weir drop", "Weir drop, bow"; `missing` where there is no such part. */
export function dayPartName(dayPart: Pick<DayPart, 'title'> | undefined, missing = ''): string {
  if (!dayPart) return missing;
  const { title } = dayPart;
  const name = title.shot ?? messages.untitledShot;
  return title.part === null ? name : messages.ofAShot({ name, part: titleText(title.part).toLowerCase() });
}

/** What is done between two shots, by the name of its break. */
export function tasksName({ name }: { name: string | null }): string {
  return name ?? messages.betweenTwoShots;
}

/** A shot that is one of another, under both names, no longer than a name may be. */
export function namedOf(shot: Shot, part: string): string {
  return messages.ofAShot({ name: shotName(shot), part }).slice(0, LONGEST_NAME);
}

/** One part as a shot of its own, under a name of its own; the main camera's is that of the whole. */
export function namedPart(shot: Shot, index: number): Shot {
  const part = shotOfPart(shot, index);
  return index === 0 ? part : { ...part, name: namedOf(shot, partName(shot, index)) };
}

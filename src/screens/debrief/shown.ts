import * as messages from '@/language/debrief';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import { proposedVerdicts } from '@/core/inspect/verdicts';
import type { Clip } from '@/core/records/clip';
import { durationText } from '@/words/settingText';
import { unreadText } from '@/words/findingText';
import { VERDICT_LABEL } from '@/words/labels';
import { dayPartName } from '@/words/shotName';
import { clockText } from '@/words/lightText';
import { partOf } from './dayTakes';

/** What every part of the Debrief is given. */
export interface DebriefProps {
  clips: readonly Clip[];
  worked: WorkedDay;
  zone: string;
  onChoose: (clipId: string | null) => void;
  onMove: (clip: Clip, to: { entryId: string; part: number } | null) => void;
  onLook: (clip: Clip, how: 'quick' | 'whole') => void;
}

/** From here on another shot fits so well that it is said. */
const DOUBT_FROM = 0.15;

export function isDoubtful({ doubt, entryId }: Clip): boolean {
  return entryId !== null && doubt >= DOUBT_FROM;
}

export function otherText(clip: Clip, worked: WorkedDay): string {
  const other = clip.other ? partOf(worked, clip.other) : undefined;
  return other ? messages.couldAlsoBe({ name: dayPartName(other) }) : messages.mayNotBeOfTheDay;
}

export function clipName({ measured: { file } }: Clip): string {
  return file.name;
}

/** "measured: white sky, smear" or what the person set. */
export function verdictText(clip: Clip, worked: WorkedDay): string {
  if (clip.verdicts.length > 0) return clip.verdicts.map((one) => VERDICT_LABEL[one]).join(', ');
  if (clip.looked === 'file') return unreadText(clip.measured) ?? messages.notLookedAtYet;
  return messages.proposed({
    verdicts: proposedVerdicts(clip.measured, partOf(worked, clip)?.brief.mount ?? null)
      .map((one) => VERDICT_LABEL[one])
      .join(', '),
  });
}

export function whenText({ startAt, measured: { container } }: Clip, zone: string): string {
  const length = durationText(container.durationSeconds);
  return startAt === null ? length : `${clockText(Date.parse(startAt), zone)}, ${length}`;
}

/** Where a clip may be put by hand: every part of the day, and none. */
export function clipPlaces(worked: WorkedDay): { value: string; label: string; part: WorkedPart | null }[] {
  return [
    ...worked.parts.map((part) => ({ value: part.id, label: dayPartName(part), part })),
    { value: '', label: messages.notPlanned, part: null },
  ];
}

export function shotOfClip(clip: Clip, worked: WorkedDay): string {
  const part = partOf(worked, clip);
  return part ? dayPartName(part) : messages.notPlanned;
}

import type { Outing, OutingDay } from '@/core/records/outing';
import type { SampleClip } from '@/formats/clip/sample';
import { filmSample } from '@/workers/clips';
import { refuse, useClipFiles } from './clipFiles';
import { partOf } from './dayTakes';
import type { Debriefed } from './dayTakes';
import { takeClips } from './takingClips';
import { whyText } from '@/words/whyText';

/** The clips of the sample outing, drawn one after the other as they came out, and taken in like any others. */
export async function drawSampleClips(on: Debriefed): Promise<void> {
  const { outing, day, worked } = on;
  const samples = await samplesOf(outing, day);
  const files: File[] = [];
  for (const [at, sample] of samples.entries()) {
    const part = partOf(worked, sample);
    const settings = part?.answer?.carried?.settings;
    if (!part || !settings) continue;
    // A word of progress may still be on its way when it is stopped.
    let ended = false;
    const tell = (share: number): void => {
      const filming = { number: at + 1, of: samples.length, share: (at + share) / samples.length, stop };
      if (!ended) useClipFiles.setState({ filming });
    };
    const { done, stop } = filmSample(sample, part.brief, settings, tell);
    tell(0);
    const file = await done.catch((error: unknown) => {
      refuse(sample.name, whyText(error));
      return null;
    });
    ended = true;
    if (!file) break;
    files.push(file);
  }
  useClipFiles.setState({ filming: null });
  await takeClips(files, on);
}

/** What ships beside the demo's records; an outing of one's own has none. */
export async function samplesOf(
  { id, demo }: Outing,
  day: Pick<OutingDay, 'id'>,
): Promise<readonly SampleClip[]> {
  if (!demo) return [];
  const response = await fetch('/sampleClips.json');
  const samples = response.ok ? ((await response.json()) as SampleClip[]) : [];
  return samples.filter(({ outingId, dayId }) => outingId === id && dayId === day.id);
}

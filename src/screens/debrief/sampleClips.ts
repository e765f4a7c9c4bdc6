import type { Outing } from '@/core/records/outing';
import type { SampleClip } from '@/formats/clip/sample';
import { filmSample } from '@/workers/clips';
import { useClipFiles } from './clipFiles';
import { partOf } from './dayTakes';
import type { Debriefed } from './takingClips';
import { takeClips } from './takingClips';

/** The clips of the sample outing, drawn one after the other as they came out, and taken in like any others. */
export async function drawSampleClips(on: Debriefed): Promise<void> {
  const { outing, day, worked } = on;
  const samples = (await samplesOf(outing)).filter((one) => one.dayId === day.id);
  const files: File[] = [];
  for (const [at, sample] of samples.entries()) {
    const part = partOf(worked, sample);
    const settings = part?.answer?.carried?.settings;
    if (!part || !settings) continue;
    const tell = (share: number): void =>
      useClipFiles.setState({
        filming: { number: at + 1, of: samples.length, share: (at + share) / samples.length, stop },
      });
    const { done, stop } = filmSample(sample, part.brief, settings, tell);
    tell(0);
    const file = await done;
    if (!file) break;
    files.push(file);
  }
  useClipFiles.setState({ filming: null });
  await takeClips(files, on);
}

/** What ships beside the demo's records; an outing of one's own has none. */
async function samplesOf({ id, demo }: Outing): Promise<readonly SampleClip[]> {
  if (!demo) return [];
  const response = await fetch('/sampleClips.json');
  const samples = response.ok ? ((await response.json()) as SampleClip[]) : [];
  return samples.filter(({ outingId }) => outingId === id);
}

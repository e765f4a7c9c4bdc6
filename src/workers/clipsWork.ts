import { alignedBySound } from '@/core/inspect/align';
import { matchedDay } from '@/core/inspect/matching';
import { measuredClip, unreadOf } from '@/core/inspect/measuredClip';
import { plannedShot } from '@/core/inspect/planned';
import type { PlannedShot } from '@/core/inspect/planned';
import { isOfItsCamera } from '@/core/learn/cameraEvidence';
import { rawShakeOf } from '@/core/learn/rawShake';
import type { RawShake } from '@/core/learn/rawShake';
import { factsOf, lookAt } from '@/formats/clip/look';
import { ALIGNED_RATE, beginningOf } from '@/formats/clip/sound';
import { filmedSample } from '@/formats/clip/sample';
import type { ClipResult, ClipsWorker, HeldAgainst } from './clips';

/** What the worker for clips does; the page's tests call it without one. */
export const clipsWork: ClipsWorker = {
  open: (file, name) => factsOf(file, name),
  match: (clips, takes, known) => matchedDay(clips, takes, known),
  async look({ file, beside, known }, name, how, wanted, onProgress) {
    const planned = plannedOf(wanted);
    const read = await lookAt(
      file,
      name,
      how,
      { pctPerDegree: planned?.pctPerDegree, trouble: wanted?.trouble ?? [], beside, known },
      onProgress,
    );
    if (!read.ok) return read;
    const { container, cutShort, decoded, pictures, sound, curves, frames, looked } = read.value;
    const measured = measuredClip(
      { name, bytes: file.size },
      { container, cutShort, pictures, sound },
      unreadOf(container, { cutShort, decoded }),
      planned,
    );
    const filmed = planned?.settings ?? null;
    const rawShake = looked === 'whole' && how !== 'test' ? shakeBehind(planned, measured) : null;
    return { ok: true, value: { looked, cutShort, measured, curves, frames, filmed, rawShake } };
  },
  async align(first, second) {
    const [one, other] = [await beginningOf(first), await beginningOf(second)];
    return one && other && alignedBySound(one, other, ALIGNED_RATE);
  },
  film: (sample, brief, settings, onProgress) => filmedSample(sample, brief, settings, onProgress),
  judge({ measured, cutShort }, wanted) {
    const { file, container, pictures, sound, unread } = measured;
    return measuredClip(file, { container, cutShort, pictures, sound }, unread, plannedOf(wanted));
  },
};

function plannedOf(wanted: HeldAgainst | null): PlannedShot | null {
  if (!wanted) return null;
  const { brief, settings, recordSeconds } = wanted;
  return plannedShot(brief, { ...(settings ? { settings } : {}), recordSeconds });
}

/** Where a hold took the movement out, what pulses tells how much there was. A file written anew pulses by its codec. */
function shakeBehind(
  planned: PlannedShot | null,
  { pictures, container }: ClipResult['measured'],
): RawShake | null {
  if (!planned || planned.settings.stabilization === 'off') return null;
  if (!isOfItsCamera(container.bitRateMbps, planned.settings)) return null;
  return rawShakeOf(planned.brief, planned.settings, pictures?.pulsingPct ?? 0);
}

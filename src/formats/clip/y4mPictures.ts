import { FrameMeter } from '@/core/inspect/frameMeter';
import type { FrameMeasured } from '@/core/inspect/frameMeter';
import type { Checked } from '@/core/schema/fault';
import { readY4mFrame } from './y4m';
import type { Y4m } from './y4m';

/** Every frame of an uncompressed file, measured in turn. A fault names the frame that is not there. */
export async function measuredY4m(
  file: Blob,
  y4m: Y4m,
): Promise<Checked<{ frames: FrameMeasured[]; planeWidth: number; blockedPct: number | null }>> {
  const meter = new FrameMeter();
  const frames: FrameMeasured[] = [];
  for (let number = 0; number < y4m.frames; number++) {
    const read = await readY4mFrame(file, y4m, number);
    if (!read.ok) return read;
    frames.push(meter.measure(read.value, number / y4m.fps));
  }
  return { ok: true, value: { frames, planeWidth: meter.planeWidth, blockedPct: meter.blockedPct } };
}

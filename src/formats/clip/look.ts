import type { ClipFrame as KeptFrame, Curves, Looked } from '@/core/records/clip';
import type { Container, Pictures, Sound } from '@/core/records/clipReport';
import { curvesOf } from '@/core/inspect/curves';
import { FrameMeter } from '@/core/inspect/frameMeter';
import type { FrameMeasured } from '@/core/inspect/frameMeter';
import { picturesOf } from '@/core/inspect/pictures';
import { windowsOf } from '@/core/inspect/windows';
import type { LookHow, LookWindow } from '@/core/inspect/windows';
import { openClip } from './container';
import type { ContainerFacts, OpenClip } from './container';
import { canDecode, framesOf, fromKeyFrame } from './frames';
import { heardIn, soundBeside } from './sound';
import type { Checked } from '@/core/schema/fault';

/** What is known of a clip when its file has been opened. */
export interface ClipOpened {
  container: Container;
  cutShort: boolean;
  /** Whether its pictures can be read here. */
  decoded: boolean;
}

/** What a look at its pictures and its sound found. */
interface ClipLooked extends ClipOpened {
  looked: Looked;
  pictures: Pictures | null;
  sound: Sound | null;
  curves: Curves | null;
  frames: KeptFrame[];
}

/** 0 … 1 of the work. */
export type OnProgress = (share: number) => void;

export async function factsOf(file: Blob, name: string): Promise<Checked<ClipOpened>> {
  const opened = await openClip(file, name);
  if (!opened.ok) return opened;
  const { container, cutShort, close } = opened.value;
  const decoded = container.frames > 0 && (await canDecode(opened.value));
  close();
  return { ok: true, value: { container, cutShort, decoded } };
}

/** A quick look takes no more than this share of the clip's own length, but always one window. */
const QUICK_SHARE = 0.09;
/** Somebody waits for a test clip with cold hands: under ten seconds in all, its sound and opening included. */
const TEST_SECONDS = 6;

/** What a look is to know beforehand. */
interface LookedFor {
  /** Of the view of the shot, where it is known. */
  pctPerDegree: number | undefined;
  /** Where something is expected to go wrong, seconds. */
  trouble: readonly number[];
  /** The sound that lies beside an uncompressed clip. */
  beside: Blob | null;
  /** What an opening of the same file told already. */
  known: ContainerFacts | null;
}

/** Looks at a clip: the whole of it, or windows spread over it for as long as a tenth of its length allows. Never throws. */
export async function lookAt(
  file: Blob,
  name: string,
  how: LookHow,
  { pctPerDegree, trouble, beside, known }: LookedFor,
  onProgress: OnProgress,
): Promise<Checked<ClipLooked>> {
  const opened = await openClip(file, name, known);
  if (!opened.ok) return opened;
  const clip = opened.value;
  const { container, cutShort, close } = clip;
  const { durationSeconds } = container;
  try {
    const decoded = container.frames > 0 && (await canDecode(clip));
    const windows = windowsOf(container, how, trouble);
    const whole = windows.length === 1;
    const read = decoded
      ? await picturesIn(
          clip,
          windows,
          whole ? Infinity : how === 'test' ? TEST_SECONDS : QUICK_SHARE * durationSeconds,
          onProgress,
        )
      : { stretches: [], planeWidth: 1, blockedPct: null, frames: [], cut: false, done: windows };
    const { source } = clip;
    const heard = source.kind === 'coded' && source.audio ? await heardIn(source.audio, read.done) : null;
    const lying = source.kind === 'y4m' && beside ? await soundBeside(beside) : null;
    return {
      ok: true,
      value: {
        container: lying ? { ...container, audio: lying.audio } : container,
        cutShort: cutShort || read.cut,
        decoded,
        looked: !decoded ? 'file' : whole ? 'whole' : 'quick',
        pictures: picturesOf(read.stretches, read.planeWidth, { pctPerDegree, blockedPct: read.blockedPct }),
        sound: heard?.result() ?? lying?.sound ?? null,
        curves: decoded
          ? curvesOf(read.stretches, heard?.moments ?? [], durationSeconds, read.planeWidth)
          : null,
        frames: read.frames,
      },
    };
  } finally {
    close();
  }
}

interface PicturesRead {
  stretches: FrameMeasured[][];
  planeWidth: number;
  blockedPct: number | null;
  frames: KeptFrame[];
  /** The pictures end before the file says they do. */
  cut: boolean;
  done: LookWindow[];
}

async function picturesIn(
  clip: OpenClip,
  windows: readonly LookWindow[],
  mostSeconds: number,
  onProgress: OnProgress,
): Promise<PicturesRead> {
  const meter = new FrameMeter(clip.container.rotationDeg);
  const album = new Album(clip.container.durationSeconds / windows.length, windows.length);
  const stretches: FrameMeasured[][] = [];
  const done: LookWindow[] = [];
  const began = performance.now();
  let cut = false;
  for (const wanted of windows) {
    const window = await fromKeyFrame(clip, wanted);
    meter.cut();
    const frames: FrameMeasured[] = [];
    try {
      for await (const frame of framesOf(clip, window.fromSeconds, window.toSeconds)) {
        const measured = meter.measure(frame.luma, frame.atSeconds);
        frames.push(measured);
        await album.offer(measured, frame.small);
        const within = (frame.atSeconds - window.fromSeconds) / (window.toSeconds - window.fromSeconds);
        onProgress((done.length + within) / windows.length);
      }
    } catch {
      // What a file that breaks off cannot give is no reason to lose what it gave.
      cut = true;
    }
    if (frames.length > 0) stretches.push(frames);
    done.push(window);
    // The next would take as long as those before it.
    const spent = (performance.now() - began) / 1000;
    if (spent + spent / done.length > mostSeconds) break;
  }
  stretches.sort((one, other) => (one[0]?.atSeconds ?? 0) - (other[0]?.atSeconds ?? 0));
  const last = stretches.at(-1)?.at(-1)?.atSeconds ?? 0;
  const { durationSeconds, nominalFps } = clip.container;
  const short = windows.length === 1 && last + 2 / Math.max(1, nominalFps) < durationSeconds - 0.5;
  return {
    stretches,
    planeWidth: meter.planeWidth,
    blockedPct: meter.blockedPct,
    frames: album.pictures(),
    cut: cut || short,
    done,
  };
}

/** Even pictures of a clip, and its worst moments. */
const EVEN = 8;
/** A moment replaces a worst one when it is worse by this factor: small pictures are dear to make. */
const WORSE_BY = 1.25;
const WORTH = { clipped: 0.01, crushed: 0.05 } as const;

class Album {
  private readonly even: KeptFrame[] = [];
  private readonly worst = new Map<keyof typeof WORTH, { value: number; frame: KeptFrame }>();
  private nextAt = 0;
  private readonly every: number;

  /** `each`: seconds that one window stands for. */
  constructor(
    private readonly each: number,
    windows: number,
  ) {
    this.every = windows === 1 ? each / EVEN : Infinity;
  }

  async offer(measured: FrameMeasured, small: () => Promise<string>): Promise<void> {
    const { atSeconds } = measured;
    const first = measured.since === null;
    if (first || atSeconds >= this.nextAt) {
      this.nextAt = first && this.every === Infinity ? Infinity : atSeconds + Math.min(this.every, this.each);
      this.even.push({ atSeconds, jpeg: await small() });
    }
    for (const key of Object.keys(WORTH) as (keyof typeof WORTH)[]) {
      const value = measured[key];
      if (value > WORTH[key] && value > WORSE_BY * (this.worst.get(key)?.value ?? 0))
        this.worst.set(key, { value, frame: { atSeconds, jpeg: await small() } });
    }
  }

  /** In order of time, the even ones thinned to as many as are kept. */
  pictures(): KeptFrame[] {
    const even = [...this.even].sort((one, other) => one.atSeconds - other.atSeconds);
    const every = Math.max(1, Math.ceil(even.length / (EVEN + 2)));
    const kept = [
      ...even.filter((_, at) => at % every === 0),
      ...[...this.worst.values()].map(({ frame }) => frame),
    ];
    const times = new Set<number>();
    return kept
      .sort((one, other) => one.atSeconds - other.atSeconds)
      .filter(({ atSeconds }) => !times.has(atSeconds) && times.add(atSeconds));
  }
}

import { ALL_FORMATS, BlobSource, EncodedPacketSink, Input, MATROSKA, MP4, QTFF, WEBM } from 'mediabunny';
import type { InputAudioTrack, InputFormat, InputVideoTrack } from 'mediabunny';
import * as messages from '@/language/formats/clip';
import type { Container } from '@/core/records/clipReport';
import { medianOf } from '@/core/inspect/series';
import { worded } from '@/core/schema/fault';
import type { Checked } from '@/core/schema/fault';
import { outlineOf } from './outline';
import { soundFacts, UNKNOWN } from './sound';
import { tablesProblem } from './tables';
import { isY4m, readY4m } from './y4m';
import type { Y4m } from './y4m';

/** A clip opened: the facts of its file, and whatever its pictures and sound are read through. */
export interface OpenClip {
  name: string;
  file: Blob;
  container: Container;
  cutShort: boolean;
  source:
    | { kind: 'y4m'; y4m: Y4m }
    | { kind: 'coded'; video: InputVideoTrack; audio: InputAudioTrack | null };
  close: () => void;
}

/** Rates that cameras film at, frames a second. */
const USUAL_RATES = [
  1, 2, 5, 10, 12, 12.5, 15, 18, 20, 23.976, 24, 25, 29.97, 30, 47.952, 48, 50, 59.94, 60, 90, 100, 119.88,
  120, 200, 239.76, 240, 400, 480, 960,
];
/** As near as this a rate is the usual one. */
const NEXT_TO = 0.004;
/** A gap this much longer or shorter than most, so often, is a varying rate. */
const OFF_GAP = 0.15;
const OFTEN = 0.02;

/** The facts of a file, and whether it breaks off. */
export type ContainerFacts = Pick<OpenClip, 'container' | 'cutShort'>;

/**
 * Opens a clip of any kind that is known, by what is in it, whatever its name. `known`: its facts, from an opening before;
 * its packets are not walked again. Never throws; a fault says what it is.
 */
export async function openClip(
  file: Blob,
  name: string,
  known: ContainerFacts | null = null,
): Promise<Checked<OpenClip>> {
  if (file.size === 0) return no(messages.theFileIsEmpty);
  if (await isY4m(file)) return openY4m(file, name);
  const problem = await tablesProblem(file);
  if (problem) return no(messages.tables[problem]);
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const opened = await openCoded(input, file, name, known);
    if (!opened.ok) input.dispose();
    return opened;
  } catch {
    input.dispose();
    const outline = await outlineOf(file).catch(() => null);
    if (outline && !outline.indexed) return no(messages.itsIndexIsMissing);
    if (outline?.cutShort) return no(messages.itIsCutShort);
    return no(outline ? messages.itCannotBeRead : messages.thisIsNoClip);
  }
}

async function openY4m(file: Blob, name: string): Promise<Checked<OpenClip>> {
  const read = await readY4m(file);
  if (!read.ok) return read;
  const { width, height, fps, frames, cutShort } = read.value;
  return {
    ok: true,
    value: {
      name,
      file,
      cutShort,
      container: {
        format: 'y4m',
        videoCodec: 'raw',
        width,
        height,
        rotationDeg: 0,
        frames,
        frameRate: fps,
        nominalFps: nominal(fps),
        variable: false,
        durationSeconds: frames / fps,
        bitRateMbps: null,
        createdAt: null,
        audio: null,
      },
      source: { kind: 'y4m', y4m: read.value },
      close: () => undefined,
    },
  };
}

async function openCoded(
  input: Input,
  file: Blob,
  name: string,
  known: ContainerFacts | null,
): Promise<Checked<OpenClip>> {
  const [video, audio] = await Promise.all([input.getPrimaryVideoTrack(), input.getPrimaryAudioTrack()]);
  if (!video) {
    const outline = await outlineOf(file);
    if (outline && !outline.indexed) return no(messages.itsIndexIsMissing);
    return no(audio ? messages.itHoldsSoundAlone : messages.itHoldsNoPictures);
  }
  const facts = known ?? (await factsIn(input, file, video, audio));
  return {
    ok: true,
    value: {
      name,
      file,
      ...facts,
      source: { kind: 'coded', video, audio },
      close: () => {
        input.dispose();
      },
    },
  };
}

async function factsIn(
  input: Input,
  file: Blob,
  video: InputVideoTrack,
  audio: InputAudioTrack | null,
): Promise<ContainerFacts> {
  const [format, outline, tags] = await Promise.all([
    input.getFormat(),
    outlineOf(file),
    input.getMetadataTags(),
  ]);
  const packets = await packetsOf(video);
  const [sound, width, height, rotationDeg, codec] = await Promise.all([
    audio ? soundFacts(audio) : null,
    video.getCodedWidth(),
    video.getCodedHeight(),
    video.getRotation(),
    video.getCodec(),
  ]);
  const { frames, seconds, bytes, gap, variable } = packets;
  const createdAt = outline?.createdAt ?? tags.date ?? null;
  return {
    cutShort: outline?.cutShort ?? false,
    container: {
      format: FORMAT_NAMES.get(format) ?? format.name.toLowerCase(),
      videoCodec: codec ?? UNKNOWN,
      width,
      height,
      rotationDeg,
      frames,
      frameRate: seconds > 0 ? frames / seconds : 0,
      nominalFps: gap > 0 ? nominal(1 / gap) : 0,
      variable,
      durationSeconds: seconds,
      bitRateMbps: seconds > 0 ? (8 * bytes) / seconds / 1e6 : null,
      createdAt: createdAt?.toISOString() ?? null,
      audio: sound,
    },
  };
}

const FORMAT_NAMES = new Map<InputFormat, string>([
  [MP4, 'mp4'],
  [QTFF, 'mov'],
  [MATROSKA, 'mkv'],
  [WEBM, 'webm'],
]);

interface Packets {
  frames: number;
  seconds: number;
  bytes: number;
  /** Seconds from one frame to the next, of most of them. */
  gap: number;
  variable: boolean;
}

/** All packets, their pictures left alone: what the index says of the first few may not hold for the rest. */
async function packetsOf(video: InputVideoTrack): Promise<Packets> {
  const times: number[] = [];
  let bytes = 0;
  let end = 0;
  for await (const packet of new EncodedPacketSink(video).packets(undefined, undefined, {
    metadataOnly: true,
  })) {
    times.push(packet.timestamp);
    bytes += packet.byteLength;
    end = Math.max(end, packet.timestamp + packet.duration);
  }
  times.sort((a, b) => a - b);
  const gaps = times.slice(1).map((time, at) => time - (times[at] ?? 0));
  const gap = gaps.length > 0 ? medianOf(gaps) : end - (times[0] ?? 0);
  const off = gaps.filter((one) => Math.abs(one / gap - 1) > OFF_GAP).length;
  // Of the last frame some files do not say how long it stands.
  const seconds = times.length === 0 ? 0 : Math.max(end, (times.at(-1) ?? 0) + gap) - (times[0] ?? 0);
  return { frames: times.length, seconds, bytes, gap, variable: off > OFTEN * gaps.length };
}

function nominal(fps: number): number {
  const nearest = USUAL_RATES.reduce((best, rate) =>
    Math.abs(rate - fps) < Math.abs(best - fps) ? rate : best,
  );
  return Math.abs(nearest / fps - 1) <= NEXT_TO ? nearest : Math.round(100 * fps) / 100;
}

function no(text: string): Extract<Checked<never>, { ok: false }> {
  return { ok: false, faults: [worded('', text)] };
}

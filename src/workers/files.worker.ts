import { expose } from 'comlink';
import { toneOf } from '@/core/light/readings';
import type { PictureTone } from '@/core/light/readings';
import { trackFigures } from '@/core/track/track';
import { readIncoming, readIncomingFile } from '@/formats/incoming';
import { readModeSheet } from '@/formats/modeSheet/read';
import { readPhoto } from '@/formats/photo/readPhoto';
import { readTrack } from '@/formats/track/readTrack';
import type { FilesWorker } from './files';

/** EXIF stands at the front of nearly every file; the rest is read only when it does not. */
const HEAD_BYTES = 1 << 20;
/** Tone needs no more of a picture than this across. */
const TONE_WIDTH = 256;
/** More points than the drawing has pixels are not seen. */
const MOST_DRAWN = 2000;

const worker: FilesWorker = {
  readIncoming: (file, name, onProgress) => readIncomingFile(file, name, onProgress),
  readText: (text, name, onProgress) => readIncoming(text, name, onProgress),
  async readModes(file, base) {
    return readModeSheet(await file.text(), base);
  },
  async readPhoto(file) {
    const head = readPhoto(await file.slice(0, HEAD_BYTES).arrayBuffer());
    const read = head.ok || file.size <= HEAD_BYTES ? head : readPhoto(await file.arrayBuffer());
    return { read, tone: await pictureTone(file) };
  },
  async readTrack(file) {
    const read = readTrack(await file.text());
    if (!read.ok) return read;
    const { name, points } = read.track;
    const every = Math.ceil(points.length / MOST_DRAWN);
    return {
      ok: true,
      name,
      pointCount: points.length,
      leftOut: read.leftOut,
      figures: trackFigures(read.track),
      drawn: points.filter((_, at) => at % every === 0 || at === points.length - 1),
    };
  },
};

/** `null` for what this browser cannot decode, HEIC for one. */
async function pictureTone(file: Blob): Promise<PictureTone | null> {
  try {
    const picture = await createImageBitmap(file, { resizeWidth: TONE_WIDTH, resizeQuality: 'medium' });
    const canvas = new OffscreenCanvas(picture.width, picture.height);
    const context = canvas.getContext('2d');
    if (!context) return null;
    context.drawImage(picture, 0, 0);
    picture.close();
    return toneOf(context.getImageData(0, 0, canvas.width, canvas.height).data);
  } catch {
    return null;
  }
}

expose(worker);

import * as messages from '@/language/bench/preview';
import type { Picture } from '@/core/preview/develop';
import type { MotionLine } from '@/words/motionText';
import { WordedError } from '@/words/whyText';

/** One still of each side with its settings and figures, as a picture to keep. */
interface SheetSide {
  name: string;
  settings: string;
  picture: Picture;
  lines: readonly MotionLine[];
}

const WIDTH = 1600;
const MARGIN = 40;
const LINE = 27;

export async function stillSheet(title: string, sides: readonly SheetSide[]): Promise<Blob> {
  const [first] = sides;
  if (!first) throw new WordedError(messages.aSheetOfNothing);
  const each = (WIDTH - MARGIN * (sides.length + 1)) / sides.length;
  const tall = (each * first.picture.height) / first.picture.width;
  const lines = Math.max(...sides.map(({ lines: its }) => its.length));
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH;
  canvas.height = Math.round(120 + tall + 84 + 2 * lines * LINE + MARGIN);
  const context = canvas.getContext('2d');
  if (!context) throw new WordedError(messages.thisBrowserGivesNoCanvas);
  const style = getComputedStyle(document.documentElement);
  const face = style.getPropertyValue('--text').trim();
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.fillStyle = '#111';
  context.font = `650 34px ${face}`;
  context.fillText(title, MARGIN, 62, WIDTH - 2 * MARGIN);
  context.font = `20px ${face}`;
  context.fillText(messages.simulatedMadeUpSceneThis, MARGIN, 94);
  sides.forEach(({ name, settings, picture, lines: its }, side) => {
    const x = MARGIN + side * (each + MARGIN);
    const back = document.createElement('canvas');
    back.width = picture.width;
    back.height = picture.height;
    back.getContext('2d')?.putImageData(new ImageData(picture.rgba, picture.width, picture.height), 0, 0);
    context.imageSmoothingQuality = 'high';
    context.drawImage(back, x, 120, each, tall);
    let y = 120 + tall + 36;
    context.font = `650 24px ${face}`;
    context.fillText(`${side === 0 ? 'A' : 'B'}  ${name}`, x, y, each);
    y += 32;
    context.font = `20px ${face}`;
    context.fillText(settings, x, y, each);
    for (const { name: what, value } of its) {
      y += LINE + 6;
      context.fillStyle = '#444';
      context.font = `17px ${face}`;
      context.fillText(what, x, y, each);
      y += LINE - 6;
      context.fillStyle = '#111';
      context.font = `600 20px ${face}`;
      context.fillText(value, x, y, each);
    }
  });
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new WordedError(messages.thePictureCouldNotBe))),
      'image/png',
    );
  });
}

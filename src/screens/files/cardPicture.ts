import * as messages from '@/language/files';
import type { DayPart } from '@/core/day/schedule';
import type { PartAnswer } from '@/core/day/partAnswer';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { clockText, dateText } from '@/words/lightText';
import { settingText } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import { WordedError } from '@/words/whyText';

/** A card as a picture: black on white, so that any screen and printer shows it. */
const WIDTH = 900;
const ROW = 120;

export async function cardPicture(part: DayPart, answer: PartAnswer, zone: string): Promise<Uint8Array> {
  const rows = Math.ceil(CARD_KEYS.length / 2);
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH;
  canvas.height = 190 + rows * ROW + 20;
  const context = canvas.getContext('2d');
  if (!context) throw new WordedError(messages.thisBrowserDrawsNoPictures);
  const numerals = getComputedStyle(document.documentElement).getPropertyValue('--numerals');
  const face = (px: number, weight: number): string => `${weight} ${px}px ${numerals}`;
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.fillStyle = '#000';
  context.font = face(60, 700);
  context.fillText(clockText(part.fromMs, zone), 30, 75);
  context.font = face(34, 700);
  context.fillText(dayPartName(part).slice(0, 48), 30, 125);
  context.font = face(24, 400);
  context.fillText(`${dateText(part.fromMs, zone)}, ${part.camera.name}`, 30, 162);
  context.lineWidth = 3;
  context.strokeStyle = '#000';
  CARD_KEYS.forEach((key, at) => {
    const left = 30 + (at % 2) * ((WIDTH - 60) / 2);
    const top = 185 + Math.floor(at / 2) * ROW;
    context.strokeRect(left, top, (WIDTH - 60) / 2, ROW);
    context.font = face(22, 400);
    context.fillText(SETTING_LABEL[key], left + 16, top + 34);
    context.font = face(44, 700);
    context.fillText(
      settingText(key, answer.settings, part.brief.filters),
      left + 16,
      top + 90,
      (WIDTH - 60) / 2 - 28,
    );
  });
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new WordedError(messages.thisBrowserMakesNoPNG);
  return new Uint8Array(await blob.arrayBuffer());
}

/** Words in drawings, measured in the letters they are set in: a name is as wide as its letters, not as many. */
export interface Lettering {
  /** Pixels. */
  size: number;
  weight?: number;
  family?: 'text' | 'numerals';
}

/** Usual width of a letter against its size, where nothing can be measured. */
const USUAL_WIDTH = 0.6;
/** Letters that come a moment later may be a little wider. */
const SPARE = 1.03;
const ELLIPSIS = '…';
/** A word cut to fewer letters than this says nothing. */
const FEWEST = 3;

let brush: CanvasRenderingContext2D | null | undefined;

/** Width of a text, pixels. */
function textWidth(text: string, { size, weight = 400, family = 'numerals' }: Lettering): number {
  brush ??= document.createElement('canvas').getContext('2d');
  if (!brush) return text.length * size * USUAL_WIDTH;
  const families = getComputedStyle(document.documentElement).getPropertyValue(`--${family}`);
  brush.font = `${weight} ${size}px ${families || 'sans-serif'}`;
  return brush.measureText(text).width * SPARE;
}

/** The text, cut to its room where it is longer, whose whole is to be kept at hand; nothing where none of it fits. */
export function fitted(text: string, room: number, lettering: Lettering): string {
  if (textWidth(text, lettering) <= room) return text;
  const letters = Array.from(text);
  let [least, most] = [0, letters.length];
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (textWidth(letters.slice(0, middle).join('') + ELLIPSIS, lettering) <= room) least = middle;
    else most = middle - 1;
  }
  return least < FEWEST ? '' : letters.slice(0, least).join('').trimEnd() + ELLIPSIS;
}

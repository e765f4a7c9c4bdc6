import * as messages from '@/language/formats';
/**
 * Coordinates in any common writing: decimal or in degrees, minutes and seconds; with signs or letters; latitude
 * first, unless letters say otherwise. "46.62, 12.30" · "46°37′12″N 12°18′E" · "N 46 37.2 E 12 18" · "geo:46.62,12.3".
 */
type Coordinates = { ok: true; lat: number; lon: number } | { ok: false; why: string };

const no = (why: string): Coordinates => ({ ok: false, why });

interface Part {
  numbers: number[];
  negative: boolean;
  letter: 'N' | 'S' | 'E' | 'W' | null;
}

export function readCoordinates(text: string): Coordinates {
  const plain = text
    .trim()
    .replace(/^geo:/i, '')
    .replace(/[;?]\w+=.*$/, '')
    // A comma between digits without a space after it is a decimal one, if the text has another way to part the two.
    .replace(/(\d),(\d)/g, (all, a: string, b: string) =>
      /[;/]|\d\s+[-+]?\d|[NSEW]/i.test(text) ? `${a}.${b}` : all,
    )
    .replace(/[−–]/g, '-');
  const parts = partsOf(plain);
  if (parts.length !== 2) return no(messages.expectedTwoCoordinatesSuchAs);
  const [first, second] = parts as [Part, Part];
  const swapped = isEastWest(first.letter) || isNorthSouth(second.letter);
  if (swapped && (isNorthSouth(first.letter) || isEastWest(second.letter)))
    return no(messages.expectedOneOfNOr);
  const lat = valueOf(swapped ? second : first);
  const lon = valueOf(swapped ? first : second);
  if (lat === null || lon === null) return no(messages.expectedMinutesAndSecondsBelow);
  if (Math.abs(lat) > 90) return no(messages.latitudeIsBeyond90({ lat }));
  if (Math.abs(lon) > 180) return no(messages.longitudeIsBeyond180({ lon }));
  return { ok: true, lat, lon };
}

const isNorthSouth = (letter: Part['letter']): boolean => letter === 'N' || letter === 'S';
const isEastWest = (letter: Part['letter']): boolean => letter === 'E' || letter === 'W';

/** Splits at letters where there are any, else at a comma or semicolon, else in the middle of the numbers. */
function partsOf(text: string): Part[] {
  if (/[^\d\s.,;:+\-°º˚'’′"”″NSEWOnsewo/]/.test(text)) return [];
  const letters = [...text.matchAll(/[NSEWO]/gi)];
  if (letters.length === 2) {
    const [a, b] = letters as [RegExpMatchArray, RegExpMatchArray];
    // Letters lead when the text starts with one.
    const cut = a.index === 0 ? (b.index ?? 0) : (a.index ?? 0) + 1;
    return [partOf(text.slice(0, cut)), partOf(text.slice(cut))];
  }
  if (letters.length > 0) return [];
  const halves = text.split(/[,;/]/).filter((half) => /\d/.test(half));
  if (halves.length === 2) return halves.map(partOf);
  const numbers = [...text.matchAll(/[-+]?\d+(?:\.\d+)?/g)];
  if (halves.length !== 1 || numbers.length % 2 !== 0 || numbers.length === 0) return [];
  const cut = numbers[numbers.length / 2]?.index ?? 0;
  return [partOf(text.slice(0, cut)), partOf(text.slice(cut))];
}

function partOf(text: string): Part {
  const letter = /[NSEWO]/i.exec(text)?.[0].toUpperCase();
  return {
    numbers: [...text.matchAll(/\d+(?:\.\d+)?/g)].map(([digits]) => Number(digits)),
    negative: text.includes('-'),
    // West is O in several languages.
    letter: letter === 'O' ? 'W' : ((letter ?? null) as Part['letter']),
  };
}

function valueOf({ numbers, negative, letter }: Part): number | null {
  const [degrees, minutes = 0, seconds = 0, ...rest] = numbers;
  if (degrees === undefined || rest.length > 0 || minutes >= 60 || seconds >= 60) return null;
  if (numbers.slice(0, -1).some((number) => !Number.isInteger(number))) return null;
  if (negative && letter !== null) return null;
  const size = degrees + minutes / 60 + seconds / 3600;
  return negative || letter === 'S' || letter === 'W' ? -size : size;
}

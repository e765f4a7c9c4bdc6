import * as z from 'zod';
import type { LatLon } from '@/core/light/sun/position';

/** Places by name, most people first; made at build time by `scripts/buildGazetteer.mjs`. */
export const GazetteerSchema = z.strictObject({
  kind: z.literal('lynxeye/gazetteer'),
  version: z.literal(1),
  source: z.string(),
  credit: z.string(),
  places: z.array(z.tuple([z.string(), z.string(), z.number(), z.number()])),
});

export interface NamedPlace extends LatLon {
  name: string;
  /** ISO 3166, two letters. */
  country: string;
}

export interface Gazetteer {
  credit: string;
  /** The best matches of a name, or of its beginning or of a word in it; accents and case do not count. */
  find: (text: string, most?: number) => NamedPlace[];
  nearest: (place: LatLon) => NamedPlace | null;
}

/** Places of the made-up outing, which no gazetteer knows. */
export const MADE_UP_PLACES: readonly NamedPlace[] = [
  { name: 'Tarnholt Gorge', country: 'IT', lat: 46.62, lon: 12.3 },
  { name: 'Holm Lake', country: 'SE', lat: 59.46, lon: 18.1 },
];

export function gazetteerOf(file: z.output<typeof GazetteerSchema>): Gazetteer {
  const places: NamedPlace[] = [
    ...MADE_UP_PLACES,
    ...file.places.map(([name, country, lat, lon]) => ({ name, country, lat, lon })),
  ];
  let folded: string[] | null = null;
  return {
    credit: file.credit,
    find: (text, most = 12) => {
      const wanted = fold(text);
      if (wanted.length < 2) return [];
      folded ??= places.map(({ name }) => fold(name));
      const ranked: [NamedPlace[], NamedPlace[], NamedPlace[]] = [[], [], []];
      folded.forEach((name, at) => {
        const place = places[at];
        if (!place) return;
        if (name === wanted) ranked[0].push(place);
        else if (name.startsWith(wanted)) ranked[1].push(place);
        else if (name.includes(` ${wanted}`) || name.includes(`-${wanted}`)) ranked[2].push(place);
      });
      return ranked.flat().slice(0, most);
    },
    nearest: (here) => {
      let best: { place: NamedPlace; far: number } | null = null;
      for (const place of places) {
        const far = flatDistance(here, place);
        if (best === null || far < best.far) best = { place, far };
      }
      return best?.place ?? null;
    },
  };
}

/** Lower case without accents: "Zürich" and "zurich" are one. */
export function fold(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/[øØ]/g, 'o')
    .replace(/[łŁ]/g, 'l')
    .replace(/ß/g, 'ss')
    .replace(/[’ʻʼ`]/g, "'")
    .toLowerCase()
    .trim();
}

/** Good enough to tell which place is nearer: degrees, with longitude shrunk by latitude and taken the short way. */
function flatDistance(a: LatLon, b: LatLon): number {
  const across = Math.abs(a.lon - b.lon);
  const shrink = Math.cos((a.lat * Math.PI) / 180);
  return Math.hypot(a.lat - b.lat, Math.min(across, 360 - across) * shrink);
}

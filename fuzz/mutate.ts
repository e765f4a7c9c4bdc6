import fc from 'fast-check';

/** A sound input with a few things done to it that hands, programs and bad wires do. */

/** What a number, a word or a whole part may be replaced by. */
const ODD: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  0,
  -1,
  0.33,
  1e308,
  -1e-320,
  9_007_199_254_740_993,
  'boost',
  'constructor',
  '__proto__',
  'Nowhere/Town',
  '2026-02-30',
  '9999-12-31T23:59:59-23:59',
  '25:61',
  'x'.repeat(5000),
  '\ud800',
  '\u0000\n\u2028',
  '=HYPERLINK("x")',
  [],
  {},
  [[[[]]]],
];

interface Edit {
  where: number;
  what: 'replace' | 'drop' | 'double' | 'swap' | 'add';
  value: number;
}

const edits = fc.array(
  fc.record({
    where: fc.nat(),
    what: fc.constantFrom<Edit['what']>('replace', 'drop', 'double', 'swap', 'add'),
    value: fc.nat(),
  }),
  { minLength: 1, maxLength: 4 },
);

/** JSON with some of its values replaced, dropped, doubled, swapped, or given a key more. */
export function mutatedJson(seeds: readonly unknown[]): fc.Arbitrary<unknown> {
  return fc.record({ seed: fc.nat(), edits }).map(({ seed, edits: list }) => {
    const root = { value: structuredClone(seeds[seed % seeds.length]) };
    for (const { where, what, value } of list) {
      const places = placesIn(root);
      const place = places[where % places.length];
      if (!place) continue;
      const { parent, key } = place;
      const odd = structuredClone(ODD[value % ODD.length]);
      if (what === 'replace') parent[key] = odd;
      else if (what === 'drop') Reflect.deleteProperty(parent, key);
      else if (what === 'add') parent[`extra${value % 3}`] = odd;
      else if (what === 'double' && Array.isArray(parent)) parent.push(structuredClone(parent[Number(key)]));
      else {
        const other = places[value % places.length];
        if (other) parent[key] = structuredClone(other.parent[other.key]);
      }
    }
    return root.value ?? null;
  });
}

type Bag = Record<string, unknown>;

/** Every place in a value, with a bound so that swaps cannot make it endless. */
function placesIn(value: object, found: { parent: Bag; key: string }[] = []): { parent: Bag; key: string }[] {
  for (const key of Object.keys(value)) {
    if (found.length > 20_000) break;
    const parent = value as Bag;
    found.push({ parent, key });
    const inside = parent[key];
    if (typeof inside === 'object' && inside !== null) placesIn(inside, found);
  }
  return found;
}

const PIECES = [
  '\n',
  '\r\n',
  ',',
  ';',
  '"',
  '<',
  '>',
  '&',
  '\u0000',
  '\ud800',
  ':',
  '=',
  '-',
  'NaN',
  '1e308',
  '0',
  '99999999999',
  '%',
  'BEGIN:VEVENT',
  'END:VCALENDAR',
  '\ufeff',
];

/** A text with stretches of it dropped, doubled, moved or written over. */
export function mutatedText(seeds: readonly string[]): fc.Arbitrary<string> {
  return fc
    .record({
      seed: fc.nat(),
      edits: fc.array(
        fc.record({ at: fc.nat(), length: fc.nat(40), what: fc.nat(4), piece: fc.nat(), to: fc.nat() }),
        { minLength: 1, maxLength: 6 },
      ),
    })
    .map(({ seed, edits: list }) => {
      let text = seeds[seed % seeds.length] ?? '';
      for (const { at, length, what, piece, to } of list) {
        const from = text.length === 0 ? 0 : at % text.length;
        const until = Math.min(text.length, from + length);
        const cut = text.slice(from, until);
        const rest = text.slice(0, from) + text.slice(until);
        const place = rest.length === 0 ? 0 : to % rest.length;
        const odd = PIECES[piece % PIECES.length] ?? '';
        text =
          what === 0
            ? rest
            : what === 1
              ? text.slice(0, until) + cut + text.slice(until)
              : what === 2
                ? rest.slice(0, place) + cut + rest.slice(place)
                : what === 3
                  ? text.slice(0, from) + odd + text.slice(until)
                  : text.slice(0, from) + odd + text.slice(from);
      }
      return text;
    });
}

/** Bytes with some flipped, cut off, or doubled. */
export function mutatedBytes(seeds: readonly Uint8Array[]): fc.Arbitrary<Uint8Array<ArrayBuffer>> {
  return fc
    .record({
      seed: fc.nat(),
      cut: fc.option(fc.nat(), { freq: 6 }),
      edits: fc.array(fc.record({ at: fc.nat(), to: fc.nat(255) }), { minLength: 1, maxLength: 12 }),
    })
    .map(({ seed, cut, edits: list }) => {
      const whole = Uint8Array.from(seeds[seed % seeds.length] ?? []);
      const bytes = cut === null ? whole : whole.slice(0, cut % (whole.length + 1));
      for (const { at, to } of list) if (bytes.length > 0) bytes[at % bytes.length] = to;
      return bytes;
    });
}

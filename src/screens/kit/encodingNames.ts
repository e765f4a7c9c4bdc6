import type { ProfileRule } from '@/core/camera/profile';

type Encodings = ProfileRule['encodings'];

/** Encodings as short names, one a bit rate: "hevc-10-60". */
export function encodingNames(encodings: Encodings): string[] {
  return [
    ...new Set(
      encodings.flatMap(({ codec, bitDepth, bitRatesMbps }) =>
        bitRatesMbps.map((rate) => `${codec}-${bitDepth}-${rate}`),
      ),
    ),
  ];
}

/** The other way; typed names may leave the bits out ("avc-45"). `null` when a name cannot be read. */
export function encodingsFrom(names: readonly string[]): Encodings | null {
  const kinds = new Map<string, Encodings[number]>();
  for (const name of names) {
    const read = /^(avc|hevc)-(?:(8|10)-)?(\d+(?:\.\d+)?)$/i.exec(name.trim());
    if (!read) return null;
    const codec = read[1]?.toLowerCase() === 'avc' ? 'avc' : 'hevc';
    const bitDepth = read[2] === '10' ? 10 : 8;
    const key = `${codec}-${bitDepth}`;
    const kind = kinds.get(key) ?? { codec, bitDepth, bitRatesMbps: [] };
    kind.bitRatesMbps.push(Number(read[3]));
    kinds.set(key, kind);
  }
  return [...kinds.values()];
}

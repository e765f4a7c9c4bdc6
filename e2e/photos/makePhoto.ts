import { dump, insert, TagValues } from 'piexif-ts';

/** Photographs for tests: the smallest pictures that are ones, with the EXIF they are given. */
const { ExifIFD, ImageIFD, GPSIFD } = TagValues;

/** A grey JPEG of 8 by 8, as bytes in a string. */
const BARE_JPEG = atob(
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAAgGBgcGBQgHBwcJCQgKDBQNDAsLDBkSEw8UHRofHh0aHBwgJC4nICIsIxwcKDcpLDAxNDQ0Hyc5PTgyPC4zNDL/' +
    'wAALCAAIAAgBAREA/8QAHwAAAQUBAQEBAQEAAAAAAAAAAAECAwQFBgcICQoL/8QAtRAAAgEDAwIEAwUFBAQAAAF9AQIDAAQRBRIhMUEGE1FhByJxFDKBkaEI' +
    'I0KxwRVS0fAkM2JyggkKFhcYGRolJicoKSo0NTY3ODk6Q0RFRkdISUpTVFVWV1hZWmNkZWZnaGlqc3R1dnd4eXqDhIWGh4iJipKTlJWWl5iZmqKjpKWmp6ipqrKztLW2t7i5usLDxMXGx8jJytLT1NXW19jZ2uHi4+Tl5ufo6erx8vP09fb3+Pn6/9oACAEBAAA/APn+v//Z',
);

export interface Shown {
  fNumber?: [number, number];
  exposureTime?: [number, number];
  iso?: number;
}

export function jpegWith({ fNumber, exposureTime, iso }: Shown): ArrayBuffer {
  const exif = dump({
    '0th': { [ImageIFD.Model]: 'Otter' },
    Exif: {
      ...(fNumber ? { [ExifIFD.FNumber]: fNumber } : {}),
      ...(exposureTime ? { [ExifIFD.ExposureTime]: exposureTime } : {}),
      ...(iso ? { [ExifIFD.ISOSpeedRatings]: iso } : {}),
      [ExifIFD.ExposureBiasValue]: [-1, 3],
      [ExifIFD.DateTimeOriginal]: '2026:10:03 12:40:00',
    },
    GPS: {
      [GPSIFD.GPSLatitudeRef]: 'N',
      [GPSIFD.GPSLatitude]: [
        [46, 1],
        [37, 1],
        [12, 1],
      ],
      [GPSIFD.GPSLongitudeRef]: 'W',
      [GPSIFD.GPSLongitude]: [
        [12, 1],
        [18, 1],
        [0, 1],
      ],
    },
  });
  return bytesOf(insert(exif, BARE_JPEG));
}

export function jpegWithout(): ArrayBuffer {
  return bytesOf(BARE_JPEG);
}

/** The same EXIF as the JPEG's in the box structure of HEIC (ISO 23008-12): `ftyp`, `meta` with `iinf` and `iloc`, data. */
export function heicWith(shown: Shown): ArrayBuffer {
  const jpeg = new Uint8Array(jpegWith(shown));
  // The APP1 segment after the start marker: FF E1, length, "Exif\0\0", then TIFF.
  const at = jpeg.findIndex((byte, index) => byte === 0xff && jpeg[index + 1] === 0xe1);
  const length = ((jpeg[at + 2] ?? 0) << 8) | (jpeg[at + 3] ?? 0);
  const item = [0, 0, 0, 6, ...jpeg.slice(at + 4, at + 2 + length)];
  const text = (letters: string): number[] => Array.from(letters, (letter) => letter.charCodeAt(0));
  const u16 = (value: number): number[] => [value >> 8, value & 255];
  const u32 = (value: number): number[] => [...u16(value >>> 16), ...u16(value & 0xffff)];
  const box = (type: string, ...parts: number[][]): number[] => {
    const body = parts.flat();
    return [...u32(body.length + 8), ...text(type), ...body];
  };
  const ftyp = box('ftyp', text('heic'), u32(0), text('mif1heic'));
  const infe = box('infe', [2, 0, 0, 0], u16(1), u16(0), text('Exif'), [0]);
  const iinf = box('iinf', u32(0), u16(1), infe);
  const iloc = (offset: number): number[] =>
    box('iloc', u32(0), [0x44, 0x00], u16(1), u16(1), u16(0), u16(1), u32(offset), u32(item.length));
  const meta = (offset: number): number[] => box('meta', u32(0), iinf, iloc(offset));
  const offset = ftyp.length + meta(0).length + 8;
  return Uint8Array.from([...ftyp, ...meta(offset), ...box('mdat', item)]).buffer;
}

function bytesOf(binary: string): ArrayBuffer {
  return Uint8Array.from(binary, (letter) => letter.charCodeAt(0)).buffer;
}

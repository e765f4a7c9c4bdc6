import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import { str as crc32 } from 'crc-32';
import type { Settings } from '@/core/records/settings';
import type { SetupFault } from '@/core/records/setup';
import { SettingsSchema } from '@/core/records/settings';
import { InstantSchema } from '@/core/schema/times';
import { strongForBoost } from '@/core/schema/versions';
import { omit } from '@/core/units/omit';

/**
 * A camera's set-up as one line of text, small enough for a code on a screen: our own open format, version 2, written
 * down in docs/files.md; version 1 is still read. `key=value` pairs between semicolons, values percent-escaped, the CRC-32 of all before it at
 * the end. The filter is not in it: no camera can put one on.
 *
 *   lynxeye-setup/2;n=Helmet%2025;cam=otter;rec=video;res=3840x2160;fps=25;…;crc=8F2A11C0
 */
export interface Setup {
  name: string;
  cameraId: string;
  settings: Omit<Settings, 'filter' | 'shutterAngleDeg'>;
  /** Of a time-lapse. */
  intervalSeconds: number | null;
  /** What the camera's clock is set to, an instant with its offset; written when the code is shown. */
  clock: string | null;
  /** Starts by itself this long after reading. */
  startAfterSeconds: number | null;
}

const HEAD = 'lynxeye-setup/';
const VERSION = '2';
const VERSIONS_READ = ['1', VERSION];
/** A longer text is no set-up: it would not fit into a code that a camera reads. */
const LONGEST = 1000;

export function writeSetup({
  name,
  cameraId,
  settings,
  intervalSeconds,
  clock,
  startAfterSeconds,
}: Setup): string {
  const { shutterFloorSeconds: floor } = settings;
  const pairs: [string, string | number | null][] = [
    ['n', named(name)],
    ['cam', cameraId],
    ['rec', settings.recording],
    ['res', `${settings.resolution.width}x${settings.resolution.height}`],
    ['fps', settings.frameRate],
    ['view', `${settings.view.id}@${settings.view.horizontalDeg}`],
    ['stab', settings.stabilization],
    [
      'sh',
      settings.shutterMode === 'auto'
        ? `auto:${settings.shutterSeconds}:${floor ?? ''}`
        : `fixed:${settings.shutterSeconds}`,
    ],
    ['iso', `${settings.iso.min}-${settings.iso.max}`],
    ['wb', settings.whiteBalance],
    ['col', settings.colour],
    ['ev', settings.exposureOffsetStops],
    ['rate', settings.bitRateMbps],
    ['codec', settings.codec],
    ['bits', settings.bitDepth],
    ['sharp', settings.sharpening],
    ['nr', settings.noiseReduction],
    ['every', intervalSeconds],
    ['at', clock],
    ['go', startAfterSeconds],
  ];
  const body = [
    HEAD + VERSION,
    ...pairs.flatMap(([key, value]) =>
      value === null ? [] : [`${key}=${encodeURIComponent(String(value))}`],
    ),
  ].join(';');
  return `${body};crc=${checksum(body)}`;
}

function checksum(body: string): string {
  return (crc32(body) >>> 0).toString(16).toUpperCase().padStart(8, '0');
}

type SetupRead = { ok: true; setup: Setup } | { ok: false; fault: SetupFault };

const NEEDED = [
  'n',
  'cam',
  'rec',
  'res',
  'fps',
  'view',
  'stab',
  'sh',
  'iso',
  'wb',
  'col',
  'ev',
  'rate',
  'codec',
  'bits',
  'sharp',
  'nr',
];
const OPTIONAL = ['every', 'at', 'go'];

/** Reads a code; what is not ours, damaged or of a later version is refused with its reason. Never throws. */
export function readSetup(text: string): SetupRead {
  const no = (fault: SetupFault): SetupRead => ({ ok: false, fault });
  const line = text.trim();
  if (!line.startsWith(HEAD)) return no({ code: 'foreign' });
  if (line.length > LONGEST) return no({ code: 'damaged' });
  const cut = line.lastIndexOf(';crc=');
  if (cut < 0 || line.slice(cut + 5).toUpperCase() !== checksum(line.slice(0, cut)))
    return no({ code: 'damaged' });
  const [head = '', ...pairs] = line.slice(0, cut).split(';');
  const version = head.slice(HEAD.length);
  if (!VERSIONS_READ.includes(version)) return no({ code: 'version', version });
  const told = new Map<string, string>();
  for (const pair of pairs) {
    const at = pair.indexOf('=');
    const key = pair.slice(0, at);
    if (at < 1 || told.has(key)) return no({ code: 'damaged' });
    if (!NEEDED.includes(key) && !OPTIONAL.includes(key)) return no({ code: 'unknown', key });
    const raw = unescaped(pair.slice(at + 1));
    const value = raw !== null && version === '1' && key === 'stab' ? ofVersion1(raw) : raw;
    if (value === null || !GRAMMAR[key]?.test(value))
      return no({ code: 'value', key, value: (raw ?? pair.slice(at + 1)).slice(0, 80) });
    told.set(key, value);
  }
  const missing = NEEDED.find((key) => !told.has(key));
  if (missing !== undefined) return no({ code: 'missing', key: missing });
  return setupFrom(told);
}

function unescaped(value: string): string | null {
  try {
    return decodeURIComponent(value);
  } catch {
    return null;
  }
}

/** The stabilization as version 1 called it; `null` for a word it did not have. */
function ofVersion1(word: string): string | null {
  return word === 'strong' ? null : strongForBoost(word);
}

/** What a name may hold: no line break or other letter that is not seen, no half of a letter. */
function named(name: string): string {
  const whole = name.replace(/[\p{C}\p{Zl}\p{Zp}]/gu, '').trim();
  return Array.from(whole).slice(0, 12).join('') || 'Set-up';
}

/** As it is written: no nought before another digit. */
const NUMBER = String.raw`-?(?:0|[1-9]\d{0,6})(?:\.\d{1,20})?`;
const whole = (pattern: string): RegExp => new RegExp(`^(?:${pattern})$`, 'u');
const word = whole(String.raw`[A-Za-z]{1,20}`);
const number = whole(NUMBER);

/** How each value is written, its escapes taken off; what it may be is for the schema of settings. */
const GRAMMAR: Readonly<Record<string, RegExp>> = {
  n: whole(String.raw`(?! )[^\p{C}\p{Zl}\p{Zp}]{1,12}`),
  cam: whole(String.raw`[^\p{C}\p{Zl}\p{Zp}]{1,60}`),
  rec: word,
  res: whole(String.raw`[1-9]\d{1,4}x[1-9]\d{1,4}`),
  fps: number,
  view: whole(String.raw`[^\p{C}\p{Zl}\p{Zp}]{1,60}@${NUMBER}`),
  stab: word,
  sh: whole(`fixed:${NUMBER}|auto:${NUMBER}:${NUMBER}`),
  iso: whole(String.raw`[1-9]\d{0,5}-[1-9]\d{0,5}`),
  wb: whole(String.raw`auto|[1-9]\d{3,4}`),
  col: word,
  ev: number,
  rate: number,
  codec: word,
  bits: whole('8|10'),
  sharp: word,
  nr: word,
  every: number,
  at: whole(String.raw`\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d{1,9})?(?:Z|[+-]\d\d:\d\d)`),
  go: number,
};

/** Longest wait before it starts by itself, and longest interval, seconds: a day. */
const DAY_SECONDS = 86_400;

function setupFrom(told: ReadonlyMap<string, string>): SetupRead {
  const text = (key: string): string => told.get(key) ?? '';
  const number = (key: string): number => Number(text(key));
  const wrong = (key: string): SetupRead => ({
    ok: false,
    fault: { code: 'value', key, value: text(key) },
  });
  const [width, height] = text('res').split('x').map(Number);
  const at = text('view').lastIndexOf('@');
  const [viewId, horizontalDeg] = [text('view').slice(0, at), text('view').slice(at + 1)];
  const [mode = '', longest, shortest] = text('sh').split(':');
  const [min, max] = text('iso').split('-').map(Number);
  const shutterSeconds = Number(longest);
  const frameRate = number('fps');
  // Only the pictures of a time-lapse may stand open for longer than a frame of the film lasts.
  if (!told.has('every') && frameRate * shutterSeconds > 1.0001) return wrong('sh');
  if (shortest !== undefined && Number(shortest) > shutterSeconds) return wrong('sh');
  const shape = {
    frameRate,
    shutterSeconds,
    shutterAngleDeg: Math.min(360, shutterAngleDeg(frameRate, shutterSeconds)),
    shutterMode: mode,
    ...(shortest === undefined ? {} : { shutterFloorSeconds: Number(shortest) }),
    filter: { ids: [], stops: 0 },
    iso: { min, max },
    resolution: { width, height },
    view: { id: viewId, horizontalDeg: Number(horizontalDeg) },
    bitRateMbps: number('rate'),
    codec: text('codec'),
    bitDepth: number('bits'),
    recording: text('rec'),
    stabilization: text('stab'),
    whiteBalance: text('wb') === 'auto' ? 'auto' : number('wb'),
    colour: text('col'),
    exposureOffsetStops: number('ev'),
    sharpening: text('sharp'),
    noiseReduction: text('nr'),
  };
  const checked = SettingsSchema.safeParse(shape);
  if (!checked.success) {
    return wrong(KEY_OF[String(checked.error.issues[0]?.path[0])] ?? 'sh');
  }
  for (const [key, least] of [
    ['every', 0.1],
    ['go', 0],
  ] as const)
    if (told.has(key) && !(number(key) >= least && number(key) <= DAY_SECONDS)) return wrong(key);
  if (told.has('at') && !InstantSchema.safeParse(text('at')).success) return wrong('at');
  const settings = storable(checked.data);
  return {
    ok: true,
    setup: {
      name: text('n'),
      cameraId: text('cam'),
      settings,
      intervalSeconds: told.has('every') ? number('every') : null,
      clock: told.get('at') ?? null,
      startAfterSeconds: told.has('go') ? number('go') : null,
    },
  };
}

const KEY_OF: Record<string, string> = {
  frameRate: 'fps',
  shutterSeconds: 'sh',
  shutterMode: 'sh',
  shutterFloorSeconds: 'sh',
  iso: 'iso',
  resolution: 'res',
  view: 'view',
  bitRateMbps: 'rate',
  codec: 'codec',
  bitDepth: 'bits',
  recording: 'rec',
  stabilization: 'stab',
  whiteBalance: 'wb',
  colour: 'col',
  exposureOffsetStops: 'ev',
  sharpening: 'sharp',
  noiseReduction: 'nr',
};

/** What of full settings a camera stores. */
export function storable(settings: Settings): Setup['settings'] {
  return omit(omit(settings, 'filter'), 'shutterAngleDeg');
}

import { str as crc32 } from 'crc-32';
import type { Settings } from '@/core/plan/settings';
import { SettingsSchema } from '@/core/plan/settings';
import { without } from '@/core/plan/without';

/**
 * A camera's set-up as one line of text, small enough for a code on a screen: our own open format, version 1, written
 * down in docs/files.md. `key=value` pairs between semicolons, values percent-escaped, the CRC-32 of all before it at
 * the end. The filter is not in it: no camera can put one on.
 *
 *   lynxeye-setup/1;n=Helmet%2025;cam=otter;rec=video;res=3840x2160;fps=25;…;crc=8F2A11C0
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
const VERSION = '1';

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
    ['n', name],
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

export type SetupFault =
  | { code: 'foreign' }
  | { code: 'version'; version: string }
  | { code: 'damaged' }
  | { code: 'missing'; key: string }
  | { code: 'unknown'; key: string }
  | { code: 'value'; key: string; value: string };

export type SetupRead = { ok: true; setup: Setup } | { ok: false; fault: SetupFault };

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
  const cut = line.lastIndexOf(';crc=');
  if (cut < 0 || line.slice(cut + 5).toUpperCase() !== checksum(line.slice(0, cut)))
    return no({ code: 'damaged' });
  const [head = '', ...pairs] = line.slice(0, cut).split(';');
  const version = head.slice(HEAD.length);
  if (version !== VERSION) return no({ code: 'version', version });
  const told = new Map<string, string>();
  for (const pair of pairs) {
    const at = pair.indexOf('=');
    const key = pair.slice(0, at);
    if (at < 1 || told.has(key)) return no({ code: 'damaged' });
    if (!NEEDED.includes(key) && !OPTIONAL.includes(key)) return no({ code: 'unknown', key });
    const value = unescaped(pair.slice(at + 1));
    if (value === null) return no({ code: 'value', key, value: pair.slice(at + 1) });
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

function setupFrom(told: ReadonlyMap<string, string>): SetupRead {
  const text = (key: string): string => told.get(key) ?? '';
  const number = (key: string): number =>
    /^-?\d+(\.\d+)?(e-?\d+)?$/i.test(text(key)) ? Number(text(key)) : NaN;
  const [width, height] = text('res').split('x').map(Number);
  const [viewId = '', horizontalDeg] = text('view').split('@');
  const [mode = '', longest, shortest] = text('sh').split(':');
  const [min, max] = text('iso').split('-').map(Number);
  const shutterSeconds = Number(longest);
  const frameRate = number('fps');
  const shape = {
    frameRate,
    shutterSeconds,
    shutterAngleDeg: Math.min(360, 360 * frameRate * shutterSeconds),
    shutterMode: mode,
    ...(mode === 'auto' && shortest ? { shutterFloorSeconds: Number(shortest) } : {}),
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
    const key = KEY_OF[String(checked.error.issues[0]?.path[0])] ?? 'sh';
    return { ok: false, fault: { code: 'value', key, value: text(key) } };
  }
  for (const key of ['every', 'go'])
    if (told.has(key) && !(number(key) >= 0))
      return { ok: false, fault: { code: 'value', key, value: text(key) } };
  if (told.has('at') && !Number.isFinite(Date.parse(text('at'))))
    return { ok: false, fault: { code: 'value', key: 'at', value: text('at') } };
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
  return without(without(settings, 'filter'), 'shutterAngleDeg');
}

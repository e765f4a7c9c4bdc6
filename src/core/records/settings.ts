import { CODECS, COLOURS, RECORDINGS, STABILIZATIONS } from '../vocabulary/modes';
import * as z from 'zod';
import { finds, wants } from '../schema/fault';
import type { ReasonPage } from '../vocabulary/reasonPages';

/**
 * The settings of an answer, and the pins of a shot, which use the same keys. Seconds, degrees, pixels, Mbit/s, stops.
 */
const frameRate = z.number().min(1).max(1000);
const shutterSeconds = z.number().min(1e-6).max(60);
const shutterAngleDeg = z.number().min(0.001).max(360.001);
const filterIds = z.array(z.string().min(1).max(40)).max(8);
const filterStops = z.number().min(0).max(40);
const horizontalDeg = z.number().min(1).max(360);
const isoValue = z.int().min(25).max(409600);
const iso = z
  .strictObject({ min: isoValue, max: isoValue })
  .refine((window) => window.min <= window.max, finds({ code: 'atLeastKey', key: 'min' }, ['max']));
const pixels = z.int().min(16).max(16384);
const detail = z.enum(['low', 'standard', 'high']);

const shared = {
  frameRate,
  shutterSeconds,
  shutterAngleDeg,
  shutterMode: z.enum(['fixed', 'auto']),
  iso,
  resolution: z.strictObject({ width: pixels, height: pixels }),
  bitRateMbps: z.number().min(0.5).max(2000),
  codec: z.enum(CODECS),
  stabilization: z.enum(STABILIZATIONS),
  /** `auto`, or locked at a colour temperature in kelvin. */
  whiteBalance: z.union([z.literal('auto'), z.int().min(1500).max(15000)]),
  colour: z.enum(COLOURS),
  exposureOffsetStops: z.number().min(-5).max(5),
  sharpening: detail,
  noiseReduction: detail,
};

const recording = z.enum(RECORDINGS);
const bitDepth = z.union([z.literal(8), z.literal(10)]);

export const SettingsSchema = z.strictObject({
  ...shared,
  /** Older files leave these two out. */
  recording: recording.default('video'),
  bitDepth: bitDepth.default(8),
  /** Present under an automatic shutter: the shortest it may go; `shutterSeconds` is then the longest. */
  shutterFloorSeconds: shutterSeconds.optional(),
  filter: z.strictObject({ ids: filterIds, stops: filterStops }),
  view: z.strictObject({ id: z.string().min(1).max(60), horizontalDeg }),
});

export const PinsSchema = z
  .strictObject({
    ...shared,
    recording,
    bitDepth,
    shutterFloorSeconds: shutterSeconds,
    filter: z.strictObject({ ids: filterIds, stops: filterStops.optional() }),
    view: z.strictObject({ id: z.string().min(1).max(60), horizontalDeg: horizontalDeg.optional() }),
  })
  .partial()
  .refine((pins) => pins.shutterFloorSeconds === undefined || pins.shutterMode !== 'fixed', {
    path: ['shutterFloorSeconds'],
    error: wants('autoShutter'),
  });

export type Settings = z.output<typeof SettingsSchema>;
export type Pins = z.output<typeof PinsSchema>;
export type SettingKey = keyof Settings;

/** On which page each setting is reasoned. */
export const PAGE_OF_SETTING: Readonly<Record<SettingKey, ReasonPage>> = {
  frameRate: 'playback',
  shutterSeconds: 'shutter',
  shutterAngleDeg: 'shutter',
  shutterMode: 'shutter',
  shutterFloorSeconds: 'shutter',
  filter: 'light',
  iso: 'light',
  exposureOffsetStops: 'meter',
  whiteBalance: 'colour',
  resolution: 'view',
  view: 'view',
  sharpening: 'view',
  noiseReduction: 'view',
  stabilization: 'steadiness',
  bitRateMbps: 'card',
  codec: 'card',
  bitDepth: 'card',
  recording: 'card',
  colour: 'schools',
};

import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';
import { ACTIVITIES } from '../vocabulary/activities';
import { GROUNDS, MOUNT_KINDS } from '../vocabulary/mounts';
import { SHADES, SKIES } from '../vocabulary/outdoors';
import type { ReasonPage } from '../vocabulary/reasonPages';
import { SCENE_NAMES } from '../vocabulary/scenes';

/**
 * Figures that a log corrects. What the log says of each is worked out anew whenever it is asked (`learn/`); only what
 * the person decided is kept: a figure taken over or left, as it then was.
 */
const id = z.string().min(1).max(60);

export const FigureSchema = z.discriminatedUnion('of', [
  /** Light of a named scene, stops against the usual. */
  z.strictObject({ of: z.literal('scene'), scene: z.enum(SCENE_NAMES) }),
  /** What a shade takes, and what a sky leaves, stops against the usual. */
  z.strictObject({ of: z.literal('shade'), shade: z.enum(SHADES) }),
  z.strictObject({ of: z.literal('sky'), sky: z.enum(SKIES) }),
  /** Shake of a mount, log2 of deg/s rms. */
  z.strictObject({
    of: z.literal('shake'),
    mount: z.enum(MOUNT_KINDS),
    activity: z.enum(ACTIVITIES),
    ground: z.enum(GROUNDS),
  }),
  /** What a filter takes, stops. */
  z.strictObject({ of: z.literal('filter'), filterId: z.string().min(1).max(40) }),
  /** Draw of a camera at one height and rate, and the rest of a camera: log2 of watts, kelvin a watt, Mbit/s, ISO. */
  z.strictObject({
    of: z.literal('power'),
    cameraId: id,
    height: z.int().min(16).max(16_384),
    frameRate: z.number().min(1).max(1000),
  }),
  z.strictObject({ of: z.literal('heat'), cameraId: id }),
  z.strictObject({ of: z.literal('bitRate'), cameraId: id }),
  z.strictObject({ of: z.literal('iso'), cameraId: id }),
  /** Stops above the window that a picture bears. */
  z.strictObject({ of: z.literal('guard'), cameraId: id }),
  /** How late a day runs, minutes an hour. */
  z.strictObject({ of: z.literal('lateness') }),
]);
export type Figure = z.output<typeof FigureSchema>;
export type FigureKind = Figure['of'];

/** On which page each figure is reasoned. */
export const PAGE_OF_FIGURE: Readonly<Record<FigureKind, ReasonPage>> = {
  scene: 'light',
  shade: 'light',
  sky: 'light',
  filter: 'light',
  guard: 'light',
  iso: 'light',
  shake: 'steadiness',
  power: 'power',
  heat: 'power',
  bitRate: 'card',
  lateness: 'cameras',
};

export const LearnedSchema = z.strictObject({
  figure: FigureSchema,
  /** What it is taken to be where nothing came back, in its own unit. */
  usual: z.number().min(-1000).max(1_000_000),
  /** Against that, in its natural scale, and one standard deviation of it. */
  off: z.number().min(-60).max(60),
  spread: z.number().min(0).max(60),
  /** From so many recordings or days. */
  from: z.int().min(0).max(1_000_000),
});
export type Learned = z.output<typeof LearnedSchema>;

export const LearnedRecordSchema = z.strictObject({
  kind: z.literal('lynxeye/learned-figure'),
  version: FileVersion,
  /** That of the figure. */
  id: z.string().min(1).max(160),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  decided: z.enum(['taken', 'left']),
  learned: LearnedSchema,
  ...edits,
});
export type LearnedRecord = z.output<typeof LearnedRecordSchema>;

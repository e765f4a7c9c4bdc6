import { ARCHETYPES } from '@/core/camera/archetypes';
import type { ArchetypeId } from '@/core/camera/archetypes';
import type { CameraProfile } from '@/core/camera/profile';
import type { Filter } from '@/core/filters/kit';
import type { Shot } from '@/core/records/shot';
import { FILE_VERSION } from '@/core/schema/versions';

/** The made-up cameras and filters of the demo, and what every shot of it starts from. */
const nd = (factor: number): Filter => ({ id: `nd${factor}`, kind: 'nd', stops: Math.log2(factor) });
/** Two readings of a snow wall last winter. */
const MEASURED: Record<string, { measuredStops: number }> = { nd32: { measuredStops: 5.2 } };
export const OTTER_FILTERS: Filter[] = [
  ...[4, 8, 16, 32, 64].map(nd).map((filter) => ({ ...filter, ...MEASURED[filter.id] })),
  { id: 'polarizer', kind: 'polarizer', stops: 1.5, stacksOn: ['nd8'] },
  { id: 'variable', kind: 'variable', stopsMin: 2, stopsMax: 5 },
];
export const SHREW_FILTERS: Filter[] = [8, 16].map((factor) => ({ ...nd(factor), id: `shrew-nd${factor}` }));

export type DemoBrief = Omit<Shot, 'kind' | 'version'>;
export const film = { timelineFps: 25, deliver: { width: 1920, height: 1080 }, screen: 'laptop' } as const;
export const base: DemoBrief = { playback: film, limits: { mainsHz: 50, isoCeiling: 800, cardGb: 128 } };
const camera = (archetype: ArchetypeId, id: string, name: string, summary: string): CameraProfile => ({
  ...ARCHETYPES[archetype],
  id,
  name,
  summary,
});
export const OTTER = camera(
  'main',
  'otter',
  'Otter',
  'Main action camera with two screens; five preset slots.',
);
export const SHREW = camera('mini', 'shrew', 'Shrew', 'Small, no back screen, set by code; three slots.');
export const ROOK = camera('sphere', 'rook', 'Rook', 'Spherical camera for the long pole.');
export const PIKA = camera('phone', 'pika', 'Pika', 'Phone with a good main lens; 240 fps at 1280×720.');
export const otter = { camera: { profile: OTTER }, filters: OTTER_FILTERS } as const satisfies DemoBrief;
export const shrew = { camera: { profile: SHREW }, filters: SHREW_FILTERS } as const satisfies DemoBrief;
export const rook = { camera: { profile: ROOK }, filters: [] } as const satisfies DemoBrief;
export const pika = { camera: { profile: PIKA }, filters: [] } as const satisfies DemoBrief;
export const scene = (from: SceneName, to: SceneName): DemoBrief['light'] => ({ kind: 'scene', from, to });
type SceneName = Extract<NonNullable<Shot['light']>, { kind: 'scene' }>['from'];

export function shotOf(name: string, brief: DemoBrief): Shot {
  return { kind: 'lynxeye/shot', version: FILE_VERSION, name, ...base, ...brief };
}

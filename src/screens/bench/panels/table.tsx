import * as messages from '@/language/bench';
import dynamic from 'next/dynamic';
import type { ComponentType, ReactNode } from 'react';
import { ChoicePanel } from './choice/ChoicePanel';
import type { PanelProps } from './panelProps';

/** Comes when it is first opened. */
function later<P>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  return dynamic(load, { ssr: false, loading: () => <p className="quiet">{messages.drawing}</p> });
}

const Preview = later(() => import('./preview/PreviewPanel').then((module) => module.PreviewPanel));
const TradeOff = later(() => import('./tradeOff/TradeOffPanel').then((module) => module.TradeOffPanel));
const Light = later(() => import('./light/LightPanel').then((module) => module.LightPanel));
const Filters = later(() => import('./light/FiltersPanel').then((module) => module.FiltersPanel));
const Readings = later(() => import('./readings/ReadingsPanel').then((module) => module.ReadingsPanel));
const Lamps = later(() => import('./lamps/LampsPanel').then((module) => module.LampsPanel));
const Framing = later(() => import('./framing/FramingPanel').then((module) => module.FramingPanel));
const Steadiness = later(() =>
  import('./steadiness/SteadinessPanel').then((module) => module.SteadinessPanel),
);
const Mounts = later(() => import('./mounts/MountsPanel').then((module) => module.MountsPanel));
const Modes = later(() => import('./modes/ModesPanel').then((module) => module.ModesPanel));
const Cameras = later(() => import('./cameras/CamerasPanel').then((module) => module.CamerasPanel));
const Angles = later(() => import('./angles/AnglesPanel').then((module) => module.AnglesPanel));
const Pair = later(() => import('./pair/PairPanel').then((module) => module.PairPanel));
const TimeLapse = later(() => import('./timeLapse/TimeLapsePanel').then((module) => module.TimeLapsePanel));

interface Panel {
  /** In the address. */
  id: string;
  label: string;
  /** Follows the hand at once, for what is dragged in it; the others come a moment later. */
  live: boolean;
  draw: (drawn: PanelProps) => ReactNode;
}

const LOOK = [
  {
    id: 'choice',
    label: messages.theChoice,
    live: false,
    draw: (drawn) => <ChoicePanel {...drawn} />,
  },
  {
    id: 'preview',
    label: messages.preview,
    live: false,
    draw: ({ answered, editing }) => <Preview solution={answered.solution} editing={editing} />,
  },
  {
    id: 'tradeOff',
    label: messages.tradeOffs,
    live: true,
    draw: ({ answered, editing }) => <TradeOff solution={answered.solution} editing={editing} />,
  },
  {
    id: 'pair',
    label: messages.pair,
    live: true,
    draw: ({ record, whole }) => <Pair id={record.id} whole={whole} />,
  },
  {
    id: 'lapse',
    label: messages.timeLapse,
    live: true,
    draw: ({ answered, editing }) => <TimeLapse brief={answered.solution.space.brief} editing={editing} />,
  },
] as const satisfies readonly Panel[];

const LIGHT = [
  {
    id: 'light',
    label: messages.light,
    live: true,
    draw: ({ answered, editing }) => <Light solution={answered.solution} editing={editing} />,
  },
  {
    id: 'readings',
    label: messages.readings,
    live: true,
    draw: ({ answered, editing }) => <Readings solution={answered.solution} editing={editing} />,
  },
  {
    id: 'lamps',
    label: messages.lampsAndFaces,
    live: false,
    draw: ({ answered, editing }) => <Lamps solution={answered.solution} editing={editing} />,
  },
  {
    id: 'filters',
    label: messages.filters,
    live: true,
    draw: ({ answered, editing }) => <Filters solution={answered.solution} editing={editing} />,
  },
] as const satisfies readonly Panel[];

const CAMERA = [
  {
    id: 'framing',
    label: messages.framing,
    live: true,
    draw: ({ answered, editing }) => <Framing solution={answered.solution} editing={editing} />,
  },
  {
    id: 'steadiness',
    label: messages.steadiness,
    live: false,
    draw: ({ answered, editing }) => <Steadiness solution={answered.solution} editing={editing} />,
  },
  {
    id: 'mounts',
    label: messages.mounts,
    live: false,
    draw: ({ answered, editing }) => <Mounts solution={answered.solution} editing={editing} />,
  },
  {
    id: 'modes',
    label: messages.modes,
    live: true,
    draw: ({ answered, editing }) => <Modes brief={answered.solution.space.brief} editing={editing} />,
  },
] as const satisfies readonly Panel[];

const TOGETHER = [
  {
    id: 'cameras',
    label: messages.cameras,
    live: true,
    draw: ({ record, whole }) => <Cameras id={record.id} whole={whole} />,
  },
  {
    id: 'coverage',
    label: messages.angles,
    live: false,
    draw: ({ answered, editing }) => <Angles shot={editing.shot} solution={answered.solution} />,
  },
] as const satisfies readonly Panel[];

/** The panels of the Bench by what is asked of them. */
export const GROUPS = [
  { id: 'look', label: messages.groupLook, panels: LOOK },
  { id: 'light', label: messages.groupLight, panels: LIGHT },
  { id: 'camera', label: messages.groupCamera, panels: CAMERA },
  { id: 'together', label: messages.groupTogether, panels: TOGETHER },
] as const;

/** In order, the first open where there is room unless the address says otherwise. */
export const PANELS = [...LOOK, ...LIGHT, ...CAMERA, ...TOGETHER] as const;

export type PanelId = (typeof PANELS)[number]['id'];

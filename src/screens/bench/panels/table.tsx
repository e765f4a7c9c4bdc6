import dynamic from 'next/dynamic';
import type { ComponentType, ReactNode } from 'react';
import { ChoicePanel } from './choice/ChoicePanel';
import type { Drawn } from './drawn';

/** Comes when it is first opened. */
function later<P>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  return dynamic(load, { ssr: false, loading: () => <p className="quiet">Drawing…</p> });
}

const Preview = later(() => import('./preview/PreviewPanel').then((module) => module.PreviewPanel));
const TradeOff = later(() => import('./tradeOff/TradeOffPanel').then((module) => module.TradeOffPanel));
const Light = later(() => import('./light/LightPanel').then((module) => module.LightPanel));
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
  draw: (drawn: Drawn) => ReactNode;
}

/** The panels of the Bench in order, the first open unless the address says otherwise. */
export const PANELS = [
  {
    id: 'choice',
    label: 'The choice',
    live: false,
    draw: (drawn) => <ChoicePanel {...drawn} />,
  },
  {
    id: 'preview',
    label: 'Preview',
    live: false,
    draw: ({ answered, editing }) => <Preview solution={answered.solution} editing={editing} />,
  },
  {
    id: 'tradeOff',
    label: 'Trade-offs',
    live: true,
    draw: ({ answered, editing }) => <TradeOff solution={answered.solution} editing={editing} />,
  },
  {
    id: 'light',
    label: 'Light',
    live: true,
    draw: ({ answered, editing }) => <Light solution={answered.solution} editing={editing} />,
  },
  {
    id: 'readings',
    label: 'Readings',
    live: true,
    draw: ({ answered, editing }) => <Readings solution={answered.solution} editing={editing} />,
  },
  {
    id: 'lamps',
    label: 'Lamps and faces',
    live: false,
    draw: ({ answered, editing }) => <Lamps solution={answered.solution} editing={editing} />,
  },
  {
    id: 'framing',
    label: 'Framing',
    live: true,
    draw: ({ answered, editing }) => <Framing solution={answered.solution} editing={editing} />,
  },
  {
    id: 'steadiness',
    label: 'Steadiness',
    live: false,
    draw: ({ answered, editing }) => <Steadiness solution={answered.solution} editing={editing} />,
  },
  {
    id: 'mounts',
    label: 'Mounts',
    live: false,
    draw: ({ answered, editing }) => <Mounts solution={answered.solution} editing={editing} />,
  },
  {
    id: 'modes',
    label: 'Modes',
    live: true,
    draw: ({ answered, editing }) => <Modes brief={answered.solution.space.brief} editing={editing} />,
  },
  {
    id: 'cameras',
    label: 'Cameras',
    live: true,
    draw: ({ record, whole }) => <Cameras id={record.id} whole={whole} />,
  },
  {
    id: 'coverage',
    label: 'Angles',
    live: false,
    draw: ({ answered, editing }) => <Angles shot={editing.shot} solution={answered.solution} />,
  },
  {
    id: 'pair',
    label: 'Pair',
    live: true,
    draw: ({ record, whole }) => <Pair id={record.id} whole={whole} />,
  },
  {
    id: 'lapse',
    label: 'Time-lapse',
    live: true,
    draw: ({ answered, editing }) => <TimeLapse brief={answered.solution.space.brief} editing={editing} />,
  },
] as const satisfies readonly [Panel, ...Panel[]];

export type PanelId = (typeof PANELS)[number]['id'];

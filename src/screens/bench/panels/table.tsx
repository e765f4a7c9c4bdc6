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
  draw: (drawn: Drawn) => ReactNode;
}

/** The panels of the Bench in order, the first open unless the address says otherwise. */
export const PANELS = [
  {
    id: 'choice',
    label: 'The choice',
    draw: ({ compared, editing, whole }) => (
      <ChoicePanel compared={compared} editing={editing} whole={whole} />
    ),
  },
  {
    id: 'preview',
    label: 'Preview',
    draw: ({ compared, editing }) => <Preview solution={compared.solution} editing={editing} />,
  },
  {
    id: 'tradeOff',
    label: 'Trade-offs',
    draw: ({ solution, editing }) => <TradeOff solution={solution} editing={editing} />,
  },
  {
    id: 'light',
    label: 'Light',
    draw: ({ solution, editing }) => <Light solution={solution} editing={editing} />,
  },
  {
    id: 'readings',
    label: 'Readings',
    draw: ({ solution, editing }) => <Readings solution={solution} editing={editing} />,
  },
  {
    id: 'lamps',
    label: 'Lamps and faces',
    draw: ({ compared, editing }) => <Lamps solution={compared.solution} editing={editing} />,
  },
  {
    id: 'framing',
    label: 'Framing',
    draw: ({ solution, editing }) => <Framing solution={solution} editing={editing} />,
  },
  {
    id: 'steadiness',
    label: 'Steadiness',
    draw: ({ compared, editing }) => <Steadiness solution={compared.solution} editing={editing} />,
  },
  {
    id: 'mounts',
    label: 'Mounts',
    draw: ({ compared, editing }) => <Mounts solution={compared.solution} editing={editing} />,
  },
  {
    id: 'modes',
    label: 'Modes',
    draw: ({ solution, editing }) => <Modes brief={solution.space.brief} editing={editing} />,
  },
  { id: 'cameras', label: 'Cameras', draw: ({ record, whole }) => <Cameras id={record.id} whole={whole} /> },
  {
    id: 'coverage',
    label: 'Angles',
    draw: ({ compared, editing }) => <Angles shot={editing.shot} solution={compared.solution} />,
  },
  { id: 'pair', label: 'Pair', draw: ({ record, whole }) => <Pair id={record.id} whole={whole} /> },
  {
    id: 'lapse',
    label: 'Time-lapse',
    draw: ({ solution, editing }) => <TimeLapse brief={solution.space.brief} editing={editing} />,
  },
] as const satisfies readonly [Panel, ...Panel[]];

export type PanelId = (typeof PANELS)[number]['id'];

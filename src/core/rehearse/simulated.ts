import type { CameraBudget } from '../day/budget';
import type { ReasonPage } from '../vocabulary/reasonPages';
import type { Slip } from './unknowns';

/** What can go wrong with a shot; with the page on which it is reasoned. */
export const PAGE_OF_FAILURE = {
  over: 'light',
  under: 'light',
  smear: 'steadiness',
  card: 'card',
  power: 'power',
  heat: 'power',
  late: 'cameras',
} as const satisfies Record<string, ReasonPage>;
export type Failure = keyof typeof PAGE_OF_FAILURE;
export const FAILURES = Object.keys(PAGE_OF_FAILURE) as Failure[];

/** One day as it went. */
export interface SimulatedDay {
  parts: readonly SimulatedPart[];
  budgets: readonly CameraBudget[];
  everythingLasts: boolean;
  loss: number;
}

export interface SimulatedPart {
  id: string;
  delayMs: number;
  evMin: number;
  evMax: number;
  failed: ReadonlySet<Failure>;
  slips: readonly Slip[];
  loss: number;
  inputs: Inputs;
}

/** What drove it, each in its own spread. */
export type Inputs = Record<(typeof UNCERTAIN_INPUTS)[number], number>;
export const UNCERTAIN_INPUTS = [
  'light',
  'cloud',
  'shake',
  'speed',
  'late',
  'air',
  'power',
  'heat',
  'bitRate',
  'slips',
] as const;
export type UncertainInput = (typeof UNCERTAIN_INPUTS)[number];

/** A clip that is not there, or ends before its time, loses so much for all of it (start): a picture too dark to use. */
export const LOST_CLIP = 4;

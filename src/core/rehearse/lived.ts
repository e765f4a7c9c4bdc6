import type { CameraBudget } from '../day/budget';
import type { Slip } from './unknowns';

/** What can go wrong with a shot. */
export const FAILURES = ['over', 'under', 'smear', 'card', 'power', 'heat', 'late'] as const;
export type Failure = (typeof FAILURES)[number];

/** One day as it went. */
export interface LivedDay {
  parts: readonly LivedPart[];
  budgets: readonly CameraBudget[];
  everythingLasts: boolean;
  loss: number;
}

export interface LivedPart {
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
export type Inputs = Record<(typeof INPUTS)[number], number>;
export const INPUTS = [
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
export type Input = (typeof INPUTS)[number];

/** A clip that is not there, or ends before its time, loses so much for all of it (start): a picture too dark to use. */
export const LOST_CLIP = 4;

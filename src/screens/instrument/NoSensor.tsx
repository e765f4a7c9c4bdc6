'use client';

import * as messages from '@/language/instrument';
import type { ReactNode } from 'react';
import type { MotionState } from './useMotion';

/** Why there are no readings, and the ways out; nothing while there may be. */
export function NoSensor({ state }: { state: MotionState }): ReactNode {
  if (state === 'asking') return <p role="status">{messages.waitingForTheSensor}</p>;
  if (state === 'refused') return <p role="alert">{messages.sensorRefused}</p>;
  return state === 'absent' ? <p role="alert">{messages.sensorAbsent}</p> : null;
}

'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Gravity } from '@/core/instrument/level';
import type { Rate } from '@/core/instrument/shake';

/** One reading of the motion sensors; what a device does not have is `null`. */
export interface MotionReading {
  atMs: number;
  gravity: Gravity | null;
  rate: Omit<Rate, 'atSeconds'> | null;
}

export type MotionState = 'idle' | 'asking' | 'running' | 'refused' | 'absent';

/** A sensor that says nothing for this long is none, milliseconds. */
const SILENT_MS = 2500;

/** Some browsers ask the person first. */
interface Asking {
  requestPermission?: () => Promise<PermissionState>;
}

/** The motion sensors of this device, from a press on; each reading goes to `onReading`. */
export function useMotion(onReading: (reading: MotionReading) => void): {
  state: MotionState;
  start: () => void;
  stop: () => void;
} {
  const [state, setState] = useState<MotionState>('idle');
  const told = useRef(onReading);
  useEffect(() => {
    told.current = onReading;
  });
  useEffect(() => {
    if (state !== 'asking' && state !== 'running') return;
    const silent = setTimeout(() => setState((was) => (was === 'asking' ? 'absent' : was)), SILENT_MS);
    const take = (event: DeviceMotionEvent): void => {
      const reading = readingOf(event);
      // A machine without sensors tells so once, with nothing in it.
      if (!reading.gravity && !reading.rate) return;
      setState('running');
      told.current(reading);
    };
    window.addEventListener('devicemotion', take);
    return () => {
      clearTimeout(silent);
      window.removeEventListener('devicemotion', take);
    };
  }, [state]);
  const start = useCallback((): void => {
    if (typeof DeviceMotionEvent === 'undefined') {
      setState('absent');
      return;
    }
    const { requestPermission } = DeviceMotionEvent as Asking;
    const asked = requestPermission ? requestPermission.call(DeviceMotionEvent) : Promise.resolve('granted');
    asked.then(
      (answer) => setState(answer === 'granted' ? 'asking' : 'refused'),
      () => setState('refused'),
    );
  }, []);
  const stop = useCallback((): void => setState('idle'), []);
  return { state, start, stop };
}

function readingOf({
  timeStamp,
  accelerationIncludingGravity: pull,
  rotationRate: turn,
}: DeviceMotionEvent): MotionReading {
  const { x, y, z } = pull ?? {};
  const { alpha, beta, gamma } = turn ?? {};
  return {
    atMs: timeStamp,
    gravity: x == null || y == null || z == null ? null : { x, y, z },
    // About x it is called beta, about y gamma, about z alpha, all in degrees a second (W3C, DeviceOrientation Event).
    rate: alpha == null || beta == null || gamma == null ? null : { x: beta, y: gamma, z: alpha },
  };
}

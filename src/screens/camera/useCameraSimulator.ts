'use client';

import * as messages from '@/language/camera';
import { shutterAngleDeg } from '@/core/playback/shutterAngle';
import { useEffect, useRef, useState } from 'react';
import type { CameraProfile } from '@/core/camera/profile';
import type { Settings } from '@/core/records/settings';
import { readSetup } from '@/formats/code/setupCode';
import {
  newCameraSimulator,
  passed,
  started,
  simulationStopped,
  takeSetup,
} from '@/simulators/camera/camera';
import type { CameraSimulator, SimulatedWorld } from '@/simulators/camera/camera';
import { setFaultText, setupFaultText } from '@/words/cameraTalk';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';
import { whyText } from '@/words/whyText';

/** How often its screen is drawn anew while time passes, milliseconds. */
const TICK_MS = 100;
/** The light goes from its darkest to its brightest and back in this time, seconds. */
const LIGHT_CYCLE_SECONDS = 240;

/** The stand-in with time passing: it ticks while the page is open, and hands its clips to the log. */
export function useCameraSimulator({
  camera,
  gear,
  world,
  speed,
  log,
  shownCode,
}: {
  camera: CameraProfile;
  gear: { capacityGb: number; ampereHours: number; volts: number };
  world: Omit<SimulatedWorld, 'ev'> & { evMin: number; evMax: number };
  speed: number;
  log: { shotId: string; part: number; settings: Settings | null } | null;
  /** A code it has before it from the first; `null`: none. */
  shownCode: string | null;
}): {
  state: CameraSimulator;
  said: Said | null;
  read: (text: string) => void;
  press: () => void;
  fresh: () => void;
} {
  const repository = useRepository();
  const { complain } = useToast();
  const [first] = useState(() => {
    const made = newCameraSimulator(camera, gear, world.airC);
    return shownCode === null ? { state: made, said: null } : codeRead(made, shownCode, camera.name);
  });
  const [state, setState] = useState(first.state);
  const [said, setSaid] = useState<Said | null>(first.said);
  const now = useRef({ world, speed, seconds: 0 });
  useEffect(() => {
    now.current = { ...now.current, world, speed };
  });
  useEffect(() => {
    const timer = setInterval(() => {
      const { world: there, speed: times } = now.current;
      const seconds = (TICK_MS / 1000) * times;
      now.current.seconds += seconds;
      const share = 0.5 - 0.5 * Math.cos((2 * Math.PI * now.current.seconds) / LIGHT_CYCLE_SECONDS);
      const ev = there.evMin + share * (there.evMax - there.evMin);
      setState((was) => passed(was, seconds, { ...there, ev }));
    }, TICK_MS);
    return () => clearInterval(timer);
  }, []);

  const written = useRef(0);
  const { clips, setup } = state;
  useEffect(() => {
    if (clips.length < written.current) written.current = 0;
    const fresh = clips.slice(written.current);
    written.current = clips.length;
    if (!log || !setup) return;
    const { filter = { ids: [], stops: 0 } } = log.settings ?? {};
    const settings: Settings = {
      ...setup.settings,
      filter,
      shutterAngleDeg: Math.min(
        360,
        shutterAngleDeg(setup.settings.frameRate, setup.settings.shutterSeconds),
      ),
    };
    for (const clip of fresh)
      repository
        ?.record(log.shotId, settings, log.part, {
          clip: {
            file: clip.file,
            cameraId: camera.id,
            seconds: clip.seconds,
            gigabytes: clip.gigabytes,
            chapters: clip.chapters,
          },
          cutReason: clip.end === 'stopped' ? null : clip.end,
        })
        .catch((error: unknown) => complain(whyText(error)));
  }, [clips, setup, log, repository, camera.id, complain]);

  return {
    state,
    said,
    read: (text) => {
      const after = codeRead(state, text, camera.name);
      setState(after.state);
      setSaid(after.said);
    },
    press: () => setState((was) => (was.running ? simulationStopped(was) : started(was))),
    fresh: () =>
      setState((was) => ({
        ...newCameraSimulator(camera, gear, was.celsius),
        setup: was.setup,
        mode: was.mode,
        clockMs: was.clockMs,
      })),
  };
}

interface Said {
  ok: boolean;
  text: string;
}

/** The camera after it has read a code, and what it says to that; as it was where it cannot be set so. */
function codeRead(
  state: CameraSimulator,
  text: string,
  name: string,
): { state: CameraSimulator; said: Said } {
  const read = readSetup(text);
  if (!read.ok) return { state, said: { ok: false, text: setupFaultText(read.fault) } };
  const taken = takeSetup(state, read.setup);
  if (!taken.ok) return { state, said: { ok: false, text: setFaultText(taken.fault, name) } };
  const { name: setup, startAfterSeconds } = read.setup;
  return {
    state: taken.camera,
    said: {
      ok: true,
      text: messages.setTo({
        name: setup,
        startAfterSeconds:
          startAfterSeconds === null ? '' : messages.startsByItselfInS({ startAfterSeconds }),
      }),
    },
  };
}

import { omit } from '../units/omit';
import type { Pins } from './settings';
import type { Shot } from './shot';

/**
 * What a shot is kept as: plain video, pictures at an interval, or a loop. The pinned recording says which; a shot of an
 * older file that only tells a time-lapse is one.
 */
type Filmed = Pick<Shot, 'timeLapse' | 'pins'>;

export function isTimeLapse({ timeLapse, pins }: Filmed): boolean {
  const { recording } = pins ?? {};
  return recording === undefined
    ? timeLapse !== undefined
    : recording === 'timeLapse' || recording === 'movingTimeLapse';
}

export function isPlainVideo(filmed: Filmed): boolean {
  const { recording } = filmed.pins ?? {};
  return (recording ?? 'video') === 'video' && !isTimeLapse(filmed);
}

export function keptAsTimeLapse<S extends Shot>(shot: S, told: NonNullable<Shot['timeLapse']>): S {
  return {
    ...recording(shot, told.moving === true ? 'movingTimeLapse' : 'timeLapse'),
    timeLapse: { ...shot.timeLapse, ...told },
  };
}

export function keptAsLoop<S extends Shot>(shot: S, told: NonNullable<Shot['loop']>): S {
  return { ...recording(omit(shot, 'timeLapse') as S, 'loop'), loop: { ...shot.loop, ...told } };
}

/** Plain video again; whatever else was pinned stays. */
export function filmedPlainly(shot: Shot): Shot {
  const bare = omit(omit(shot, 'timeLapse'), 'loop');
  const pins = omit(shot.pins ?? {}, 'recording');
  return Object.keys(pins).length === 0 ? omit(bare, 'pins') : { ...bare, pins };
}

function recording<S extends Shot>(shot: S, as: Pins['recording']): S {
  return { ...shot, pins: { ...shot.pins, recording: as } };
}

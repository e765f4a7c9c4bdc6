import type { SunLight } from '../lightSchema';

/**
 * The clock a light is read by: its own zone, else the one of the offset that its start was told with, as far as that is whole
 * hours; `undefined`: plain UTC. The fixed zones of the time zone database are named the other way round.
 */
export function clockOf({ zone, from }: Pick<SunLight, 'zone' | 'from'>): string | undefined {
  const [, sign, hours] = /([+-])(\d\d):00$/.exec(from) ?? [];
  if (zone !== undefined || hours === undefined || Number(hours) > 12) return zone;
  return Number(hours) === 0 ? 'UTC' : `Etc/GMT${sign === '+' ? '-' : '+'}${Number(hours)}`;
}

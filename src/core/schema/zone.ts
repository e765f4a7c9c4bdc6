import * as z from 'zod';
import { wants } from './fault';

/** Whether this machine knows a time zone of that name (IANA); offsets such as "+02:00" are no zone of a place. */
export function isZone(zone: string): boolean {
  if (!/^[A-Za-z]/.test(zone)) return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

export const ZoneSchema = z
  .string()
  .min(1)
  .max(60)
  .refine(isZone, { error: wants('zone') });

import { USUAL_AIR } from './dayBounds';
import type { Outing } from './outing';
import { FILE_VERSION } from '../schema/versions';

/** An outing with one empty day. */
export function newOuting(id: string, at: string, zone: string, date: string, name: string): Outing {
  return {
    kind: 'lynxeye/outing',
    version: FILE_VERSION,
    id,
    createdAt: at,
    updatedAt: at,
    demo: false,
    archived: false,
    name,
    note: '',
    zone,
    days: [{ id: `${id}-1`, date, air: USUAL_AIR, entries: [] }],
    gear: [],
    ticked: [],
  };
}

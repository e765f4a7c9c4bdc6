import type { Gear, Outing, OutingEntry } from '@/core/records/outing';
import { FILE_VERSION } from '@/core/schema/versions';

/** The two days in Tarnholt Gorge by the clock: what is filmed when, where hands are free, what each camera is fed from. */
type Line =
  | [at: string, shot: number]
  | [at: string, what: 'break' | 'travel', minutes: number, name: string, outOfReach?: string[]];

const SATURDAY: Line[] = [
  ['08:50', 1],
  ['09:00', 'travel', 60, 'Down to the put-in, kit on'],
  ['10:00', 'break', 8, 'At the put-in'],
  ['10:10', 2],
  ['10:10', 3],
  ['10:37', 'break', 25, 'Eddy below the run'],
  ['11:10', 'travel', 30, 'Paddle to the weir'],
  ['11:50', 4],
  ['12:00', 'break', 30, 'Lunch on the gravel'],
  ['12:40', 5],
  ['13:12', 'break', 12, 'Pool'],
  ['13:30', 6],
  ['13:45', 'travel', 75, 'Out of the gorge'],
  ['15:05', 'break', 25, 'Hut'],
  ['15:40', 7],
  ['16:00', 'break', 150, 'Dry the kit, charge'],
  ['19:10', 8],
];
const SUNDAY: Line[] = [
  ['06:25', 'break', 10, 'Tripod down at the river'],
  ['06:40', 9],
  ['08:15', 'break', 40, 'Breakfast'],
  ['09:00', 'travel', 25, 'To the foot of the rungs'],
  ['09:30', 10],
  ['11:03', 'break', 12, 'Ledge before the bridge'],
  ['11:20', 11],
  ['11:30', 'travel', 35, 'To the summit'],
  ['12:08', 'break', 6, 'Summit'],
  ['12:15', 12],
  ['12:25', 'break', 40, 'Rest at the summit'],
  ['13:10', 'travel', 40, 'Down to the tunnel'],
  ['14:00', 13],
];

const card = (capacityGb: number, writeMBps: number): Gear['cards'][number] => ({
  name: `Card ${capacityGb} GB`,
  capacityGb,
  writeMBps,
});

const GEAR: Gear[] = [
  {
    cameraId: 'otter',
    cards: [card(256, 60)],
    cells: { ampereHours: 1.72, volts: 3.85, count: 3 },
    charging: 'none',
  },
  {
    cameraId: 'shrew',
    cards: [card(64, 30)],
    cells: { ampereHours: 1.05, volts: 3.85, count: 1 },
    bank: { ampereHours: 5 },
    charging: 'recording',
  },
  {
    cameraId: 'rook',
    cards: [card(128, 30)],
    cells: { ampereHours: 1.6, volts: 3.85, count: 1 },
    charging: 'none',
  },
];

export function demoOuting(at: string): Outing {
  return {
    kind: 'lynxeye/outing',
    version: FILE_VERSION,
    id: 'demo-outing',
    createdAt: at,
    updatedAt: at,
    demo: true,
    archived: false,
    name: 'Two days in Tarnholt Gorge',
    note: 'Kayak on Saturday, the iron rungs on Sunday.',
    zone: 'Europe/Rome',
    place: { lat: 46.62, lon: 12.3, name: 'Tarnholt Gorge', country: 'IT' },
    mainsHz: 50,
    days: [
      {
        id: 'saturday',
        date: '2026-10-03',
        air: { lowC: 0, highC: 14 },
        entries: entriesOf('sat', SATURDAY),
      },
      { id: 'sunday', date: '2026-10-04', air: { lowC: 3, highC: 11 }, entries: entriesOf('sun', SUNDAY) },
    ],
    gear: GEAR,
    ticked: [],
  };
}

function entriesOf(day: string, lines: readonly Line[]): OutingEntry[] {
  return lines.map((line, index): OutingEntry => {
    const id = `${day}-${String(index + 1).padStart(2, '0')}`;
    const [clock, what] = line;
    if (what === 'break')
      return { what, id, at: clock, minutes: line[2], name: line[3], outOfReach: line[4] ?? [] };
    if (what === 'travel') return { what, id, at: clock, minutes: line[2], name: line[3] };
    return {
      what: 'shot',
      id,
      shotId: `demo-${String(what).padStart(2, '0')}`,
      at: clock,
      pauses: [],
      note: '',
    };
  });
}

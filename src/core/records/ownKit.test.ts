import { describe, expect, it } from 'vitest';
import { outingOf } from '../../../bench/madeDay';
import { emptyShot } from './emptyShot';
import { cameraFrom, newThing } from './kitItem';
import type { KitItem, Thing } from './kitItem';
import { fedFromOwn, ownKitOf, startedWith } from './ownKit';
import { OutingSchema } from './outing';
import { ShotSchema } from './shot';

const AT = '2026-07-01T06:00:00Z';
const kept = (thing: Thing, more: Partial<KitItem> = {}): KitItem => ({
  kind: 'lynxeye/kit-item',
  version: 3,
  id: 'x',
  createdAt: AT,
  updatedAt: AT,
  demo: false,
  archived: false,
  note: '',
  thing,
  ...more,
});
const mine = cameraFrom('mini', 'mine', 'Mine');
const other = cameraFrom('main', 'other', 'Other');
const filter = newThing('filter', 'nd16', 'ND16');
const card = newThing('card', 'c', 'Card');
const cell = newThing('cell', 'e', 'Cell');

describe('a person’s own kit', () => {
  it('is that of their first camera; what is the demo’s or put away is not', () => {
    const own = ownKitOf([
      kept(other, { demo: true }),
      kept(other, { archived: true }),
      kept(mine),
      kept(other),
      kept(filter, { demo: true }),
    ]);
    expect(own).toMatchObject({ camera: { id: 'mine' }, filters: [], cards: [], cells: null, bank: null });
    expect(ownKitOf([kept(mine, { demo: true }), kept(filter)])).toBeNull();
  });

  it('is what a new shot starts with, but for what the shot says itself', () => {
    const own = ownKitOf([mine, filter, card].map((thing) => kept(thing)));
    const shot = startedWith(emptyShot('x'), own);
    expect(ShotSchema.parse(shot)).toMatchObject({
      camera: { profile: { id: 'mine' } },
      filters: [{ id: 'nd16' }],
      limits: { cardGb: 128 },
    });
    const told = startedWith({ ...emptyShot('x'), filters: [], limits: { cardGb: 32 } }, own);
    expect(told).toMatchObject({ filters: [], limits: { cardGb: 32 } });
    const elsewhere = { ...emptyShot('x'), camera: { archetype: 'phone' as const } };
    expect(startedWith(elsewhere, own)).toBe(elsewhere);
    expect(startedWith(emptyShot('x'), null)).toEqual(emptyShot('x'));
    // Without a filter in the kit the bag is not told yet, which is not an empty bag.
    expect(startedWith(emptyShot('x'), ownKitOf([kept(mine)]))).not.toHaveProperty('filters');
  });

  it('feeds its camera in an outing that does not say what from', () => {
    const own = ownKitOf([mine, card, cell].map((thing) => kept(thing)));
    const fed = fedFromOwn(outingOf([]), 'mine', own);
    expect(OutingSchema.parse(fed).gear).toMatchObject([
      { cameraId: 'mine', cards: [{ capacityGb: 128 }], cells: { count: 2 }, charging: 'none' },
    ]);
    expect(fedFromOwn(fed, 'mine', own)).toBe(fed);
    const plain = outingOf([]);
    expect(fedFromOwn(plain, 'other', own)).toBe(plain);
    expect(fedFromOwn(plain, 'mine', ownKitOf([kept(mine)]))).toBe(plain);
  });
});

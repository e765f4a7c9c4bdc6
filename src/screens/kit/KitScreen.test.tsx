import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { KitItem } from '@/core/records/kitItem';
import { THING_KINDS } from '@/core/records/kitItem';
import { THING_LABEL } from '@/words/cameraText';
import { makeDemo } from '../../../demo/makeDemo';
import { visit, visited } from '../testing/address';
import { enter } from '../testing/enter';
import type { Region } from '../testing/region';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { KitScreen } from './KitScreen';
import { WordedError } from '@/words/whyText';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const item = async (id: string): Promise<KitItem> => (await stage.database.kit.get(id))!;
const thing = async (id: string): Promise<Record<string, unknown>> => ({ ...(await item(id)).thing });
const open = async (id: string): Promise<Region> => {
  visit(`/kit?item=${id}`);
  stage.show(<KitScreen />);
  return within(await screen.findByRole('article'));
};
const opened = (): string => new URL(visited(), 'http://x').searchParams.get('item') ?? '';

/** The list, with a thing of few figures open. */
const openList = async (): Promise<Region> => {
  visit('/kit?item=demo-kit-bank');
  stage.show(<KitScreen />);
  return within(await screen.findByRole('navigation'));
};

describe('the kit', () => {
  it('lists everything by kind, and opens what is chosen', async () => {
    const list = await openList();
    for (const what of THING_KINDS) {
      const region = within(list.getByRole('region', { name: THING_LABEL[what].many }));
      const names = makeDemo().kit.filter((one) => one.thing.what === what);
      expect(region.getAllByRole('listitem'), what).toHaveLength(names.length);
    }
    await stage.user.click(list.getByRole('button', { name: 'Card 64 GB' }));
    expect(visited()).toBe('/kit?item=demo-kit-card-64');
    expect(screen.getByRole('article', { name: 'Card 64 GB' })).toBeDefined();
    expect(list.getByRole('button', { name: 'Card 64 GB' }).getAttribute('aria-current')).toBe('true');
  });

  it.each(THING_KINDS.filter((what) => what !== 'camera'))(
    'adds a %s, opens it, and undo takes it',
    async (what) => {
      const list = await openList();
      const before = await stage.database.kit.count();
      await stage.user.click(list.getByRole('button', { name: `Add a ${THING_LABEL[what].one}` }));
      await waitFor(() => expect(opened()).not.toBe('demo-kit-bank'));
      expect((await item(opened())).thing.what).toBe(what);
      await stage.repository.history.undo();
      expect(await stage.database.kit.count()).toBe(before);
    },
  );

  it('adds a camera like one of those that ship, under its own id', async () => {
    const list = await openList();
    await stage.user.click(list.getByRole('button', { name: 'Add a camera' }));
    const [first] = await screen.findAllByRole('menuitem', { name: /^like a/ });
    await stage.user.click(first!);
    await waitFor(() => expect(opened()).not.toBe('demo-kit-bank'));
    expect(makeDemo().kit.map((one) => one.id)).not.toContain(opened());
    const { profile } = await thing(opened());
    expect(profile).toMatchObject({ id: opened(), name: expect.stringMatching(/^My /) as string });
  });

  it('makes a camera from five questions, once they and its name are answered', async () => {
    visit('/kit?item=five');
    stage.show(<KitScreen />);
    const make = await screen.findByRole<HTMLButtonElement>('button', { name: 'Make the camera' });
    expect(make.disabled).toBe(true);
    expect(screen.getByRole('status').textContent).toMatch(/a name/);
    await stage.user.type(screen.getByRole('textbox', { name: 'Name' }), 'Wren');
    await stage.user.click(screen.getByRole('checkbox', { name: 'wide' }));
    expect(screen.getByRole('status').textContent).toMatch(/a view/);
    await stage.user.click(screen.getByRole('checkbox', { name: 'narrow' }));
    enter(screen.getByRole('spinbutton', { name: 'Across, narrow' }), '55');
    await stage.user.click(make);
    await waitFor(() => expect(opened()).not.toBe('five'));
    const { profile } = await thing(opened());
    expect(profile).toMatchObject({
      id: opened(),
      name: 'Wren',
      resolutions: [{ id: '4K' }, { id: '1080p' }],
      views: [{ id: 'narrow', horizontalDeg: 55 }],
    });
  });

  it('copies a thing as another one and leaves the first alone', async () => {
    const detail = await open('demo-kit-card-64');
    await stage.user.click(detail.getByRole('button', { name: 'Copy' }));
    await waitFor(() => expect(opened()).not.toBe('demo-kit-card-64'));
    const copy = await thing(opened());
    expect(copy.capacityGb).toBe(64);
    expect(copy.name).not.toBe('Card 64 GB');
    expect((await thing('demo-kit-card-64')).name).toBe('Card 64 GB');
  });

  it('puts a thing away, shows it on demand, and takes it out again', async () => {
    const detail = await open('demo-kit-bank');
    await stage.user.click(detail.getByRole('button', { name: 'Put away' }));
    await waitFor(async () => expect((await item('demo-kit-bank')).archived).toBe(true));
    visit('/kit?item=demo-kit-cells');
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Bank 5 Ah/ })).toBeNull());
    await stage.user.click(screen.getByRole('checkbox', { name: 'Show what is put away' }));
    await stage.user.click(await screen.findByRole('button', { name: /^Bank 5 Ah/ }));
    await stage.user.click(await screen.findByRole('button', { name: 'Take out again' }));
    await waitFor(async () => expect((await item('demo-kit-bank')).archived).toBe(false));
  });

  it('removes a thing, goes back to the list, and undo brings it back as it was', async () => {
    await stage.close();
    const demo = makeDemo();
    stage = await openStage({ ...demo, kit: demo.kit.filter((one) => one.thing.what !== 'camera') });
    const before = await item('demo-kit-bank');
    const detail = await open('demo-kit-bank');
    await stage.user.click(detail.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(visited()).toBe('/kit'));
    expect(await stage.database.kit.get('demo-kit-bank')).toBeUndefined();
    await stage.repository.history.undo();
    expect(await item('demo-kit-bank')).toEqual({ ...before, edits: { this: 2 } });
  });

  it('says so of an address whose thing is gone, and opens no other in its place', async () => {
    visit('/kit?item=nobody');
    stage.show(<KitScreen />);
    expect(await screen.findByText(/no longer in the kit/)).toBeDefined();
    expect(screen.queryByRole('article')).toBeNull();
  });

  it('says what an empty kit is for', async () => {
    await stage.close();
    stage = await openStage({ ...makeDemo(), kit: [] });
    stage.show(<KitScreen />);
    expect(await screen.findByText('Nothing in the kit yet')).toBeDefined();
  });
});

describe('the figures of a thing', () => {
  it('are kept as they are left, counts as whole numbers', async () => {
    const detail = await open('demo-kit-cells');
    enter(detail.getByRole('spinbutton', { name: 'Charge' }), '2.1');
    await waitFor(async () => expect((await thing('demo-kit-cells')).ampereHours).toBe(2.1));
    enter(detail.getByRole('spinbutton', { name: 'How many' }), '4.4');
    await waitFor(async () => expect((await thing('demo-kit-cells')).count).toBe(4));
    expect((await thing('demo-kit-cells')).volts).toBe(3.85);
  });

  it('keep to their bounds', async () => {
    const detail = await open('demo-kit-card-64');
    enter(detail.getByRole('spinbutton', { name: 'Capacity' }), '99999');
    await waitFor(async () => expect((await thing('demo-kit-card-64')).capacityGb).toBe(16_384));
  });

  it('of a mount start with what is usual, and forget its place when the kind is another', async () => {
    const detail = await open('demo-kit-long-pole');
    const shake = detail.getByRole('spinbutton', { name: 'Shake measured' });
    expect(shake.getAttribute('placeholder')).toMatch(/^usual \d/);
    enter(shake, '7.5');
    await waitFor(async () => expect((await thing('demo-kit-long-pole')).shakeDegPerSRms).toBe(7.5));
    enter(shake, '');
    await waitFor(async () =>
      expect(await thing('demo-kit-long-pole')).not.toHaveProperty('shakeDegPerSRms'),
    );
    await stage.user.click(detail.getByRole('combobox', { name: 'Kind' }));
    await stage.user.click(await screen.findByTitle('chest'));
    await waitFor(async () =>
      expect(await thing('demo-kit-long-pole')).toEqual({
        what: 'mount',
        name: 'Long pole',
        kind: 'chest',
      }),
    );
  });

  it('of a filter say what follows, and a note stays with the thing', async () => {
    const detail = await open('demo-kit-filter-nd8');
    enter(detail.getByRole('textbox', { name: 'Note' }), 'Scratched at the rim');
    await waitFor(async () => expect((await item('demo-kit-filter-nd8')).note).toBe('Scratched at the rim'));
    enter(detail.getByRole('spinbutton', { name: 'By its label' }), '3.3');
    await waitFor(async () =>
      expect((await thing('demo-kit-filter-nd8')).filter).toMatchObject({ stops: 3.3 }),
    );
  });

  it('of a filter made variable become a range, and of a variable one keep their order', async () => {
    const detail = await open('demo-kit-filter-nd4');
    await stage.user.click(detail.getByRole('combobox', { name: 'Kind' }));
    await stage.user.click(await screen.findByTitle(/^variable/));
    const variable = async (): Promise<unknown> => (await thing('demo-kit-filter-nd4')).filter;
    await waitFor(async () =>
      expect(await variable()).toEqual({ id: 'nd4', kind: 'variable', stopsMin: 2, stopsMax: 5 }),
    );
    enter(await screen.findByRole('spinbutton', { name: 'Lightest usable' }), '9');
    await waitFor(async () => expect(await variable()).toMatchObject({ stopsMin: 5, stopsMax: 5 }));
  });

  it('written by another window meanwhile stay', async () => {
    const detail = await open('demo-kit-cells');
    await stage.repository.changeKit('demo-kit-cells', 'elsewhere', (one) =>
      one.thing.what === 'cell' ? { ...one, thing: { ...one.thing, volts: 3.7 } } : one,
    );
    enter(detail.getByRole('spinbutton', { name: 'Charge' }), '1.9');
    await waitFor(async () =>
      expect(await thing('demo-kit-cells')).toMatchObject({ ampereHours: 1.9, volts: 3.7 }),
    );
  });

  it('that could not be written stay in the field with the reason', async () => {
    const detail = await open('demo-kit-cells');
    stage.repository.changeKit = () => Promise.reject(new WordedError('the storage is full'));
    const field = detail.getByRole('spinbutton', { name: 'Charge' });
    enter(field, '3');
    expect((await detail.findByRole('alert')).textContent).toContain('the storage is full');
    expect(field).toHaveProperty('value', '3.0');
  });
});

describe('measuring a filter', () => {
  const measure = async (): Promise<Region> => {
    const detail = await open('demo-kit-filter-nd16');
    await stage.user.click(detail.getByText('Measure it with two readings'));
    return detail;
  };

  it('takes the stops between two readings of a wall', async () => {
    const detail = await measure();
    enter(detail.getByRole('spinbutton', { name: 'Shutter without, 1 over' }), '1600');
    enter(detail.getByRole('spinbutton', { name: 'Shutter with, 1 over' }), '80');
    const keep = detail.getByRole('button', { name: /as measured/ });
    expect(keep.textContent).toBe('Keep 4.32 stops as measured');
    await stage.user.click(keep);
    await waitFor(async () =>
      expect((await thing('demo-kit-filter-nd16')).filter).toMatchObject({
        stops: 4,
        measuredStops: 4.32,
      }),
    );
  });

  it('counts ISO and f-number too', async () => {
    const detail = await measure();
    enter(detail.getByRole('spinbutton', { name: 'ISO with' }), '200');
    expect(detail.getByRole('button', { name: /as measured/ }).textContent).toContain('5 stops');
    enter(detail.getByRole('spinbutton', { name: 'f-number with' }), '5.6');
    expect(detail.getByRole('button', { name: /as measured/ }).textContent).toContain('3 stops');
  });

  it('does not take readings that are exchanged, and doubts what is far off', async () => {
    const detail = await measure();
    enter(detail.getByRole('spinbutton', { name: 'Shutter with, 1 over' }), '3200');
    expect(detail.getByRole('button', { name: /as measured/ })).toHaveProperty('disabled', true);
    expect(detail.getByText(/the two readings are exchanged/)).toBeDefined();
    enter(detail.getByRole('spinbutton', { name: 'Shutter with, 1 over' }), '5');
    expect(detail.getByText(/a reading is likelier wrong/)).toBeDefined();
  });
});

import { act, screen, waitFor, within } from '@testing-library/react';
import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Gear, Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { dayText } from '@/words/lightText';
import { makeDemo } from '../../../demo/makeDemo';
import { useShots } from '../data/repository';
import { useWorkedDay } from '../data/workedDay';
import { visit, visited } from '../testing/address';
import { asked } from '../testing/dayWorker';
import type { OpenOuting } from './openOuting';
import { enter } from '../testing/enter';
import type { Region } from '../testing/region';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { AddEntry } from './AddEntry';
import { BudgetTab } from './BudgetTab';
import { DayHead } from './DayHead';
import { Entries } from './Entries';
import { FiltersTab } from './FiltersTab';
import { JointTab } from './JointTab';
import { PackingTab } from './PackingTab';
import { useDayEditing } from './useDayEditing';

const demo = makeDemo();
const saturday = demo.outings[0]!.days[0]!;
const shotEntry = (id: string): OutingEntry =>
  saturday.entries.find((entry) => entry.what === 'shot' && entry.shotId === id)!;

/** Two shots of the demo with a break between them, and an empty second day. */
function smallOuting(more: Partial<OutingDay> = {}): Outing {
  return {
    ...demo.outings[0]!,
    gear: [],
    ticked: [],
    days: [
      {
        ...saturday,
        entries: [
          { ...shotEntry('demo-01'), at: '09:00' },
          { what: 'break', id: 'rest', name: 'Rest', at: '09:30', minutes: 30, outOfReach: [] },
          { ...shotEntry('demo-02'), at: '10:10' },
        ],
        ...more,
      },
      { id: 'second', date: '2026-10-04', air: saturday.air, entries: [] },
    ],
  };
}

/** A day of the small outing, followed as the place follows it. */
function Day({ children }: { children: (open: OpenOuting) => ReactNode }): ReactNode {
  const outing = useLiveQuery(() => stage.database.outings.toCollection().first(), []);
  const shots = useShots();
  return outing && shots ? (
    <DayOf outing={outing} shots={shots}>
      {children}
    </DayOf>
  ) : null;
}

function DayOf({
  outing,
  shots,
  children,
}: {
  outing: Outing;
  shots: readonly ShotRecord[];
  children: (open: OpenOuting) => ReactNode;
}): ReactNode {
  const day = outing.days[0]!;
  const worked = useWorkedDay({ outing, day, shots });
  const editing = useDayEditing(outing, day, worked);
  return children({ outing, day, worked, editing });
}

let stage: Stage;
const begin = async (outing: Outing = smallOuting()): Promise<void> => {
  stage = await openStage({ ...demo, outings: [outing] });
};
beforeEach(() => begin());
afterEach(() => stage.close());

const kept = async (): Promise<Outing> => (await stage.database.outings.toCollection().first())!;
const entryOf = async (id: string): Promise<OutingEntry | undefined> =>
  (await kept()).days[0]!.entries.find((entry) => entry.id === id);

describe('the entries of a day', () => {
  let chosen: string | null = null;
  const showEntries = (entryId: string | null = null): Region => {
    chosen = entryId;
    const render = (): void =>
      stage.show(
        <Day>
          {(open) => (
            <Entries
              {...open}
              chosen={chosen}
              onChoose={(id) => {
                chosen = id;
                render();
              }}
            />
          )}
        </Day>,
      );
    render();
    return within(document.body);
  };

  it('stand in order with what each camera is set to, once it is worked out', async () => {
    const page = showEntries();
    const rows = await page.findAllByRole('listitem');
    expect(rows.map((row) => within(row).getAllByText(/^\d\d:\d\d$/)[0]!.textContent)).toEqual([
      '09:00',
      '09:30',
      '10:10',
    ]);
    await waitFor(() => expect(rows[0]!.textContent).toMatch(/Otter .*fps/));
    expect(rows[1]!.textContent).toContain('Rest');
  });

  it('open beside the list and close again', async () => {
    const page = showEntries();
    await stage.user.click(await page.findByRole('button', { name: /^Rest/ }));
    expect(chosen).toBe('rest');
    expect(page.getByRole('heading', { name: 'Rest' })).toBeDefined();
    await stage.user.click(page.getByRole('button', { name: /^Rest/ }));
    expect(chosen).toBeNull();
    expect(page.getByText(/Choose an entry/)).toBeDefined();
  });

  it('of a break change their length, name and reach, each in its own step', async () => {
    const page = showEntries('rest');
    enter(await page.findByRole('spinbutton', { name: 'Lasts' }), '45');
    await waitFor(async () => expect(await entryOf('rest')).toMatchObject({ minutes: 45 }));
    enter(page.getByRole('textbox', { name: 'Called' }), 'Long rest');
    await waitFor(async () => expect(await entryOf('rest')).toMatchObject({ name: 'Long rest' }));
    await stage.user.click(page.getByRole('combobox', { name: 'Cameras out of reach' }));
    await stage.user.click((await screen.findAllByTitle('Otter')).at(-1)!);
    await waitFor(async () => expect(await entryOf('rest')).toMatchObject({ outOfReach: ['otter'] }));
    await stage.repository.history.undo();
    expect(await entryOf('rest')).toMatchObject({ name: 'Long rest', minutes: 45, outOfReach: [] });
  });

  it('of a shot have the light read before them, and no longer once the field is emptied', async () => {
    const { id } = shotEntry('demo-02');
    const page = showEntries(id);
    const field = await page.findByLabelText('Light read before it');
    const reading = async (): Promise<unknown> => {
      const entry = (await kept()).days[0]!.entries.find((one) => one.id === id);
      return entry?.what === 'shot' ? entry.reading : null;
    };
    enter(field, '20');
    await waitFor(async () => expect(await reading()).toEqual({ minutesBefore: 20 }));
    // What is kept may not be shown yet, and a field that is empty as it stands has nothing to empty.
    await waitFor(async () => {
      enter(field, '');
      expect(await reading()).toBeUndefined();
    });
  });

  it('start at another time, and go to another day with their light', async () => {
    const id = shotEntry('demo-02').id;
    const page = showEntries(id);
    enter(await page.findByLabelText('Starts'), '11:25');
    await waitFor(async () => expect((await entryOf(id))!.at).toBe('11:25'));
    const light = async (): Promise<string> => {
      const { shot } = (await stage.database.shots.get('demo-02'))!;
      return shot.light?.kind === 'sun' ? shot.light.from : '';
    };
    expect(await light()).toContain('T11:25');
    await stage.user.click(page.getByRole('combobox', { name: 'On' }));
    await stage.user.click(await screen.findByTitle(dayText('2026-10-04')));
    await waitFor(async () => expect(await entryOf(id)).toBeUndefined());
    expect((await kept()).days[1]!.entries.map((entry) => entry.id)).toEqual([id]);
    expect(await light()).toMatch(/^2026-10-04T11:25/);
    expect(chosen).toBeNull();
  });

  it('are taken off the day, and the shot stays', async () => {
    const id = shotEntry('demo-01').id;
    const page = showEntries(id);
    await stage.user.click(await page.findByRole('button', { name: 'Take off this day' }));
    await waitFor(async () => expect(await entryOf(id)).toBeUndefined());
    expect(await stage.database.shots.get('demo-01')).toBeDefined();
    expect(chosen).toBeNull();
  });

  it('with stops lose the one that is taken away', async () => {
    await stage.close();
    const outing = smallOuting();
    const [first] = outing.days[0]!.entries;
    const pauses = [
      { afterMinutes: 1, minutes: 5 },
      { afterMinutes: 2, minutes: 6 },
    ];
    await begin({
      ...outing,
      days: [{ ...outing.days[0]!, entries: [{ ...first, pauses } as OutingEntry] }],
    });
    const page = showEntries(first!.id);
    await stage.user.click((await page.findAllByRole('button', { name: /Take away/i }))[0]!);
    await waitFor(async () => expect(await entryOf(first!.id)).toMatchObject({ pauses: pauses.slice(1) }));
    // One day alone: nothing to move it to.
    expect(page.queryByRole('combobox', { name: 'On' })).toBeNull();
  });

  it('whose shot is gone say so', async () => {
    await stage.repository.database.shots.delete('demo-01');
    const page = showEntries();
    expect(await page.findByText(/no longer kept/)).toBeDefined();
  });

  it('of a long day are found by their name', async () => {
    await stage.close();
    await begin({ ...smallOuting(), days: [saturday] });
    const page = showEntries();
    const find = await page.findByRole('textbox', { name: /Find/ });
    enter(find, 'lunch');
    await waitFor(() => expect(page.getAllByRole('listitem')).toHaveLength(1));
    enter(find, 'nothing like it');
    expect(page.getByText(/Nothing of that name/)).toBeDefined();
  });
});

describe('adding to a day', () => {
  const showAdding = (): { added: string[]; page: Region } => {
    const added: string[] = [];
    stage.show(<Day>{(open) => <AddEntry {...open} onAdded={(id) => added.push(id)} />}</Day>);
    return { added, page: within(document.body) };
  };

  it('puts a break and a way after what is there, one after the other', async () => {
    const { added, page } = showAdding();
    await stage.user.click(await page.findByRole('button', { name: 'Add a break' }));
    await waitFor(() => expect(added).toHaveLength(1));
    const first = (await entryOf(added[0]!))!;
    await stage.user.click(page.getByRole('button', { name: 'Add a way' }));
    await waitFor(() => expect(added).toHaveLength(2));
    const second = (await entryOf(added[1]!))!;
    expect([first.what, second.what]).toEqual(['break', 'travel']);
    expect(first.at > '10:10').toBe(true);
    expect(second.at > first.at).toBe(true);
    const starts = (await kept()).days[0]!.entries.map(({ at }) => at);
    expect(starts).toEqual([...starts].sort());
  });

  it('offers the shots that are not on the day, and brings their sun to its hour', async () => {
    const { added, page } = showAdding();
    await stage.user.click(await page.findByRole('combobox', { name: /Add a kept shot/ }));
    expect(screen.queryByTitle('Put-in talk')).toBeNull();
    await stage.user.type(page.getByRole('combobox', { name: /Add a kept shot/ }), 'Sun gate');
    await stage.user.click(await screen.findByTitle('Sun gate'));
    await waitFor(() => expect(added).toHaveLength(1));
    const entry = (await entryOf(added[0]!))!;
    const { shot } = (await stage.database.shots.get('demo-05'))!;
    expect(entry).toMatchObject({ what: 'shot', shotId: 'demo-05' });
    expect(shot.light?.kind === 'sun' && shot.light.from.slice(0, 16)).toBe(`2026-10-03T${entry.at}`);
    await stage.repository.history.undo();
    expect(await entryOf(added[0]!)).toBeUndefined();
    expect((await stage.database.shots.get('demo-05'))!.shot).toEqual(
      demo.shots.find(({ id }) => id === 'demo-05')!.shot,
    );
  });
});

describe('the head of a day', () => {
  const showHead = (): Region => {
    stage.show(<Day>{(open) => <DayHead {...open} outings={[open.outing]} />}</Day>);
    return within(document.body);
  };
  const pick = async (page: Region, name: string): Promise<void> => {
    await stage.user.click(await page.findByRole('button', { name: 'More for this outing' }));
    await stage.user.click(await screen.findByRole('menuitem', { name }));
  };

  it('renames the outing, and not to nothing', async () => {
    const page = showHead();
    const name = await page.findByRole('textbox', { name: 'Name of the outing' });
    enter(name, '   ');
    expect((await kept()).name).toBe(demo.outings[0]!.name);
    enter(name, ' Autumn water ');
    await waitFor(async () => expect((await kept()).name).toBe('Autumn water'));
  });

  it('keeps the low of the air under the high, whichever is typed', async () => {
    const page = showHead();
    enter(await page.findByRole('spinbutton', { name: 'Air at dawn' }), '25');
    await waitFor(async () => expect((await kept()).days[0]!.air).toEqual({ lowC: 25, highC: 25 }));
    enter(page.getByRole('spinbutton', { name: 'at its warmest' }), '12');
    await waitFor(async () => expect((await kept()).days[0]!.air).toEqual({ lowC: 12, highC: 12 }));
  });

  it('adds a day, duplicates one and removes one, and goes there', async () => {
    const page = showHead();
    await pick(page, 'Add an empty day');
    await waitFor(async () => expect((await kept()).days).toHaveLength(3));
    const third = (await kept()).days[2]!;
    expect(third).toMatchObject({ date: '2026-10-05', entries: [] });
    await waitFor(() => expect(visited()).toContain(third.id));
    await pick(page, 'Duplicate this day');
    await waitFor(async () => expect((await kept()).days).toHaveLength(4));
    const fourth = (await kept()).days[3]!;
    expect(fourth.entries.map(({ at }) => at)).toEqual(['09:00', '09:30', '10:10']);
    expect(fourth.entries.map(({ id }) => id)).not.toContain('rest');
    await pick(page, 'Remove this day');
    await waitFor(async () => expect((await kept()).days).toHaveLength(3));
    expect((await kept()).days[0]!.id).toBe('second');
  });

  it('archives the outing and takes it out again', async () => {
    const page = showHead();
    await pick(page, 'Archive this outing');
    await waitFor(async () => expect((await kept()).archived).toBe(true));
    await pick(page, 'Take out of the archive');
    await waitFor(async () => expect((await kept()).archived).toBe(false));
  });

  it('tells all that the day does not manage, what runs out before what is badly lit, each with its press', async () => {
    // Held by hand the shutter does not take all the light that the first run crosses.
    await stage.database.shots.update('demo-02', { 'shot.pins': { shutterMode: 'fixed' } });
    const page = showHead();
    expect(await page.findByText(/this day does not manage/)).toBeDefined();
    expect(page.queryByText(/every camera lasts/)).toBeNull();
    const small = { cameraId: 'otter', charging: 'none' as const, cards: [] };
    await act(async () =>
      stage.repository.changeOuting(demo.outings[0]!.id, 'starve', (one) => ({
        ...one,
        gear: [{ ...small, cells: { ampereHours: 0.15, volts: 3.85, count: 1 } }],
      })),
    );
    const told = await page.findByText(/out of power/);
    expect(told.textContent).toContain('Otter');
    const worst = told.closest('ul')!.querySelector('li')!;
    expect(worst.contains(told)).toBe(true);
    await stage.user.click(within(worst).getByRole('button', { name: /cell|charge|bank/i }));
    await waitFor(() => expect(page.queryByText(/out of power/)).toBeNull());
    expect((await page.findAllByText(/Upper gorge run/)).length).toBeGreaterThan(0);
  });
});

describe('card, power and heat of a day', () => {
  it('change what a camera is fed from, and forget its charging with the bank', async () => {
    stage.show(<Day>{(open) => <BudgetTab {...open} />}</Day>);
    const page = within(document.body);
    const gear = async (): Promise<Gear | undefined> => (await kept()).gear[0];
    enter(await page.findByRole('spinbutton', { name: 'Cells' }), '3');
    // Before the first is drawn.
    enter(page.getByRole('spinbutton', { name: 'of' }), '0.5');
    await waitFor(async () => expect((await gear())?.cells).toMatchObject({ count: 3, ampereHours: 0.5 }));
    enter(page.getByRole('spinbutton', { name: 'Bank' }), '10');
    await waitFor(async () => expect((await gear())?.bank).toEqual({ ampereHours: 10 }));
    await stage.user.click(page.getByRole('combobox', { name: /^Its camera is/ }));
    await stage.user.click((await screen.findAllByTitle(/breaks/))[0]!);
    await waitFor(async () => expect((await gear())?.charging).toBe('breaks'));
    enter(page.getByRole('spinbutton', { name: 'Bank' }), '');
    await waitFor(async () => expect(await gear()).not.toHaveProperty('bank'));
    expect((await gear())?.charging).toBe('none');
  });

  it('take cards out of the kit with their figures', async () => {
    stage.show(<Day>{(open) => <BudgetTab {...open} />}</Day>);
    await stage.user.click(await screen.findByRole('combobox', { name: /^Cards/ }));
    await stage.user.click((await screen.findAllByTitle('Card 64 GB')).at(-1)!);
    await waitFor(async () =>
      expect((await kept()).gear[0]?.cards).toEqual([{ name: 'Card 64 GB', capacityGb: 64, writeMBps: 30 }]),
    );
  });

  it('list the files a card will hold, which add up', async () => {
    stage.show(<Day>{(open) => <BudgetTab {...open} />}</Day>);
    const table = await screen.findByRole('table');
    const sizes = within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => Number(row.lastElementChild!.textContent));
    expect(sizes.length).toBeGreaterThan(1);
    expect(sizes.every((gb) => gb > 0 && gb <= 4)).toBe(true);
  });
});

describe('filters and set-ups of a day', () => {
  it('say what each change is worth, and who is served by each set-up', async () => {
    await stage.close();
    await begin({ ...demo.outings[0]!, ticked: [] });
    stage.show(<Day>{(open) => <FiltersTab {...open} />}</Day>);
    const otter = within(await screen.findByRole('region', { name: 'Otter' }));
    const table = otter.getByRole('table');
    const losses = within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => Number(row.children[1]!.textContent));
    expect(losses.length).toBeGreaterThan(1);
    expect([...losses].sort((a, b) => b - a)).toEqual(losses);
    const served = otter.getAllByRole('listitem').filter((one) => one.closest('ol'));
    expect(served.length).toBeGreaterThan(1);
    for (const [at, one] of served.entries()) expect(one.textContent).toMatch(new RegExp(`^${at + 1} `));
    expect(otter.getAllByRole('link', { name: 'Code' })[0]!.getAttribute('href')).toContain('codes=otter');
  });
});

describe('solving a day together', () => {
  it('shows what would change and why, and takes only what is left ticked', async () => {
    await stage.close();
    await begin({ ...demo.outings[0]!, ticked: [] });
    stage.show(<Day>{(open) => <JointTab {...open} />}</Day>);
    await stage.user.click(await screen.findByRole('button', { name: 'Solve together' }));
    const boxes = await screen.findAllByRole('checkbox');
    const pinsOf = async (): Promise<string> =>
      JSON.stringify((await stage.database.shots.toArray()).map(({ shot }) => shot.pins ?? null));
    const before = await pinsOf();
    for (const box of boxes) await stage.user.click(box);
    expect(screen.getByRole('button', { name: /^Take/ })).toHaveProperty('disabled', true);
    await stage.user.click(boxes[0]!);
    await stage.user.click(screen.getByRole('button', { name: /^Take/ }));
    await waitFor(async () => expect(await pinsOf()).not.toBe(before));
    expect(screen.getByRole('button', { name: 'Solve together' })).toBeDefined();
    await stage.repository.history.undo();
    expect(await pinsOf()).toBe(before);
  });

  it('is stopped when the place is left', async () => {
    stage.show(<Day>{(open) => <JointTab {...open} />}</Day>);
    await screen.findByRole('button', { name: 'Solve together' });
    const { cancelled } = asked;
    stage.show(null);
    expect(asked.cancelled).toBe(cancelled + 1);
  });
});

describe('packing for an outing', () => {
  it('ticks a line in the bag and a caution read, and counts them', async () => {
    visit('/outing');
    stage.show(<Day>{({ outing, worked }) => <PackingTab outing={outing} shots={worked.shots} />}</Day>);
    await waitFor(() => expect(screen.getAllByRole('checkbox').length).toBeGreaterThan(5));
    const [first] = screen.getAllByRole('checkbox');
    await stage.user.click(first!);
    await waitFor(async () => expect((await kept()).ticked).toHaveLength(1));
    expect(await screen.findByRole('heading', { name: /1 of/ })).toBeDefined();
    await stage.user.click(first!);
    await waitFor(async () => expect((await kept()).ticked).toEqual([]));
    expect(screen.getAllByText(/local rules/i).length).toBeGreaterThan(0);
  });
});

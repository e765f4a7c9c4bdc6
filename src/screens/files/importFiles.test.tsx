import { screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import { FaultsDialog } from '../shell/FaultsDialog';
import { reading } from '../testing/filesWorker';
import { said } from '../testing/said';
import { untilSettled } from '../testing/settled';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { importFiles } from './importFiles';
import { useIncomingState } from './incomingState';
import { WordedError } from '@/words/whyText';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  reading.held = null;
  useIncomingState.setState({ reading: null, notTaken: [], toAsk: [] });
});
afterEach(() => stage.close());

const toast = { say: (text: string) => said.push(text), complain: (text: string) => said.push(`! ${text}`) };
const take = (...files: { name: string; content: File | string }[]): Promise<void> =>
  importFiles(stage.repository, files, 'person', toast);
const file = (name: string, value: unknown): { name: string; content: File } => ({
  name,
  content: new File([typeof value === 'string' ? value : JSON.stringify(value)], name),
});
const names = async (): Promise<string[]> =>
  (await stage.database.shots.toArray()).map(({ shot }) => shot.name ?? '');
const notTaken = () => useIncomingState.getState().notTaken;

describe('files on their way in', () => {
  it('are kept and told, one after the other', async () => {
    await take(file('a.json', emptyShot('Alpha')), {
      name: 'pasted',
      content: JSON.stringify(emptyShot('Beta')),
    });
    expect(await names()).toEqual(expect.arrayContaining(['Alpha', 'Beta']));
    expect(said).toEqual([expect.stringContaining('"Alpha"'), expect.stringContaining('"Beta"')]);
    expect(useIncomingState.getState().reading).toBeNull();
  });

  it('with a fault change nothing and wait to be read of, and the next still comes', async () => {
    const before = await names();
    await take(
      file('bad.json', { ...emptyShot('Bad'), limits: { recordSeconds: -4 } }),
      file('good.json', emptyShot('Good')),
    );
    expect(await names()).toHaveLength(before.length + 1);
    expect(notTaken()).toMatchObject([{ name: 'bad.json', sound: null }]);
    expect(notTaken()[0]!.faults[0]!.path).toBe('limits.recordSeconds');
  });

  it('can be stopped while they are read, and then nothing is taken', async () => {
    let letGo = (): void => undefined;
    reading.held = new Promise((resolve) => (letGo = resolve));
    const before = await stage.database.shots.count();
    const taking = take(file('slow.json', emptyShot('Slow')));
    await waitFor(() => expect(useIncomingState.getState().reading).toMatchObject({ name: 'slow.json' }));
    const { stop } = useIncomingState.getState().reading!;
    letGo();
    await Promise.resolve();
    stop();
    await taking;
    const stopped = said.some((text) => text.startsWith('! ') && text.includes('slow.json'));
    // Stopped in time, or already read: never half.
    expect(await stage.database.shots.count()).toBe(stopped ? before : before + 1);
    expect(useIncomingState.getState().reading).toBeNull();
  });

  it('that cannot be read are told in words, the name with them', async () => {
    reading.held = Promise.reject(new Error('the worker died'));
    await take(file('lost.json', '{}'));
    expect(notTaken()).toMatchObject([{ name: 'lost.json', sound: null, faulty: [] }]);
    reading.held = Promise.reject(new RangeError('Invalid array length'));
    await take(file('huge.json', '{}'));
    expect(notTaken()[1]!.faults[0]!.problem).not.toEqual(notTaken()[0]!.faults[0]!.problem);
  });

  it('that could not be written are told, and the next is tried all the same', async () => {
    const real = stage.repository.addShots.bind(stage.repository);
    stage.repository.addShots = () => {
      stage.repository.addShots = real;
      return Promise.reject(new WordedError('the storage is full'));
    };
    await take(file('one.json', emptyShot('One')), file('two.json', emptyShot('Two')));
    expect(said[0]).toMatch(/^! one\.json: .*the storage is full/);
    expect(await names()).toContain('Two');
    expect(await names()).not.toContain('One');
  });
});

describe('what was not taken', () => {
  it('lists its faults; closed, the next in line shows', async () => {
    await take(
      file('first.json', { ...emptyShot('A'), limits: { recordSeconds: -4 } }),
      file('second.json', 'no json'),
    );
    const Shown = () => {
      const one = useIncomingState((state) => state.notTaken[0]);
      return one ? <FaultsDialog key={one.name} one={one} /> : null;
    };
    stage.show(<Shown />);
    expect(await screen.findByText(/limits\.recordSeconds/)).toBeDefined();
    await stage.user.click(screen.getAllByRole('button', { name: 'Close' }).at(-1)!);
    expect(await screen.findByText(/second\.json/)).toBeDefined();
    await stage.user.click(screen.getAllByRole('button', { name: 'Close' }).at(-1)!);
    await waitFor(() => expect(notTaken()).toEqual([]));
  });

  it('of a file with one faulty record offers the others, and takes them when asked', async () => {
    const backup = await stage.repository.backup();
    const shots = backup.shots.map((record, at) => ({ ...record, id: `in-${at}` }));
    const broken = { ...shots[0], shot: { ...shots[0]!.shot, limits: { recordSeconds: -1 } } };
    const part = { ...backup, outings: [], kit: [], log: [], shots: [broken, ...shots.slice(1, 4)] };
    const before = await stage.database.shots.count();
    await take(file('part.json', part));
    expect(await stage.database.shots.count()).toBe(before);
    const [one] = notTaken();
    expect(one!.sound).toMatchObject({ kind: 'records' });
    expect(one!.faulty).toHaveLength(1);
    stage.show(<FaultsDialog one={one!} />);
    await stage.user.click(await screen.findByRole('button', { name: /without/ }));
    await waitFor(() => expect(notTaken()).toEqual([]));
    const ids = await stage.database.shots.toCollection().primaryKeys();
    expect(ids).toEqual(expect.arrayContaining(['in-1', 'in-2', 'in-3']));
    expect(ids).not.toContain('in-0');
    await untilSettled(() => stage.repository.history.undo());
    await waitFor(async () => expect(await stage.database.shots.count()).toBe(before));
  });
});

import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import { isForReadings, useIncoming } from '../files/incoming';
import { useIncomingState } from '../files/incomingState';
import { visit, visited } from '../testing/address';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { useActions, useOverlay } from './actions';
import type { Actions } from './actions';
import { BrokenPlace } from './BrokenPlace';
import { GoAnywhere } from './GoAnywhere';
import { IncomingFiles } from './IncomingFiles';
import { Keys } from './Keys';
import { isLostChunk, loadAnewOnce } from './lostChunk';
import { themeConfig } from './theme';
import { WordedError } from '@/words/whyText';

const saved = vi.hoisted((): { name: string; text: string }[] => []);
vi.mock('../files/download', () => ({
  download: (name: string, text: string) => saved.push({ name, text }),
  downloadBlob: (name: string) => saved.push({ name, text: '' }),
}));
vi.mock('../data/demoData', async () => {
  const { makeDemo } = await import('../../../demo/makeDemo');
  return { demoData: () => Promise.resolve(makeDemo()) };
});

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  saved.length = 0;
  useOverlay.setState({ keys: false, palette: false });
  useIncomingState.setState({ reading: null, notTaken: [] });
  useIncoming.setState({ files: [] });
});
afterEach(() => stage.close());

/** What the shell can do, at hand. */
const actions = (): Actions => {
  let made: Actions | null = null;
  const Hold = (): ReactNode => {
    made = useActions();
    return null;
  };
  stage.show(<Hold />);
  return made!;
};
const shotName = async (id: string): Promise<string | undefined> =>
  (await stage.database.shots.get(id))?.shot.name;

describe('the actions of the shell', () => {
  it('undo and redo by name, and say nothing where there is nothing', async () => {
    const { undo, redo } = actions();
    undo();
    await stage.repository.changeShot('demo-01', 'rename a shot', (shot) => ({ ...shot, name: 'Other' }));
    act(undo);
    await waitFor(() => expect(said).toEqual(['Undone: rename a shot']));
    expect(await shotName('demo-01')).toBe('Put-in talk');
    act(redo);
    await waitFor(() => expect(said).toEqual(['Undone: rename a shot', 'Done again: rename a shot']));
    expect(await shotName('demo-01')).toBe('Other');
  });

  it('does not undo over what another window changed, and says so', async () => {
    await stage.repository.changeShot('demo-01', 'rename a shot', (shot) => ({ ...shot, name: 'Mine' }));
    const record = (await stage.database.shots.get('demo-01'))!;
    await stage.database.shots.put({ ...record, shot: { ...record.shot, name: 'Theirs' } });
    act(actions().undo);
    await waitFor(() => expect(said).toHaveLength(1));
    expect(await shotName('demo-01')).toBe('Theirs');
  });

  it('exports everything as one file that is a backup', async () => {
    act(actions().exportAll);
    await waitFor(() => expect(saved).toHaveLength(1));
    expect(saved[0]!.name).toMatch(/^lynxeye-\d{4}-\d\d-\d\d\.json$/);
    expect(JSON.parse(saved[0]!.text)).toMatchObject({ kind: 'lynxeye/backup' });
    await waitFor(() => expect(said).toHaveLength(1));
  });

  it('takes a pasted shot in, and resets the demo without touching it', async () => {
    const { importText, loadDemo } = actions();
    act(() => importText('paste', JSON.stringify(emptyShot('My own'))));
    await waitFor(() => expect(said).toHaveLength(1));
    await stage.repository.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name: 'Spoilt' }));
    act(loadDemo);
    expect(await shotName('demo-01')).toBe('Spoilt');
    act(() => useOverlay.getState().asking?.then());
    await waitFor(async () => expect(await shotName('demo-01')).toBe('Put-in talk'));
    const names = (await stage.database.shots.toArray()).map(({ shot }) => shot.name);
    expect(names).toContain('My own');
  });

  it('tells what could not be written', async () => {
    stage.repository.backup = () => Promise.reject(new WordedError('no room'));
    act(actions().exportAll);
    await waitFor(() => expect(said).toEqual([expect.stringMatching(/^! .*no room/)]));
  });
});

describe('the keys of the shell', () => {
  it('go to places with the shot that is open, undo, and show themselves', async () => {
    stage.show(<Keys />);
    await stage.repository.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name: 'Other' }));
    await stage.user.keyboard('{Control>}z{/Control}');
    await waitFor(async () => expect(await shotName('demo-01')).toBe('Put-in talk'));
    visit('/bench?shot=demo-05');
    await stage.user.keyboard('5');
    expect(visited()).toBe('/carry?shot=demo-05');
    await stage.user.keyboard('8');
    expect(visited()).toBe('/kit');
    await stage.user.keyboard('n');
    expect(visited()).toBe('/?new=1');
    await stage.user.keyboard('{Control>}k{/Control}');
    expect(useOverlay.getState().palette).toBe(true);
  });
});

describe('going anywhere', () => {
  const open = async (): Promise<HTMLElement> => {
    Element.prototype.scrollIntoView = () => undefined;
    useOverlay.setState({ palette: true });
    stage.show(<GoAnywhere />);
    return screen.findByRole('combobox');
  };

  it('finds a shot by a part of its name and goes there', async () => {
    const input = await open();
    await stage.user.type(input, 'sun ga');
    await stage.user.click(await screen.findByRole('option', { name: 'Sun gate' }));
    expect(visited()).toBe('/bench?shot=demo-05');
    expect(useOverlay.getState().palette).toBe(false);
  });

  it('finds a day of an outing and an action', async () => {
    const input = await open();
    await stage.user.type(input, 'tarnholt');
    const days = await screen.findAllByRole('option', { name: /2026|October/ });
    expect(days).toHaveLength(2);
    await stage.user.clear(input);
    await stage.user.type(input, 'keys');
    await stage.user.click(await screen.findByRole('option', { name: 'Keys' }));
    expect(useOverlay.getState()).toMatchObject({ keys: true, palette: false });
  });

  it('says that nothing is called that', async () => {
    await stage.user.type(await open(), 'zzzz');
    expect(await screen.findByText('Nothing of that name.')).toBeDefined();
  });
});

describe('files dropped and text pasted', () => {
  const drop = (...files: File[]): Event => {
    const event = new Event('drop', { cancelable: true }) as Event & { dataTransfer: unknown };
    event.dataTransfer = { files, types: ['Files'] };
    act(() => void window.dispatchEvent(event));
    return event;
  };
  const photo = new File(['x'], 'light.JPG');
  const shot = new File([JSON.stringify(emptyShot('Dropped'))], 'shot.json');

  it('know photographs and tracks from what is kept', () => {
    const reads = (name: string, type = ''): boolean => isForReadings({ name, type });
    expect(['a.jpg', 'b.HEIC', 'c.gpx', 'd.kml', 'e.tcx', 'f.tif'].every((name) => reads(name))).toBe(true);
    expect(reads('noname', 'image/png')).toBe(true);
    expect(['a.json', 'b.csv', 'c.ics', 'd.zip', 'jpg'].some((name) => reads(name))).toBe(false);
  });

  it('go to the readings of the shot on the Bench, and the others are kept', async () => {
    stage.show(<IncomingFiles>page</IncomingFiles>);
    visit('/bench?shot=demo-05');
    expect(drop(photo, shot).defaultPrevented).toBe(true);
    expect(useIncoming.getState().files).toEqual([photo]);
    expect(visited()).toBe('/bench?shot=demo-05&part=readings');
    await waitFor(() => expect(said).toEqual([expect.stringContaining('"Dropped"')]));
  });

  it('of light have no place but a Bench, which is said', () => {
    stage.show(<IncomingFiles>page</IncomingFiles>);
    drop(photo);
    expect(said).toEqual([expect.stringMatching(/^! .*light\.JPG/)]);
    expect(useIncoming.getState().files).toEqual([]);
  });

  it('pasted into a field stays there; elsewhere it is a shot', async () => {
    stage.show(
      <IncomingFiles>
        <input aria-label="field" />
        <p>page</p>
      </IncomingFiles>,
    );
    const clipboardData = { getData: () => JSON.stringify(emptyShot('Pasted')) };
    fireEvent.paste(screen.getByLabelText('field'), { clipboardData });
    fireEvent.paste(screen.getByText('page'), { clipboardData: { getData: () => '  ' } });
    expect(said).toEqual([]);
    fireEvent.paste(screen.getByText('page'), { clipboardData });
    await waitFor(() => expect(said).toEqual([expect.stringContaining('"Pasted"')]));
  });
});

describe('a place that cannot be drawn', () => {
  it('names the record at fault that is open, saves it aside and shows the place again', async () => {
    const record = (await stage.database.shots.get('demo-05'))!;
    const broken = { ...record, shot: { ...record.shot, limits: { recordSeconds: 'long' } } };
    await stage.database.shots.put(broken as never);
    visit('/bench?shot=demo-05');
    const again = vi.fn();
    stage.show(<BrokenPlace error={new Error('cannot read x')} onAgain={again} />);
    expect(screen.getByText('cannot read x')).toBeDefined();
    expect((await screen.findByRole('heading', { level: 2 })).textContent).toContain('Sun gate');
    expect(screen.getByText(/shot\.limits\.recordSeconds/)).toBeDefined();
    await stage.user.click(screen.getByRole('button', { name: /Save it as a file/ }));
    await waitFor(() => expect(again).toHaveBeenCalledOnce());
    expect(JSON.parse(saved[0]!.text)).toEqual(broken);
    expect(await stage.database.shots.get('demo-05')).toBeUndefined();
  });

  it('offers the ways out where nothing is at fault', async () => {
    const again = vi.fn();
    stage.show(<BrokenPlace error="odd" onAgain={again} />);
    await stage.user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(again).toHaveBeenCalledOnce();
    await stage.user.click(screen.getByRole('button', { name: 'Export everything' }));
    await waitFor(() => expect(saved).toHaveLength(1));
    expect(screen.queryByRole('heading', { level: 2 })).toBeNull();
  });
});

describe('a part of the app that is gone', () => {
  it('is known by its error, and loads the page anew once and not in circles', () => {
    const named = Object.assign(new Error('x'), { name: 'ChunkLoadError' });
    expect(isLostChunk(named)).toBe(true);
    expect(isLostChunk(new Error('Failed to fetch dynamically imported module: /a.js'))).toBe(true);
    expect([new Error('no'), 'ChunkLoadError', null].some(isLostChunk)).toBe(false);
    sessionStorage.clear();
    const reload = vi.spyOn(window.location, 'reload').mockImplementation(() => undefined);
    loadAnewOnce();
    loadAnewOnce();
    expect(reload).toHaveBeenCalledOnce();
    vi.useFakeTimers({ now: Date.now() + 31_000, toFake: ['Date'] });
    loadAnewOnce();
    expect(reload).toHaveBeenCalledTimes(2);
    vi.useRealTimers();
    reload.mockRestore();
  });
});

describe('the themes', () => {
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map((at) => {
      const part = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
      return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
  };
  const contrast = (a: string, b: string): number => {
    const [dark, light] = [luminance(a), luminance(b)].sort((one, other) => one - other);
    return (light! + 0.05) / (dark! + 0.05);
  };

  it.each(['paper', 'night', 'glare'] as const)('%s: every ink is read on every ground', (name) => {
    const token = themeConfig(name).token!;
    const grounds = [token.colorBgBase!, token.colorBgContainer!];
    const inks = [
      token.colorText!,
      token.colorTextSecondary!,
      token.colorLink!,
      token.colorSuccess!,
      token.colorError!,
    ];
    for (const ground of grounds)
      for (const ink of inks) {
        const least = name === 'glare' ? 7 : 4.5;
        expect(contrast(ink, ground), `${ink} on ${ground}`).toBeGreaterThanOrEqual(least);
      }
    expect(contrast(token.colorTextLightSolid!, token.colorPrimary!)).toBeGreaterThanOrEqual(4.5);
    expect(token.motion).toBe(false);
  });
});

import { act, screen, waitFor } from '@testing-library/react';
import { Menu } from 'antd';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { IncomingDialog } from '../shell/IncomingDialog';
import { useIncomingState } from './incomingState';
import { useFolderBackup, useFolderItems } from './folderBackup';

interface Writing {
  write: (text: string) => Promise<void>;
  close: () => Promise<void>;
}

/** A folder on a disk that may be full. */
class Folder {
  readonly name = 'Back-ups';
  readonly files = new Map<string, string>();
  full = false;
  /** What the browser says of it. */
  allowed: PermissionState = 'granted';
  readonly vanished = new Set<string>();

  queryPermission(): Promise<PermissionState> {
    return Promise.resolve(this.allowed);
  }

  requestPermission(): Promise<PermissionState> {
    return Promise.resolve(this.allowed);
  }

  getFileHandle(name: string): Promise<unknown> {
    return Promise.resolve({
      createWritable: () =>
        this.full
          ? Promise.reject(new DOMException('no room', 'QuotaExceededError'))
          : Promise.resolve({
              write: (text: string) => Promise.resolve(void this.files.set(name, text)),
              close: () => Promise.resolve(),
            }),
    });
  }

  async *values(): AsyncGenerator {
    for (const [name, text] of this.files)
      yield await Promise.resolve({
        kind: 'file',
        name,
        getFile: () =>
          this.vanished.has(name)
            ? Promise.reject(new DOMException('gone', 'NotFoundError'))
            : Promise.resolve(new File([text], name)),
      });
  }
}

/** Shorter than a person's, but longer than two changes one after the other take. */
const CALM_MS = 500;

function Shown(): ReactNode {
  useFolderBackup(CALM_MS);
  return <Menu items={useFolderItems()} />;
}

let stage: Stage;
let folder: Folder;
beforeEach(async () => {
  stage = await openStage();
  useIncomingState.setState({ reading: null, notTaken: [], toAsk: [] });
  folder = new Folder();
  // What a page keeps of a folder cannot be copied here as a browser copies it.
  let kept: FileSystemDirectoryHandle | null = null;
  Object.assign(stage.repository, {
    keepFolder: (_: string, one: FileSystemDirectoryHandle | null) => Promise.resolve(void (kept = one)),
  });
  Object.assign(stage.repository.queries, { folder: () => Promise.resolve(kept) });
  Object.assign(window, { showDirectoryPicker: () => Promise.resolve(folder) });
  stage.show(<Shown />);
});
afterEach(async () => {
  Reflect.deleteProperty(window, 'showDirectoryPicker');
  await stage.close();
});

const press = async (name: RegExp): Promise<void> =>
  stage.user.click(await screen.findByRole('menuitem', { name }));
const rename = (name: string): Promise<unknown> =>
  act(() => stage.repository.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name })));
const OWN = 'lynxeye-backup-this.json';
/** Picks the folder and waits until that is whole: written, kept and said. */
const pickFolder = async (): Promise<void> => {
  await press(/^Back up to a folder/);
  await waitFor(() => expect(said).toContainEqual(expect.stringContaining(OWN)));
  said.length = 0;
};

describe('a folder that is kept up', () => {
  it('gets everything when it is picked, and again after a change', async () => {
    await press(/^Back up to a folder/);
    await waitFor(() => expect(folder.files.get(OWN)).toContain('"kind": "lynxeye/backup"'));
    await rename('Sun gate, kept');
    await waitFor(() => expect(folder.files.get(OWN)).toContain('Sun gate, kept'));
    expect([...folder.files.keys()]).toEqual([OWN]);
  });

  it('that cannot be written any more is told once, and written again when it can', async () => {
    await pickFolder();
    folder.full = true;
    await rename('Not written');
    await waitFor(() => expect(said).toHaveLength(1));
    folder.full = false;
    await rename('Written');
    await waitFor(() => expect(folder.files.get(OWN)).toContain('Written'));
    expect(said).toHaveLength(1);
  });

  it('brings what another device wrote there', async () => {
    await pickFolder();
    const other = JSON.parse(folder.files.get(OWN)!) as { shots: { id: string; shot: object }[] };
    other.shots = [
      { ...other.shots[0]!, id: 'from-there', shot: { ...other.shots[0]!.shot, name: 'From there' } },
    ];
    folder.files.set('lynxeye-backup-other.json', JSON.stringify(other));
    folder.files.set('holiday.json', '{}');
    folder.files.set('lynxeye-backup-gone.json', '{}');
    folder.vanished.add('lynxeye-backup-gone.json');
    await press(/^Pick up from/);
    // It is asked about first; what could not be had is told by name and stops nothing.
    await waitFor(() => expect(useIncomingState.getState().toAsk).toHaveLength(1));
    expect(useIncomingState.getState()).toMatchObject({
      notTaken: [{ name: 'lynxeye-backup-gone.json' }],
      toAsk: [{ name: 'lynxeye-backup-other.json', rows: expect.arrayContaining([]) as unknown }],
    });
    expect(await stage.database.shots.get('from-there')).toBeUndefined();
    stage.show(<IncomingDialog one={useIncomingState.getState().toAsk[0]!} />);
    expect(screen.getByRole('dialog').textContent).toContain('From there');
    await stage.user.click(screen.getByRole('button', { name: 'Take it' }));
    await waitFor(async () =>
      expect((await stage.database.shots.get('from-there'))?.shot.name).toBe('From there'),
    );
  });

  it('that may not be written any more is told at the next change, which waits until it may', async () => {
    await pickFolder();
    for (const refused of ['denied', 'prompt'] as const) {
      folder.allowed = refused;
      said.length = 0;
      await rename(`Waits, ${refused}`);
      await waitFor(() => expect(said).toHaveLength(1));
      expect(folder.files.get(OWN)).not.toContain(`Waits, ${refused}`);
      expect(await stage.repository.queries.choice('folderWaits')).toBe('yes');
      // At the next visit it may be written again.
      folder.allowed = 'granted';
      stage.show(null);
      stage.show(<Shown />);
      await waitFor(() => expect(folder.files.get(OWN)).toContain(`Waits, ${refused}`));
      expect(await stage.repository.queries.choice('folderWaits')).toBe('no');
      await rename('Written in between');
      await waitFor(() => expect(folder.files.get(OWN)).toContain('Written in between'));
    }
  });

  it('is written once at a time, so that the newest stays', async () => {
    await pickFolder();
    const order: string[] = [];
    const { createWritable } = (await folder.getFileHandle(OWN)) as {
      createWritable: () => Promise<Writing>;
    };
    // The first writing is slow to begin.
    let slow = 2;
    folder.getFileHandle = () =>
      Promise.resolve({
        createWritable: async () => {
          order.push('begun');
          if (slow-- > 1) await new Promise((done) => setTimeout(done, 3 * CALM_MS));
          const stream = await createWritable();
          return { ...stream, close: () => stream.close().then(() => void order.push('closed')) };
        },
      });
    await rename('The older');
    await waitFor(() => expect(order).toEqual(['begun']));
    await rename('The newer');
    await waitFor(() => expect(order).toHaveLength(4));
    expect(order).toEqual(['begun', 'closed', 'begun', 'closed']);
    expect(folder.files.get(OWN)).toContain('The newer');
  });

  it('that is let go of is written no more', async () => {
    await pickFolder();
    await press(/^Stop/);
    await waitFor(() => expect(screen.getByRole('menuitem', { name: /^Back up to a folder/ })).toBeDefined());
    expect(await stage.repository.queries.folder('backup')).toBeNull();
  });
});

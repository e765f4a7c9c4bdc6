'use client';

import * as messages from '@/language/files';
import type { MenuProps } from 'antd';
import { useEffect, useState } from 'react';
import type { Repository } from '@/store/repository';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';

/**
 * A live back-up: after every change everything is written to one file in a folder the person picked, where the browser
 * can (File System Access). The permission lasts for a visit; after that it is asked for again.
 */
const KEY = 'backup';
const FILE = 'lynxeye-backup.json';
/** After the last change, so that a drag is written once, milliseconds. */
const CALM_MS = 3000;

/** What of File System Access is used: it is no part of the standard page yet. */
interface Picking {
  showDirectoryPicker?: (options: { mode: 'readwrite'; id: string }) => Promise<FileSystemDirectoryHandle>;
}
type Asked = FileSystemDirectoryHandle & {
  queryPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
  requestPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
};

async function write(repository: Repository, folder: FileSystemDirectoryHandle): Promise<void> {
  const file = await folder.getFileHandle(FILE, { create: true });
  const stream = await file.createWritable();
  await stream.write(JSON.stringify(await repository.backup(), null, 2));
  await stream.close();
}

/** Writes after every change, as long as a folder is picked and allowed. */
export function useFolderBackup(): void {
  const repository = useRepository();
  const { complain } = useToast();
  useEffect(() => {
    if (!repository || !(window as Picking).showDirectoryPicker) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let told = false;
    const later = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        void repository.database.handles.get(KEY).then(async (kept) => {
          if (!kept) return;
          const folder: Asked = kept.folder;
          if ((await folder.queryPermission?.({ mode: 'readwrite' })) === 'denied') return;
          await write(repository, folder).catch(() => {
            if (!told) complain(messages.theBackUpFolderCannot);
            told = true;
          });
        });
      }, CALM_MS);
    };
    const stop = repository.history.subscribe(later);
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [repository, complain]);
}

/** Lines of the menu: pick a folder, allow it again, or stop. */
export function useFolderItems(): NonNullable<MenuProps['items']> {
  const repository = useRepository();
  const { say, complain } = useToast();
  const [folder, setFolder] = useState<Asked | null>(null);
  useEffect(() => {
    void repository?.database.handles.get(KEY).then((kept) => setFolder(kept?.folder ?? null));
  }, [repository]);
  const pick = (window as Picking).showDirectoryPicker;
  if (!repository || !pick) return [];
  const begin = async (): Promise<void> => {
    const chosen = folder ?? (await pick({ mode: 'readwrite', id: 'lynxeye' }));
    if (folder && (await folder.requestPermission?.({ mode: 'readwrite' })) === 'denied') {
      complain(messages.theFolderWasNotAllowed);
      return;
    }
    await write(repository, chosen);
    await repository.database.handles.put({ key: KEY, folder: chosen });
    setFolder(chosen);
    say(messages.everythingIsWrittenToIn({ file: FILE, chosen: chosen.name }));
  };
  const guarded = (action: () => Promise<void>) => (): void => {
    action().catch((error: unknown) => {
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        complain(
          messages.theFolderCannotBeUsed({ error: error instanceof Error ? error.message : String(error) }),
        );
    });
  };
  return [
    {
      key: 'folder',
      label: folder ? messages.writeTheBackUpFolder({ folder: folder.name }) : messages.backUpToAFolder,
      onClick: guarded(begin),
    },
    ...(folder
      ? [
          {
            key: 'folderStop',
            label: messages.stopBackingUpToThe,
            onClick: guarded(async () => {
              await repository.database.handles.delete(KEY);
              setFolder(null);
              say(messages.stoppedTheFileInThe);
            }),
          },
        ]
      : []),
  ];
}

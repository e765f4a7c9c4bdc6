'use client';

import * as messages from '@/language/files';
import type { MenuProps } from 'antd';
import { useEffect, useState } from 'react';
import type { Repository } from '@/store/repository';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';

/**
 * A live back-up: after every change everything is written to one file in a folder the person picked, where the browser
 * can (File System Access). The permission lasts for a visit; after that it is asked for again. Each device has a file of
 * its own there, so that a folder that several share holds what each has; what the others wrote is picked up and merged.
 */
const KEY = 'backup';
const BACKUP_NAME = /^lynxeye-backup.*\.json$/;

function fileOf(repository: Repository): string {
  return `lynxeye-backup-${repository.device}.json`;
}
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
  const file = await folder.getFileHandle(fileOf(repository), { create: true });
  const stream = await file.createWritable();
  await stream.write(JSON.stringify(await repository.backup(), null, 2));
  await stream.close();
}

/** The back-ups of other devices in a folder, the newest last. */
async function othersIn(folder: FileSystemDirectoryHandle, own: string): Promise<File[]> {
  const files: File[] = [];
  for await (const entry of folder.values())
    if (entry.kind === 'file' && entry.name !== own && BACKUP_NAME.test(entry.name))
      files.push(await entry.getFile());
  return files.sort((one, other) => one.lastModified - other.lastModified);
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
        void repository.queries.folder(KEY).then(async (folder: Asked | null) => {
          if (!folder) return;
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
  const toast = useToast();
  const { say, complain } = toast;
  const [folder, setFolder] = useState<Asked | null>(null);
  useEffect(() => {
    void repository?.queries.folder(KEY).then(setFolder);
  }, [repository]);
  const pick = (window as Picking).showDirectoryPicker;
  if (!repository || !pick) return [];
  /** The kept folder, or one picked now; `null`: it was not allowed. */
  const allowed = async (): Promise<FileSystemDirectoryHandle | null> => {
    if (!folder) return pick({ mode: 'readwrite', id: 'lynxeye' });
    if ((await folder.requestPermission?.({ mode: 'readwrite' })) !== 'denied') return folder;
    complain(messages.theFolderWasNotAllowed);
    return null;
  };
  const begin = async (): Promise<void> => {
    const chosen = await allowed();
    if (!chosen) return;
    await write(repository, chosen);
    await repository.keepFolder(KEY, chosen);
    setFolder(chosen);
    say(messages.everythingIsWrittenToIn({ file: fileOf(repository), chosen: chosen.name }));
  };
  const pickUp = async (): Promise<void> => {
    const chosen = await allowed();
    if (!chosen) return;
    const others = await othersIn(chosen, fileOf(repository));
    if (others.length === 0) say(messages.nothingInTheFolder({ folder: chosen.name }));
    const { importFiles } = await import('./importFiles');
    await importFiles(
      repository,
      others.map((file) => ({ name: file.name, content: file })),
      toast,
    );
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
    {
      key: 'folderPickUp',
      label: folder ? messages.pickUpFromTheFolder({ folder: folder.name }) : messages.pickUpFromAFolder,
      onClick: guarded(pickUp),
    },
    ...(folder
      ? [
          {
            key: 'folderStop',
            label: messages.stopBackingUpToThe,
            onClick: guarded(async () => {
              await repository.keepFolder(KEY, null);
              setFolder(null);
              say(messages.stoppedTheFileInThe);
            }),
          },
        ]
      : []),
  ];
}

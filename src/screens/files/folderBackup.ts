'use client';

import * as messages from '@/language/files';
import type { MenuProps } from 'antd';
import { useEffect, useState } from 'react';
import type { Repository } from '@/store/repository';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';
import { opened } from './opened';
import type { ComingIn } from './importFiles';
import { whyText } from '@/words/whyText';

/**
 * A live back-up: after every change everything is written to one file in a folder the person picked, where the browser
 * can (File System Access). The permission lasts for a visit; after that it is asked for again. Each device has a file of
 * its own there, so that a folder that several share holds what each has; what the others wrote is picked up and merged.
 */
const KEY = 'backup';
const BACKUP_NAME = /^lynxeye-backup.*\.json$/;

/** The file of this device; where everything does not go into one that can be read, the next are numbered. */
function fileOf(repository: Repository, number = 1): string {
  return `lynxeye-backup-${repository.device}${number > 1 ? `-${number}` : ''}.json`;
}

function isOwn(repository: Repository, name: string): boolean {
  const start = fileOf(repository).replace(/\.json$/, '');
  return name.startsWith(start) && /^(-\d+)?\.json$/.test(name.slice(start.length));
}

/** The choice that says that changes wait to be written, because the folder was not to be written. */
const WAITS = 'folderWaits';
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

let writing: Promise<void> = Promise.resolve();

/** Writes everything as it stands, one writing after the other: of two at once the older could be the one that stays. */
function write(repository: Repository, folder: FileSystemDirectoryHandle): Promise<void> {
  const next = writing.then(() => writeAll(repository, folder));
  writing = next.catch(() => undefined);
  return next;
}

async function writeAll(repository: Repository, folder: FileSystemDirectoryHandle): Promise<void> {
  const { backupTexts } = await import('@/core/records/backupTexts');
  const texts = backupTexts(await repository.backup());
  for (const [at, text] of texts.entries()) {
    const file = await folder.getFileHandle(fileOf(repository, at + 1), { create: true });
    const stream = await file.createWritable();
    await stream.write(text);
    await stream.close();
  }
  for await (const { name } of folder.values())
    if (isOwn(repository, name) && !texts.some((_, at) => fileOf(repository, at + 1) === name))
      await folder.removeEntry(name);
  await repository.choose(WAITS, 'no');
}

/** The back-ups of other devices in a folder, the newest last; one that cannot be had is named. */
async function othersIn(folder: FileSystemDirectoryHandle, repository: Repository): Promise<ComingIn[]> {
  const files: { coming: ComingIn; at: number }[] = [];
  for await (const entry of folder.values())
    if (entry.kind === 'file' && !isOwn(repository, entry.name) && BACKUP_NAME.test(entry.name)) {
      const coming = await opened(entry);
      files.push({ coming, at: coming.content instanceof File ? coming.content.lastModified : 0 });
    }
  return files.sort((one, other) => one.at - other.at).map(({ coming }) => coming);
}

/**
 * Writes after every change, as long as a folder is picked. Where it may not be written, the person is told at that change,
 * and what waits is written as soon as it may be, on a later visit too.
 */
export function useFolderBackup(calmMs = CALM_MS): void {
  const repository = useRepository();
  const { complain } = useToast();
  useEffect(() => {
    if (!repository || !(window as Picking).showDirectoryPicker) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let told = false;
    const writeNow = async (): Promise<boolean> => {
      const folder: Asked | null = await repository.queries.folder(KEY);
      if (!folder) return true;
      const state = (await folder.queryPermission?.({ mode: 'readwrite' })) ?? 'granted';
      return (
        state === 'granted' &&
        write(repository, folder).then(
          () => true,
          () => false,
        )
      );
    };
    const later = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        void writeNow().then(async (written) => {
          if (!written) {
            await repository.choose(WAITS, 'yes');
            if (!told) complain(messages.theBackUpFolderCannot);
          }
          told = !written;
        });
      }, calmMs);
    };
    void repository.queries.choice(WAITS).then((waits) => (waits === 'yes' ? writeNow() : true));
    const stop = repository.history.subscribe(later);
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [repository, complain, calmMs]);
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
    const others = await othersIn(chosen, repository);
    if (others.length === 0) say(messages.nothingInTheFolder({ folder: chosen.name }));
    const { importFiles } = await import('./importFiles');
    await importFiles(repository, others, 'outside', toast);
  };
  const guarded = (action: () => Promise<void>) => (): void => {
    action().catch((error: unknown) => {
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        complain(messages.theFolderCannotBeUsed({ error: whyText(error) }));
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

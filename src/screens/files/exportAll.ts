import * as messages from '@/language/files';
import { backupTexts } from '@/core/records/backupTexts';
import { countsOf } from '@/store/wholeStore';
import type { Repository } from '@/store/repository';
import { download, downloadBlob } from './download';
import { everythingZip } from './outingArchive';
import { CHANGES_SINCE_EXPORT, countsText } from './exported';

/** Everything kept, as one file; says what was in it. */
export async function exportEverything(repository: Repository): Promise<string> {
  const backup = await repository.backup();
  const texts = backupTexts(backup);
  const name = `lynxeye-${backup.exportedAt.slice(0, 10)}`;
  texts.forEach((text, at) =>
    download(texts.length === 1 ? `${name}.json` : `${name}-${at + 1}-of-${texts.length}.json`, text),
  );
  await repository.choose(CHANGES_SINCE_EXPORT, '0');
  return messages.exported({ backup: countsText(countsOf(backup)), files: texts.length });
}

/** Everything kept, and every outing as files of its own beside it. */
export async function exportArchive(repository: Repository): Promise<string> {
  downloadBlob('lynxeye-everything.zip', await everythingZip(repository));
  await repository.choose(CHANGES_SINCE_EXPORT, '0');
  return messages.exportedEverythingAsOneZIP;
}

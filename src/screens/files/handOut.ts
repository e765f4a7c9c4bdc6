import { download } from './download';

/** How a file left: given to another app, or saved; `null`: the person thought better of it. */
export type HandedOut = 'shared' | 'saved' | null;

/**
 * Gives a file to whatever the person sends files with, where the browser can; else saves it. Browsers share plain texts
 * everywhere and JSON hardly anywhere, so the file is a text, which is read back all the same.
 */
export async function handOut(name: string, text: string): Promise<HandedOut> {
  const file = new File([text], `${name}.lynxeye.txt`, { type: 'text/plain' });
  if (canShare(file)) {
    try {
      await navigator.share({ files: [file], title: name });
      return 'shared';
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return null;
      // What the system does not take is saved.
      if (!(error instanceof DOMException && error.name === 'NotAllowedError')) throw error;
    }
  }
  download(`${name}.json`, text);
  return 'saved';
}

function canShare(file: File): boolean {
  return 'canShare' in navigator && navigator.canShare({ files: [file] });
}

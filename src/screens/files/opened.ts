import type { ComingIn } from './importFiles';

/** A file by its handle; where it is gone or may not be read, its name alone. */
export async function opened(handle: Pick<FileSystemFileHandle, 'name' | 'getFile'>): Promise<ComingIn> {
  const content = await handle.getFile().catch(() => null);
  return { name: content?.name ?? handle.name, content };
}

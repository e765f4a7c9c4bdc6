/** Sound lies beside an uncompressed clip, under its name. */
const ENDINGS = ['mp4', 'mov', 'm4v', 'mkv', 'webm', 'y4m', 'wav'];

/** What a person is offered when they are asked for clips. */
export const CLIP_FILES = [...ENDINGS.map((ending) => `.${ending}`), 'video/*'].join(',');

const CLIP_NAME = new RegExp(`\\.(${ENDINGS.join('|')})$`, 'i');

/** Whether a file is a clip, by its type or its ending. */
export function isClip({ name, type }: Pick<File, 'name' | 'type'>): boolean {
  return type.startsWith('video/') || CLIP_NAME.test(name);
}

/** The sounds among files that lie beside a clip among them, by the name of that clip. */
export function soundsBeside(files: readonly File[]): ReadonlyMap<string, File> {
  const bare = ({ name }: File): string => name.replace(/\.[^.]*$/, '').toLowerCase();
  const sounds = new Map(files.filter(({ name }) => /\.wav$/i.test(name)).map((file) => [bare(file), file]));
  return new Map(
    files.flatMap((file): [string, File][] => {
      const sound = /\.y4m$/i.test(file.name) ? sounds.get(bare(file)) : undefined;
      return sound ? [[file.name, sound]] : [];
    }),
  );
}

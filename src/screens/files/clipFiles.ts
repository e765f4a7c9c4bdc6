const ENDINGS = ['mp4', 'mov', 'm4v', 'mkv', 'webm', 'y4m'];

/** What a person is offered when they are asked for clips. */
export const CLIP_FILES = [...ENDINGS.map((ending) => `.${ending}`), 'video/*'].join(',');

const CLIP_NAME = new RegExp(`\\.(${ENDINGS.join('|')})$`, 'i');

/** Whether a file is a clip, by its type or its ending. */
export function isClip({ name, type }: Pick<File, 'name' | 'type'>): boolean {
  return type.startsWith('video/') || CLIP_NAME.test(name);
}

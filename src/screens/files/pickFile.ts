/** Asks for a file and hands it over as it is. */
export function pickAnyFile(accept: string, take: (file: File) => void): void {
  ask(accept, false, ([file]) => {
    if (file) take(file);
  });
}

/** Asks for files, one or several. */
export function pickFiles(accept: string, take: (files: readonly File[]) => void): void {
  ask(accept, true, take);
}

/** Asks for a clip filmed on the spot with the camera of this device; where it has none, for a file. */
export function pickFilmed(take: (file: File) => void): void {
  ask(
    'video/*',
    false,
    ([file]) => {
      if (file) take(file);
    },
    'environment',
  );
}

/** Asks for a photograph taken on the spot; where there is no camera, for a file. */
export function pickPhotographed(take: (file: File) => void): void {
  ask(
    'image/*',
    false,
    ([file]) => {
      if (file) take(file);
    },
    'environment',
  );
}

function ask(
  accept: string,
  multiple: boolean,
  take: (files: readonly File[]) => void,
  capture?: 'environment',
): void {
  const input = document.createElement('input');
  if (capture) input.capture = capture;
  input.type = 'file';
  input.accept = accept;
  input.multiple = multiple;
  input.onchange = () => take([...(input.files ?? [])]);
  input.click();
}

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

function ask(accept: string, multiple: boolean, take: (files: readonly File[]) => void): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = accept;
  input.multiple = multiple;
  input.onchange = () => take([...(input.files ?? [])]);
  input.click();
}

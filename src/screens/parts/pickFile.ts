/** Asks for a file and hands over its name and text. */
export function pickFile(accept: string, take: (name: string, text: string) => void): void {
  pickAnyFile(accept, (file) => void file.text().then((text) => take(file.name, text)));
}

/** Asks for a file and hands it over as it is. */
export function pickAnyFile(accept: string, take: (file: File) => void): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = accept;
  input.onchange = () => {
    const file = input.files?.[0];
    if (file) take(file);
  };
  input.click();
}

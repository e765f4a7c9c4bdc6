/** A name as a file may have it: plain letters, hyphens between. */
export function fileName(name: string | undefined): string {
  const plain = (name ?? 'shot')
    .normalize('NFKD')
    .replace(/[^\w]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();
  return plain === '' ? 'shot' : plain;
}

/** A text as few bytes (deflate, RFC 1951), and back. */
export async function packed(text: string): Promise<Uint8Array> {
  return gathered(new Blob([text]).stream().pipeThrough(new CompressionStream('deflate-raw')));
}

/** Texts that come out larger than this are refused: a few bytes can hold very many, bytes. */
const MOST_TEXT = 64_000_000;

/** `null`: what was packed is not whole, or larger than a file may be. */
export async function unpacked(bytes: Uint8Array<ArrayBuffer>): Promise<string | null> {
  try {
    const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
    return new TextDecoder('utf-8', { fatal: true }).decode(await gathered(stream, MOST_TEXT));
  } catch {
    return null;
  }
}

/** @throws {RangeError} when there is more than `most`, bytes */
async function gathered(
  stream: ReadableStream<Uint8Array>,
  most = Infinity,
): Promise<Uint8Array<ArrayBuffer>> {
  const parts: Uint8Array[] = [];
  let total = 0;
  const reader = stream.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    total += value.length;
    if (total > most) {
      await reader.cancel();
      throw new RangeError();
    }
    parts.push(value);
  }
  const all = new Uint8Array(total);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

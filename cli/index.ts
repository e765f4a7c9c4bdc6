import { writeSync } from 'node:fs';
import { run } from './main';

/** Writes all of a text to a descriptor, however slowly a pipe takes it. */
function write(descriptor: number, text: string): void {
  const bytes = Buffer.from(text);
  for (let at = 0; at < bytes.length;) {
    try {
      at += writeSync(descriptor, bytes, at);
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      if (code === 'EPIPE') return;
      if (code !== 'EAGAIN') throw error;
    }
  }
}

try {
  const { status, out, err } = await run(process.argv.slice(2));
  write(1, out);
  write(2, err);
  process.exitCode = status;
} catch (error) {
  write(2, `lynxeye broke, which is our fault: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
}

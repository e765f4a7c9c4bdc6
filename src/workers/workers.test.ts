import { expose } from 'comlink';
import type { Remote } from 'comlink';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { FilesWorker, OnProgress } from './files';
import type { ShotsWorker } from './shots';
import type { DrawOrder, DrawReply, FilmWish } from './preview';

/** A worker on this thread: the other end of a channel, with what a page may do to it. */
class Beside {
  static readonly started: Beside[] = [];
  /** What stands at the other end of the next one. */
  static serve: (port: MessagePort) => void = () => undefined;

  ended = false;
  private readonly channel = new MessageChannel();
  private readonly heard = new Map<string, ((event: never) => void)[]>();

  constructor(readonly url: URL) {
    Beside.started.push(this);
    Beside.serve(this.channel.port1);
    this.channel.port2.start();
  }
  postMessage = (message: unknown, transfer: Transferable[] = []): void =>
    this.channel.port2.postMessage(message, transfer);
  addEventListener = (type: string, listener: (event: never) => void): void => {
    if (type === 'error') this.heard.set(type, [...(this.heard.get(type) ?? []), listener]);
    else this.channel.port2.addEventListener(type, listener as EventListener);
  };
  removeEventListener = (type: string, listener: (event: never) => void): void =>
    this.channel.port2.removeEventListener(type, listener as EventListener);
  /** What a browser tells when the worker's own script fails. */
  break(message: string): void {
    this.heard.get('error')?.forEach((listener) => {
      listener({ message } as never);
    });
  }
  terminate = (): void => {
    this.ended = true;
    this.channel.port1.close();
    this.channel.port2.close();
  };
}

beforeEach(() => {
  vi.resetModules();
  vi.stubGlobal('Worker', Beside);
  Beside.started.length = 0;
  Beside.serve = () => undefined;
});
afterEach(() => {
  Beside.started.forEach((worker) => {
    worker.terminate();
  });
  vi.unstubAllGlobals();
});

describe('answers for lists', () => {
  let asked: (string | undefined)[];
  beforeEach(() => {
    asked = [];
    const worker: ShotsWorker = {
      solve(shot) {
        asked.push(shot.name);
        return { refused: `not ${shot.name ?? ''}` };
      },
    };
    Beside.serve = (port) => {
      expose(worker, port);
    };
  });

  it('are asked for once for the same brief, whichever record holds it, by one worker', async () => {
    const { shortAnswer } = await import('./shots');
    expect(await shortAnswer(emptyShot('one'))).toEqual({ refused: 'not one' });
    expect(await shortAnswer(structuredClone(emptyShot('one')))).toEqual({ refused: 'not one' });
    expect(await shortAnswer(emptyShot('two'))).toEqual({ refused: 'not two' });
    expect(asked).toEqual(['one', 'two']);
    expect(Beside.started).toHaveLength(1);
  });

  it('are refused where the worker breaks, and asked of a new one the next time', async () => {
    const { shortAnswer } = await import('./shots');
    Beside.serve = () => undefined;
    const lost = shortAnswer(emptyShot('one'));
    Beside.started[0]!.break('no script');
    await expect(lost).rejects.toThrow('did not start');
    expect(Beside.started[0]!.ended).toBe(true);
    Beside.serve = (port) => expose({ solve: () => ({ refused: 'again' }) }, port);
    expect(await shortAnswer(emptyShot('one'))).toEqual({ refused: 'again' });
    expect(Beside.started).toHaveLength(2);
  });

  it('are let go of from the oldest on, past a thousand', async () => {
    const { shortAnswer } = await import('./shots');
    for (let at = 0; at <= 1000; at++) await shortAnswer(emptyShot(String(at)));
    await shortAnswer(emptyShot('1000'));
    await shortAnswer(emptyShot('1'));
    expect(asked).toHaveLength(1001);
    await shortAnswer(emptyShot('0'));
    expect(asked).toHaveLength(1002);
  });
});

describe('the reader of files', () => {
  const readOne = async (worker: Remote<FilesWorker>, told: OnProgress): Promise<unknown> =>
    worker.readText('x', 'a', told);

  it('answers, tells how far it is, and is ended after', async () => {
    Beside.serve = (port) => {
      expose(
        {
          readText: async (text: string, name: string, told: (p: object) => Promise<void>) => {
            await told({ done: 1, total: 2 });
            return `${name}: ${text}`;
          },
        },
        port,
      );
    };
    const { askFiles } = await import('./files');
    const told: object[] = [];
    const read = await askFiles(
      async (worker, onProgress) => (await worker.readText('x', 'a.json', onProgress)) as unknown as string,
      { onProgress: (progress) => told.push(progress) },
    );
    expect(read).toBe('a.json: x');
    expect(told).toEqual([{ done: 1, total: 2 }]);
    expect(Beside.started[0]!.ended).toBe(true);
  });

  it('is stopped from outside in the midst of a file, and ended', async () => {
    Beside.serve = (port) => {
      expose({ readText: () => new Promise(() => undefined) }, port);
    };
    const { askFiles } = await import('./files');
    const stop = { asked: false, now: (): void => undefined };
    const asking = askFiles(readOne, { stop });
    await vi.waitFor(() => expect(Beside.started).toHaveLength(1));
    stop.now();
    await expect(asking).rejects.toThrow('stopped');
    expect(stop.asked).toBe(true);
    expect(Beside.started[0]!.ended).toBe(true);
  });

  it('gives up after its time, and says so', async () => {
    Beside.serve = (port) => {
      expose({ readText: () => new Promise(() => undefined) }, port);
    };
    const { askFiles } = await import('./files');
    const asking = askFiles(readOne, { mostSeconds: 0.01 });
    await expect(asking).rejects.toThrow(/0\.01 s/);
    expect(Beside.started[0]!.ended).toBe(true);
  });

  it('says when its script did not start', async () => {
    const { askFiles } = await import('./files');
    const asking = askFiles(readOne);
    await vi.waitFor(() => expect(Beside.started).toHaveLength(1));
    Beside.started[0]!.break('');
    await expect(asking).rejects.toThrow(/did not start/);
  });

  it('passes on what it refuses', async () => {
    Beside.serve = (port) => {
      expose(
        {
          readText: () => {
            throw new RangeError('too large');
          },
        },
        port,
      );
    };
    const { askFiles } = await import('./files');
    await expect(askFiles(readOne)).rejects.toThrow('too large');
  });
});

describe('the reader of codes', () => {
  it('hands the picture over without copying it, and stays for the next', async () => {
    Beside.serve = (port) => {
      expose({ read: (picture: { data: Uint8ClampedArray }) => `${picture.data.length} bytes` }, port);
    };
    const { readCode } = await import('./codes');
    const picture = (): ImageData => ({ data: new Uint8ClampedArray(16), width: 2, height: 2 }) as ImageData;
    const first = picture();
    expect(await readCode(first)).toBe('16 bytes');
    expect(first.data.length, 'it was handed over').toBe(0);
    await readCode(picture());
    expect(Beside.started).toHaveLength(1);
  });
});

describe('the studio', () => {
  const orders: DrawOrder[] = [];
  let reply: (order: DrawOrder) => DrawReply;
  /** What the workers would answer while they are held; `null`: they answer at once. */
  let held: (() => void)[] | null;
  beforeEach(() => {
    orders.length = 0;
    held = null;
    reply = ({ film, frame }) => ({
      film,
      number: frame.number,
      picture: { width: 1, height: 1 } as never,
      sharpness: 1,
    });
    Beside.serve = (port) => {
      port.onmessage = ({ data }: MessageEvent<DrawOrder>) => {
        orders.push(data);
        const answer = (): void => port.postMessage(reply(data));
        if (held) held.push(answer);
        else answer();
      };
    };
  });
  const wish = (count: number, drawn: number[]): FilmWish => ({
    take: {} as never,
    width: 320,
    frames: Array.from({ length: count }, (_, number) => ({ number })) as never,
    onPicture: (number) => drawn.push(number),
  });

  it('draws the frames of two films in turn, and is done when all are there', async () => {
    const { Studio } = await import('./preview');
    const left: number[] = [];
    const right: number[] = [];
    await new Studio(1).film([wish(3, left), wish(2, right)]);
    expect([left, right]).toEqual([
      [0, 1, 2],
      [0, 1],
    ]);
    const [one, two] = [orders[0]!.film, orders[1]!.film];
    expect(orders.map(({ film }) => film)).toEqual([one, two, one, two, one]);
  });

  it('throws away what is under way when something else is asked for', async () => {
    const late: (() => void)[] = [];
    held = late;
    const { Studio } = await import('./preview');
    const studio = new Studio(2);
    const dropped: number[] = [];
    let settled = false;
    void studio.film([wish(40, dropped)]).then(() => {
      settled = true;
    });
    await vi.waitFor(() => expect(late).toHaveLength(2));
    held = null;
    const drawn: number[] = [];
    const other = studio.film([wish(3, drawn)]);
    for (const answer of late) answer();
    await other;
    expect(drawn.sort()).toEqual([0, 1, 2]);
    expect(dropped).toEqual([]);
    expect(settled).toBe(false);
    expect(orders).toHaveLength(5);
  });

  it('fails once with the reason, and draws again after', async () => {
    const { Studio } = await import('./preview');
    const studio = new Studio(1);
    const drawn: number[] = [];
    reply = ({ film, frame }) => ({ film, number: frame.number, failed: 'no memory' });
    await expect(studio.film([wish(4, drawn)])).rejects.toThrow('no memory');
    expect(orders).toHaveLength(1);
    reply = ({ film, frame }) => ({ film, number: frame.number, picture: {} as never, sharpness: 0 });
    await studio.film([wish(2, drawn)]);
    expect(drawn).toEqual([0, 1]);
  });

  it('says when a worker did not start', async () => {
    const late: (() => void)[] = [];
    held = late;
    const { Studio } = await import('./preview');
    const filming = new Studio(1).film([wish(2, [])]);
    Beside.started[0]!.break('');
    await expect(filming).rejects.toThrow(/did not start/);
  });

  it('has nothing to wait for where nothing is to be drawn', async () => {
    const { Studio } = await import('./preview');
    await expect(new Studio(1).film([wish(0, [])])).resolves.toBeUndefined();
  });
});

/** Windows of this app in one browser tell each other what they show, so that one can name another. */
const CHANNEL = 'lynxeye-windows';
/** An open window answers well within this, milliseconds. */
const PATIENCE_MS = 400;

type Message = { ask: string } | { answer: string; shows: string };

/** Answers when another window asks, and not its own question; gives the way to stop. */
export function answerWindows(own: string, shows: () => string): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if ('ask' in data && data.ask !== own)
      channel.postMessage({ answer: data.ask, shows: shows() } satisfies Message);
  };
  return () => channel.close();
}

/** What the other windows show; none where they do not answer. */
export async function otherWindows(ask: string): Promise<string[]> {
  if (typeof BroadcastChannel === 'undefined') return [];
  const channel = new BroadcastChannel(CHANNEL);
  const found: string[] = [];
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if ('answer' in data && data.answer === ask) found.push(data.shows);
  };
  channel.postMessage({ ask } satisfies Message);
  await new Promise((resolve) => setTimeout(resolve, PATIENCE_MS));
  channel.close();
  return found;
}

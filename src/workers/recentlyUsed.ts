/** What was asked for last, by content: so many are kept, and the one asked for longest ago is let go first. */
export class RecentlyUsed<V> {
  private readonly kept = new Map<string, V>();

  constructor(private readonly most: number) {}

  get(key: string): V | undefined {
    const value = this.kept.get(key);
    if (value !== undefined) this.put(key, value);
    return value;
  }

  /** Lets one go. */
  drop(key: string): void {
    this.kept.delete(key);
  }

  put(key: string, value: V): V {
    this.kept.delete(key);
    this.kept.set(key, value);
    const [oldest] = this.kept.keys();
    if (this.kept.size > this.most && oldest !== undefined) this.kept.delete(oldest);
    return value;
  }
}

/** Whatever keeps the answers asked for last. */
interface Keeping<Q, V> {
  get: (question: Q) => V | undefined;
  put: (question: Q, answer: V) => V;
  drop: (question: Q) => void;
}

/** What is asked for by its content, once while the answer is kept; one that was refused is asked for again. */
export function askedRecently<Q, V>(
  recent: Keeping<Q, Promise<V>>,
  question: Q,
  ask: () => Promise<V>,
): Promise<V> {
  const known = recent.get(question);
  if (known) return known;
  const asked = ask();
  asked.catch(() => recent.drop(question));
  return recent.put(question, asked);
}

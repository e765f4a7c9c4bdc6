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

/** What is asked for by its content, once while the answer is kept; one that was refused is asked for again. */
export function askedRecently<V>(
  lately: RecentlyUsed<Promise<V>>,
  key: string,
  ask: () => Promise<V>,
): Promise<V> {
  const known = lately.get(key);
  if (known) return known;
  const asked = ask();
  asked.catch(() => lately.drop(key));
  return lately.put(key, asked);
}

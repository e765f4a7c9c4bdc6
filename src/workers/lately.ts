/** What was asked for last, by content: so many are kept, and the one asked for longest ago is let go first. */
export class Lately<V> {
  private readonly kept = new Map<string, V>();

  constructor(private readonly most: number) {}

  get(key: string): V | undefined {
    const value = this.kept.get(key);
    if (value !== undefined) this.put(key, value);
    return value;
  }

  put(key: string, value: V): V {
    this.kept.delete(key);
    this.kept.set(key, value);
    const [oldest] = this.kept.keys();
    if (this.kept.size > this.most && oldest !== undefined) this.kept.delete(oldest);
    return value;
  }
}

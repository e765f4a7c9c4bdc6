/** What is handed over: one outing with its shots and what came back of it, one shot, the kit, or everything. */
export type WantedRecords = { what: 'outing' | 'shot'; id: string } | { what: 'kit' | 'everything' };

/** The same as one word of an address: "outing:demo-outing", "kit". */
export function wantedKey(wanted: WantedRecords): string {
  return 'id' in wanted ? `${wanted.what}:${wanted.id}` : wanted.what;
}

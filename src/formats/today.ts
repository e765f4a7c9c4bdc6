/** Today, "2026-10-03", by the clock of a zone. Apart from the other clocks: Start needs no more than this. */
export function todayIn(zone: string, nowMs: number): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).formatToParts(nowMs);
  const part = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find((one) => one.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}`;
}

/** The zone this browser is in. */
export function ownZone(): string {
  return new Intl.DateTimeFormat().resolvedOptions().timeZone;
}

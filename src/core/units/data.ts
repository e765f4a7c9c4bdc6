/** What a stream of bits comes to. Rates in Mbit/s, times in seconds, amounts in decimal gigabytes. */

export function gigabytesOf(mbps: number, seconds: number): number {
  return (mbps * seconds) / 8000;
}

export function secondsOf(gigabytes: number, mbps: number): number {
  return (gigabytes * 8000) / mbps;
}

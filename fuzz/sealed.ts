/** A body with its CRC-32, worked out bit by bit: a second hand beside the package. */
export function sealed(body: string): string {
  let crc = 0xffffffff;
  for (const byte of new TextEncoder().encode(body)) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit += 1) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return `${body};crc=${((crc ^ 0xffffffff) >>> 0).toString(16).toUpperCase().padStart(8, '0')}`;
}

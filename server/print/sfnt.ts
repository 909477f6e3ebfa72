/** A font out of its web wrapping, once: readers of wrapped fonts unpack every table anew for every document. */
import { inflateSync } from 'node:zlib';

const HEADER = 44;
const ENTRY = 20;

/**
 * The OpenType file inside a WOFF file. Throws RangeError for anything else.
 * Source: W3C, WOFF File Format 1.0.
 */
export function sfntOf(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new RangeError('woff: this is no WOFF 1.0 font');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = HEADER + i * ENTRY;
    const offset = woff.readUInt32BE(at + 4);
    const packed = woff.readUInt32BE(at + 8);
    const length = woff.readUInt32BE(at + 12);
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const power = 2 ** Math.floor(Math.log2(count));
  const head = Buffer.alloc(12 + 16 * count);
  head.writeUInt32BE(woff.readUInt32BE(4), 0);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(power * 16, 6);
  head.writeUInt16BE(Math.log2(power), 8);
  head.writeUInt16BE((count - power) * 16, 10);
  let at = head.length;
  const parts: Buffer[] = [head];
  tables.forEach(({ tag, checksum, data }, i) => {
    const entry = 12 + 16 * i;
    tag.copy(head, entry);
    head.writeUInt32BE(checksum, entry + 4);
    head.writeUInt32BE(at, entry + 8);
    head.writeUInt32BE(data.length, entry + 12);
    const padding = Buffer.alloc((4 - (data.length % 4)) % 4);
    parts.push(data, padding);
    at += data.length + padding.length;
  });
  return Buffer.concat(parts);
}

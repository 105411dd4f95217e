import { unzlibSync } from 'fflate';

const SIGNATURE = 0x774f4646;
const HEADER = { woff: 44, sfnt: 12 };
const ENTRY = { woff: 20, sfnt: 16 };
/** Room behind the last table: an empty glyph at the end of one is read a little further on. */
const ROOM = 64;
/** Bytes of all tables: no font that is taken in has more. */
const MOST_UNPACKED = 64 * 1024 * 1024;

const aligned = (at: number) => (at + 3) & ~3;

interface Table {
  tag: number;
  checksum: number;
  bytes: Uint8Array;
}

/** @throws when a table lies outside the file or does not unpack to the length that it says */
function tablesOf(bytes: Uint8Array, view: DataView): Table[] {
  let unpacked = 0;
  return Array.from({ length: view.getUint16(12) }, (_, i) => {
    const at = HEADER.woff + i * ENTRY.woff;
    const [tag, offset, packed, length, checksum] = [0, 4, 8, 12, 16].map((o) => view.getUint32(at + o)) as [
      number,
      number,
      number,
      number,
      number,
    ];
    if (offset + packed > bytes.length) throw new Error('A table of the font lies outside its file.');
    unpacked += length;
    if (unpacked > MOST_UNPACKED) throw new Error('The font is too large once it is unpacked.');
    const part = bytes.subarray(offset, offset + packed);
    const table = packed < length ? unzlibSync(part, { out: new Uint8Array(length) }) : part;
    if (table.length !== length) throw new Error('A table of the font is cut short.');
    return { tag, checksum, bytes: table };
  });
}

/**
 * A font that is packed as WOFF 1 as the plain font that it holds; any other one as it is. Source: W3C, WOFF File Format 1.0.
 * @throws when it is damaged
 */
export function unpackedFont(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < HEADER.woff || view.getUint32(0) !== SIGNATURE) return bytes;
  const tables = tablesOf(bytes, view);
  const start = HEADER.sfnt + tables.length * ENTRY.sfnt;
  const size = tables.reduce((sum, t) => sum + aligned(t.bytes.length), start);
  const out = new Uint8Array(size + ROOM);
  const sfnt = new DataView(out.buffer);
  sfnt.setUint32(0, view.getUint32(4));
  sfnt.setUint16(4, tables.length);
  let at = start;
  tables.forEach(({ tag, checksum, bytes: table }, i) => {
    const entry = HEADER.sfnt + i * ENTRY.sfnt;
    sfnt.setUint32(entry, tag);
    sfnt.setUint32(entry + 4, checksum);
    sfnt.setUint32(entry + 8, at);
    sfnt.setUint32(entry + 12, table.length);
    out.set(table, at);
    at += aligned(table.length);
  });
  return out;
}

import { readFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, deflateSync } from 'node:zlib';
import { unpackedFont } from '@/render/woff';

const PLAIN = path.resolve('node_modules/@fontsource/markazi-text/files/markazi-text-latin-400-normal.woff');

/** A plain font whose table of letters says that it has all up to a code point. Source: OpenType, cmap format 12. */
export function namingLetters(last: number): Buffer {
  const plain = Buffer.from(unpackedFont(readFileSync(PLAIN)));
  const cmap = Buffer.alloc(12 + 16 + 12);
  cmap.writeUInt16BE(1, 2);
  cmap.writeUInt16BE(3, 4);
  cmap.writeUInt16BE(10, 6);
  cmap.writeUInt32BE(12, 8);
  cmap.writeUInt16BE(12, 12);
  cmap.writeUInt32BE(28, 16);
  cmap.writeUInt32BE(1, 24);
  cmap.writeUInt32BE(last, 32);
  cmap.writeUInt32BE(1, 36);
  for (let i = 0; i < plain.readUInt16BE(4); i++) {
    const entry = 12 + i * 16;
    if (plain.toString('latin1', entry, entry + 4) !== 'cmap') continue;
    plain.writeUInt32BE(plain.length, entry + 8);
    plain.writeUInt32BE(cmap.length, entry + 12);
  }
  return Buffer.concat([plain, cmap]);
}

/** A WOFF whose header says little and whose tables unpack to much. */
export function swellingWoff(tables: number, megabytes: number): Buffer {
  const packed = deflateSync(Buffer.alloc(megabytes * 1024 * 1024));
  const start = 44 + tables * 20;
  const header = Buffer.alloc(start);
  header.write('wOFF', 'latin1');
  header.writeUInt32BE(0x00010000, 4);
  header.writeUInt16BE(tables, 12);
  header.writeUInt32BE(1000, 16);
  for (let i = 0; i < tables; i++) {
    const at = 44 + i * 20;
    header.write(`tb${String(i).padStart(2, '0')}`, at, 'latin1');
    header.writeUInt32BE(start, at + 4);
    header.writeUInt32BE(packed.length, at + 8);
    header.writeUInt32BE(megabytes * 1024 * 1024, at + 12);
  }
  return Buffer.concat([header, packed]);
}

/** A WOFF 2 of one table that says little and unpacks to much. */
export function swellingWoff2(megabytes: number): Buffer {
  const packed = brotliCompressSync(Buffer.alloc(megabytes * 1024 * 1024));
  const header = Buffer.alloc(50);
  header.write('wOF2', 'latin1');
  header.writeUInt32BE(0x00010000, 4);
  header.writeUInt16BE(1, 12);
  header.writeUInt32BE(1000, 16);
  header.writeUInt32BE(packed.length, 20);
  header.writeUInt8(0, 48);
  header.writeUInt8(100, 49);
  return Buffer.concat([header, packed]);
}

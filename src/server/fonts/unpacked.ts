import { brotliDecompressSync, inflateSync } from 'node:zlib';

const WOFF = 0x774f4646;
const WOFF2 = 0x774f4632;

/** Thrown by `zlib` for more bytes than are asked for. */
const TOO_LARGE = 'ERR_BUFFER_TOO_LARGE';

/** The bytes that something unpacks to; `null` for more than are allowed, 0 for what cannot be unpacked. */
function counted(unpack: (options: { maxOutputLength: number }) => Buffer, most: number): number | null {
  if (most < 1) return null;
  try {
    return unpack({ maxOutputLength: most }).length;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === TOO_LARGE ? null : 0;
  }
}

/** Whether all tables of a WOFF 1 unpack to no more. Source: W3C, WOFF File Format 1.0, §5. */
function isWoffWithin(bytes: Buffer, most: number): boolean {
  let left = most;
  for (let i = 0; i < bytes.readUInt16BE(12); i++) {
    const at = 44 + i * 20;
    if (at + 20 > bytes.length) return true;
    const [offset, packed, length] = [4, 8, 12].map((o) => bytes.readUInt32BE(at + o)) as [
      number,
      number,
      number,
    ];
    if (length > left) return false;
    const part = bytes.subarray(offset, offset + packed);
    const size = packed < length ? counted((options) => inflateSync(part, options), left) : length;
    if (size === null) return false;
    left -= size;
  }
  return true;
}

/** A number of one to five bytes, and where it ends. Source: W3C, WOFF File Format 2.0, §4.1 `UIntBase128`. */
function base128(bytes: Buffer, at: number): { value: number; end: number } {
  let value = 0;
  for (let i = at; i < at + 5; i++) {
    const byte = bytes.readUInt8(i);
    value = value * 128 + (byte & 127);
    if (byte < 128) return { value, end: i + 1 };
  }
  throw new RangeError('A length of the font is damaged.');
}

/** Transformed tables say their length twice: `glyf` and `loca` unless they are of version 3, all others unless of version 0. */
const isTransformed = (flags: number) => {
  const [tag, version] = [flags & 63, flags >> 6];
  return tag === 10 || tag === 11 ? version !== 3 : version !== 0;
};

/** Whether the tables of a WOFF 2 say, and unpack to, no more. Source: W3C, WOFF File Format 2.0, §4.1. */
function isWoff2Within(bytes: Buffer, most: number): boolean {
  let at = 48;
  let said = 0;
  try {
    for (let i = 0; i < bytes.readUInt16BE(12); i++) {
      const flags = bytes.readUInt8(at);
      at += (flags & 63) === 63 ? 5 : 1;
      const length = base128(bytes, at);
      at = isTransformed(flags) ? base128(bytes, length.end).end : length.end;
      said += length.value;
    }
  } catch (error) {
    // It is cut short, which reading it will say.
    if (error instanceof RangeError) return true;
    throw error;
  }
  const part = bytes.subarray(at, at + bytes.readUInt32BE(20));
  return said <= most && counted((options) => brotliDecompressSync(part, options), most) !== null;
}

/**
 * Whether a font has no more bytes once it is unpacked, counted as they come: what its header says of that is not believed.
 * @param bytes of TTF, OTF, WOFF or WOFF2, of at least 4 bytes @param most bytes
 */
export function isUnpackedWithin(bytes: Buffer, most: number): boolean {
  if (bytes.length < 48) return bytes.length <= most;
  switch (bytes.readUInt32BE(0)) {
    case WOFF:
      return bytes.readUInt32BE(16) <= most && isWoffWithin(bytes, most);
    case WOFF2:
      return bytes.readUInt32BE(16) <= most && isWoff2Within(bytes, most);
    default:
      return bytes.length <= most;
  }
}

/** An address that holds a file itself. Source: RFC 2397. */
export const dataAddress = (bytes: Uint8Array, mediaType: string): string =>
  `data:${mediaType};base64,${Buffer.from(bytes).toString('base64')}`;

import { Zip, ZipPassThrough } from 'fflate';

/**
 * Files in a ZIP, as they are, to be sent.
 * @param name of the ZIP @param files in order, each with its path in it
 */
export async function packed(
  name: string,
  files: Iterable<readonly [path: string, file: File]>,
): Promise<File> {
  const chunks: Uint8Array<ArrayBuffer>[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    chunks.push(chunk as Uint8Array<ArrayBuffer>);
  });
  for (const [path, file] of files) {
    const entry = new ZipPassThrough(path);
    zip.add(entry);
    entry.push(new Uint8Array(await file.arrayBuffer()), true);
  }
  zip.end();
  return new File(chunks, name, { type: 'application/zip' });
}

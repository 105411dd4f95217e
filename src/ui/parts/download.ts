import { fetchInside } from '../session';

/** Hands a file to the browser to be kept under a name. */
export function download(name: string, file: Blob): void {
  const address = URL.createObjectURL(file);
  Object.assign(document.createElement('a'), { href: address, download: name }).click();
  URL.revokeObjectURL(address);
}

/** Fetches a file from the server and hands it to the browser. @throws with the words of the server */
export async function downloadFrom(address: string, name: string): Promise<void> {
  const response = await fetchInside(address);
  if (!response.ok) throw new Error(((await response.json()) as { detail?: string }).detail);
  download(name, await response.blob());
}

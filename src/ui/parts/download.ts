/** Hands a file to the browser to be kept under a name. */
export function download(name: string, file: Blob): void {
  const address = URL.createObjectURL(file);
  Object.assign(document.createElement('a'), { href: address, download: name }).click();
  URL.revokeObjectURL(address);
}

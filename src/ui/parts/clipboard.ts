/** By a field that is selected, which browsers let every page do. @throws where the browser refuses it */
function copyFromField(text: string): void {
  const field = document.createElement('textarea');
  field.value = text;
  field.style.cssText = 'position:fixed;opacity:0';
  const before = document.activeElement;
  // Within what is open above the page, as a dialog keeps the focus to itself.
  (before?.closest('[role=dialog]') ?? document.body).append(field);
  try {
    field.select();
    if (!document.execCommand('copy')) throw new Error('The browser does not let this page copy.');
  } finally {
    field.remove();
    if (before instanceof HTMLElement) before.focus();
  }
}

/**
 * Puts a text on the clipboard, also where the page is not served by https or refused the permission, so that the browser
 * hands out no clipboard.
 * @throws where the browser refuses both ways
 */
export async function copyText(text: string): Promise<void> {
  // eslint-disable-next-line no-restricted-syntax -- without it there is the other way
  const clipboard = navigator.clipboard as Clipboard | undefined;
  try {
    if (clipboard) return await clipboard.writeText(text);
  } catch {
    // It was refused, such as without the focus: the other way may still be open.
  }
  copyFromField(text);
}

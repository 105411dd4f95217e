/**
 * Puts a text on the clipboard, also where the page is not served safely, so that the browser hands out no clipboard.
 * @throws where the browser refuses both ways
 */
export async function copyText(text: string): Promise<void> {
  if (navigator.clipboard) {
    await navigator.clipboard.writeText(text);
    return;
  }
  const field = document.createElement('textarea');
  field.value = text;
  field.style.cssText = 'position:fixed;opacity:0';
  const before = document.activeElement;
  document.body.append(field);
  try {
    field.select();
    if (!document.execCommand('copy')) throw new Error('The browser does not let this page copy.');
  } finally {
    field.remove();
    if (before instanceof HTMLElement) before.focus();
  }
}

/** Characters that XML 1.0 cannot hold, not even escaped. Source: XML 1.0 §2.2. */
const FORBIDDEN =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

/** A text as XML writes it, in an element or in the quotes of an attribute. */
export const escapeXml = (text: string): string =>
  text
    .replaceAll(FORBIDDEN, '\uFFFD')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

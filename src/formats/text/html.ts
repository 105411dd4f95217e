import { PALETTE } from '@/render/palette';

/** A text as HTML writes it, in an element or in the quotes of an attribute. */
export const escapeHtml = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** Every colour of one theme as custom properties. */
const declared = (colours: Readonly<Record<string, string>>): string =>
  Object.entries(colours)
    .map(([name, colour]) => `--${name}: ${colour};`)
    .join(' ');

/** The colours of pages that stand alone, in light and dark: those of the product. */
export const PAPER = `
:root { color-scheme: light dark; ${declared(PALETTE.light)} }
@media (prefers-color-scheme: dark) { :root { ${declared(PALETTE.dark)} } }
`;

/** The look of pages that stand alone: on a screen in light and dark, and on paper. */
const STYLE = `
${PAPER}
* { box-sizing: border-box; }
body { margin: 0 auto; max-width: 60rem; padding: 2rem 1.5rem 4rem; background: var(--raised); color: var(--ink); font: 15px/1.5 system-ui, sans-serif; }
h1 { font-size: 1.7rem; line-height: 1.2; margin: 0 0 .5rem; }
h2 { font-size: 1.2rem; margin: 2.2rem 0 .4rem; border-top: 1px solid var(--line); padding-top: 1rem; }
h3 { font-size: 1rem; margin: 1.2rem 0 .3rem; }
p { margin: .4rem 0; }
.quiet { color: var(--ink-2); }
.fail { color: var(--fail); } .warn { color: var(--warn); } .clear { color: var(--clear); }
.scrolls { overflow-x: auto; }
table { border-collapse: collapse; width: 100%; margin: .6rem 0; font-variant-numeric: tabular-nums; }
th, td { text-align: left; vertical-align: top; padding: .25rem .8rem .25rem 0; border-bottom: 1px solid var(--line); font-weight: normal; }
thead th { color: var(--ink-2); }
dl { display: grid; grid-template-columns: max-content 1fr; gap: .1rem 1rem; margin: .6rem 0; }
dt { color: var(--ink-2); } dd { margin: 0; overflow-wrap: anywhere; }
pre { overflow-x: auto; border: 1px solid var(--line); border-radius: 4px; padding: .7rem; font: 13px/1.45 ui-monospace, monospace; white-space: pre-wrap; overflow-wrap: anywhere; }
.swatch { display: inline-block; width: .9em; height: .9em; border: 1px solid var(--ink-2); vertical-align: -.1em; margin-right: .4em; }
figure { margin: 0; } figcaption { color: var(--ink-2); font-size: 13px; }
img { max-width: 100%; height: auto; }
@media print { body { max-width: none; padding: 0; font-size: 10.5pt; background: none; } h2, h3, figure, tr { break-inside: avoid; break-after: auto; } h2, h3 { break-after: avoid; } pre, .scrolls { overflow: visible; } }
`;

/** What a page that was saved may do: show what it holds itself, and nothing else. Source: W3C, Content Security Policy 3. */
export const POLICY =
  "<meta http-equiv=\"Content-Security-Policy\" content=\"default-src 'none'; img-src data:; font-src data:; style-src 'unsafe-inline'; base-uri 'none'; form-action 'none'\">";

/** A page that needs nothing else, for a screen and for paper. @param body as HTML @param more rules of its own */
export const standingPage = (title: string, body: string, more = ''): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
${POLICY}
<title>${escapeHtml(title)}</title>
<style>${STYLE}${more}</style>
</head>
<body>
<main>
${body}</main>
</body>
</html>
`;

import { escapeHtml, PAPER } from '../text/html';

const STYLE = `
${PAPER}
html, body { height: 100%; }
body { margin: 0; background: var(--raised); color: var(--ink); font: 16px/1.45 system-ui, sans-serif; overscroll-behavior: none; }
.area { position: fixed; visibility: hidden; padding: env(safe-area-inset-top, 0px) env(safe-area-inset-right, 0px) env(safe-area-inset-bottom, 0px) env(safe-area-inset-left, 0px); }
.window { position: fixed; inset: 0; }
canvas { position: absolute; inset: 0; width: 100%; height: 100%; display: block; }
canvas:focus-visible { outline: 3px solid var(--river); outline-offset: -3px; }
.sheet { position: fixed; inset: 0; overflow-y: auto; padding: max(1.5rem, env(safe-area-inset-top, 0px)) max(1.25rem, env(safe-area-inset-right, 0px)) max(1.5rem, env(safe-area-inset-bottom, 0px)) max(1.25rem, env(safe-area-inset-left, 0px)); background: var(--raised); }
.sheet[hidden] { display: none; }
.inner { max-width: 34rem; margin: 0 auto; }
h1 { font-size: 1.3rem; line-height: 1.25; margin: 0 0 .75rem; }
p { margin: .5rem 0; }
.quiet { color: var(--ink-2); }
table { border-collapse: collapse; width: 100%; margin: .75rem 0; font-variant-numeric: tabular-nums; }
th, td { text-align: left; vertical-align: top; padding: .35rem .75rem .35rem 0; border-bottom: 1px solid var(--line); font-weight: normal; }
th { color: var(--ink-2); } thead th { font-size: .85rem; }
ul { margin: .75rem 0; padding-left: 1.1rem; }
.acts { display: flex; flex-wrap: wrap; gap: .75rem; margin: 1.25rem 0 0; }
button { font: inherit; min-height: 3rem; padding: .5rem 1.1rem; border-radius: 3px; border: 1px solid var(--river); background: none; color: var(--river); }
button.main { background: var(--river); color: var(--raised); }
button:focus-visible { outline: 3px solid var(--river); outline-offset: 2px; }
`;

/** What the page is made of. */
interface Page {
  /** the part of the path by which the screen came */
  address: string;
  /** what runs in it */
  script: string;
  /** by which its script and its look are known to be its own */
  nonce: string;
}

/** The page that reads a real screen and shows what it is sent, over all of it. */
export const realScreenPage = ({ address, script, nonce }: Page): string => `<!doctype html>
<html lang="en" data-address="${escapeHtml(address)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
<meta name="color-scheme" content="light dark">
<link rel="icon" href="data:,">
<title>A real screen</title>
<style nonce="${nonce}">${STYLE}</style>
</head>
<body>
<div class="area" aria-hidden="true"></div>
<div class="window"><canvas role="button" tabindex="0" aria-label="Nothing is shown yet. Opens what was read off this screen."></canvas></div>
<main class="sheet"><div class="inner">
<h1 id="title">Reading this screen…</h1>
<p id="status" role="status"></p>
<div id="figures"></div>
<div class="acts"><button type="button" class="main" id="show" hidden>Show what the desk shows</button><button type="button" id="fill" hidden>Fill the screen</button></div>
<noscript><p>This page reads the screen by a script. Allow scripts for it, and open the address anew.</p></noscript>
</div></main>
<script nonce="${nonce}">${script.replaceAll('</script', '<\\/script')}</script>
</body>
</html>
`;

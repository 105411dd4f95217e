import { sayTime } from '@/core/words/words';
import type { ReportedProof } from '@/render/report/report';
import { escapeHtml } from '../text/html';

type Target = ReportedProof['targets'][number];

function lineHtml({ what, found }: Target['checks'][number]): string {
  const by = found?.by ? ` by ${escapeHtml(found.by)}` : '';
  const state = found?.done
    ? '<span class="clear"><span aria-hidden="true">✓</span> found right</span>'
    : '<span class="quiet">not ticked</span>';
  const told = found
    ? `${found.note ? `${escapeHtml(found.note)} ` : ''}<span class="quiet">${sayTime(found.at)}${by}</span>`
    : '';
  return `<tr><th scope="row">${escapeHtml(what)}</th><td>${state}</td><td>${told}</td></tr>\n`;
}

/** A target of which something was looked at, line by line; of one of which nothing was, that alone. */
function targetHtml({ name, checks }: Target): string {
  const title = `<h3>${escapeHtml(name)}</h3>\n`;
  if (checks.every((c) => c.found === null)) return `${title}<p>Nothing was looked at yet.</p>\n`;
  return `${title}<div class="scrolls" tabindex="0" role="region" aria-label="${escapeHtml(name)}"><table>\n<thead><tr><th scope="col">What to look at</th><th scope="col">Found</th><th scope="col">What was noticed</th></tr></thead>\n<tbody>\n${checks.map(lineHtml).join('')}</tbody>\n</table></div>\n`;
}

/** What was looked at on real devices, as a part of a report. @param gallery of the screenshots, as HTML */
export function proofHtml({ targets, screenshots }: ReportedProof, gallery: string): string {
  const all = targets.flatMap((t) => t.checks);
  const ticked = all.filter((c) => c.found?.done).length;
  const shots =
    screenshots.length > 0
      ? `<h3>Real screenshots, and where they differ</h3>\n${gallery}`
      : '<p>No real screenshot was held against its case.</p>\n';
  return `<h2>On real devices</h2>\n<p>${ticked} of ${all.length} looks are ticked.</p>\n${targets.map(targetHtml).join('')}${shots}`;
}

import sharp from 'sharp';
import { demo, madeUpPixels } from '../../../demo/testing';
import { CHECKLIST, deviceTargets } from '@/core/launch/checklist';
import type { Documents } from '@/core/project/documents';
import { sayOpenCases } from '@/core/findings/say-open';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { SCREENS } from '@/core/testing/scenes';
import type { Host } from '@/render/host';
import { makeReport } from '@/render/report/make';
import type { Report } from '@/render/report/report';
import { fontsFor } from '../fonts/fonts';
import { reportHtml } from '@/formats/report/html';

const host: Host = {
  pixels: () => Promise.resolve(madeUpPixels()),
  ink: () => Promise.resolve(new Map()),
  fonts: () => Promise.resolve(fontsFor(demo)),
};
/** The last of them has a hinge, on which the demo accepts something. */
const screens = [...SCREENS.slice(0, 2), SCREENS.find((s) => s.id === 'fold-inner-1114x720-2-5x-dual')!];
const RED = { r: 200, g: 30, b: 30 };
const picture = sharp({ create: { width: 64, height: 48, channels: 3, background: RED } })
  .png()
  .toBuffer();

const TICKED = CHECKLIST[0]!;
const [target] = deviceTargets(demo.project.launches);
/** The demo after somebody has looked at a device. */
const looked: Documents = {
  ...demo,
  project: {
    ...demo.project,
    checked: [
      {
        ...{ check: TICKED.id, target: target!.id, done: true, note: 'once <more>', by: 'Ines' },
        at: '2026-01-05T09:00:00.000Z',
      },
    ],
    evidence: [
      {
        ...{ id: 'shot-1', scene: 'winter-splash', case: `${screens[0]!.id}.0.light`, name: 'My phone.png' },
        ...{ hash: 'a'.repeat(64), picture: 'b'.repeat(64), at: '2026-01-05T09:00:00.000Z', revision: 7 },
        ...{ scale: 1, ignored: [], layers: [], opinion: 'Emblem 3 px lower than ruled.', differing: 0.1 },
      },
    ],
  },
};

const steps: { done: number; of: number }[] = [];
let report: Report;
let html: string;

beforeAll(async () => {
  const wanted = { documents: looked, revision: 7, screens };
  report = await makeReport(
    wanted,
    host,
    () => picture,
    (step) => {
      steps.push(step);
      return Promise.resolve();
    },
  );
  html = reportHtml(report);
});

/** What a reader sees of a piece of HTML. */
const textOf = (piece: string) =>
  piece
    .replace(/<style>[^]*?<\/style>|<[^>]+>/g, ' ')
    .replace(
      /&quot;|&amp;|&lt;|&gt;/g,
      (e) => ({ '&quot;': '"', '&amp;': '&', '&lt;': '<', '&gt;': '>' })[e]!,
    )
    .replace(/\s+/g, ' ');

const open = (findings: readonly ReviewFinding[]) => findings.filter((f) => f.accepted === null);
const openCount = (f: ReviewFinding) => f.cases.filter((c) => c.accepted === undefined).length;

/** The part of the page under one heading. */
function under(title: string): string {
  const parts = html.split('<h2>').slice(1);
  return parts.find((p) => p.startsWith(`${title}</h2>`))!;
}

it('says what was looked at on real devices, and what was not', () => {
  const part = under('On real devices');
  const of = deviceTargets(demo.project.launches).length * CHECKLIST.length;
  expect(textOf(part)).toContain(`1 of ${of} looks are ticked.`);
  const own = part.split('<h3>').find((p) => p.startsWith(target!.name))!;
  const rows = own.split('<tr>').slice(2).map(textOf);
  expect(rows).toHaveLength(CHECKLIST.length);
  expect(rows[0]).toContain('found right');
  expect(rows[0]).toContain('once <more> 2026-01-05 09:00 UTC by Ines');
  for (const row of rows.slice(1)) expect(row).toContain('not ticked');
  expect(textOf(part)).toContain('Emblem 3 px lower than ruled.');
  expect(part).toContain('data:image/webp;base64,');
});

const partsOf = ({ scenes, launches }: Review) => [...scenes, ...launches];

describe('a report', () => {
  it('says of each scene and each launch the counts of the review, and no others', () => {
    for (const { name, counts } of partsOf(report.review)) {
      const said = /<p>(.*?)<\/p>/.exec(under(name))![1];
      const all = counts.fail + counts.warn + counts.clear;
      expect(said).toBe(`${counts.fail} fail, ${counts.warn} warn, ${counts.clear} clear, of ${all} cases.`);
      const row = new RegExp(`<th scope="row">${name}</th>(.*?)</tr>`).exec(html)![1]!;
      const cells = [...row.matchAll(/<td>(\d+)<\/td>/g)].map(([, n]) => Number(n));
      expect(cells).toEqual([counts.fail, counts.warn, counts.clear]);
    }
  });

  it('has every open finding once, with its cases, its weight and its worst as the review has them', () => {
    for (const { name, findings } of partsOf(report.review)) {
      const sections = under(name).split('<section').slice(1).map(textOf);
      expect(sections).toHaveLength(open(findings).length);
      for (const f of open(findings)) {
        const own = sections.filter((s) => s.includes(f.word) && s.includes(f.said));
        expect(own).not.toHaveLength(0);
        expect(own.some((s) => s.includes(`On ${sayOpenCases(f)}, `))).toBe(true);
        expect(own.some((s) => s.includes(`on ${f.worst.caseId}`))).toBe(true);
      }
    }
    const files = report.review.files.flatMap((f) => open(f.findings));
    expect(under(`Files of ${report.review.files.length} pictures`).split('<section')).toHaveLength(
      files.length + 1,
    );
  });

  it('sums its verdict up from what it lists', () => {
    const all = [...partsOf(report.review), ...report.review.files].flatMap((p) => open(p.findings));
    const fails = all.filter((f) => f.outcome === 'fail').length;
    expect(textOf(html)).toContain(`Not yet: ${fails} findings fail`);
    expect(html.match(/class="finding fail-edge"/g)).toHaveLength(fails);
  });

  it('names everything that is accepted, with its reason, and everything that was not checked', () => {
    const accepted = [...partsOf(report.review), ...report.review.files]
      .flatMap((p) => p.findings)
      .filter((f) => f.accepted !== null);
    expect(accepted.length).toBeGreaterThan(0);
    const said = textOf(under('Accepted, and why'));
    for (const f of accepted) {
      expect(said).toContain(f.word);
      expect(said).toContain(f.accepted!);
    }
    expect(under('Accepted, and why').match(/<li>/g)).toHaveLength(accepted.length);
    const left = textOf(under('Not checked'));
    for (const { what, why } of report.review.notChecked) {
      expect(left).toContain(what);
      expect(left).toContain(why);
    }
  });

  it('shows what is wrong before and after a mend, whose counts before it are those of the review', async () => {
    let mended = 0;
    for (const [i, { causes }] of report.scenes.entries()) {
      const { counts } = report.review.scenes[i]!;
      for (const { finding, mend, shots } of causes.flatMap((c) => c.findings)) {
        if (!mend) continue;
        mended++;
        expect(mend.was).toEqual(counts);
        expect(mend.is.fail + mend.is.warn + mend.is.clear).toBe(counts.fail + counts.warn + counts.clear);
        expect(mend.clears).toBeLessThanOrEqual(openCount(finding));
        expect(shots.map((s) => s.caseId)).toEqual([finding.worst.caseId, finding.worst.caseId]);
      }
    }
    expect(mended).toBeGreaterThan(5);
    const [shot] = report.scenes[1]!.telling;
    const { format, width, height } = await sharp(shot!.picture).metadata();
    expect({ format, width, height }).toEqual({ format: 'webp', ...shot!.size });
  });

  it('needs nothing else: no script, no address of anything', () => {
    expect(html).not.toMatch(/<script|<link|<iframe|@import|url\(/);
    const sources = [...html.matchAll(/(?:src|href)="([^"]{0,12})/g)].map(([, s]) => s);
    expect(sources.length).toBeGreaterThan(10);
    expect(sources.every((s) => s!.startsWith('data:image/'))).toBe(true);
  });

  it('says how far it is, up to its end', () => {
    const drawing = steps.slice(-5);
    expect(drawing.every(({ done, of }) => done <= of)).toBe(true);
    expect(steps.length).toBeGreaterThan(20);
  });
});

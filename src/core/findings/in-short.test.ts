import { demo, demoCases, demoInput, madeUpPixels } from '../../../demo/testing';
import { survey } from '../survey/survey';
import { inShort, sayWhere, textOf } from './in-short';
import { findingsOf, withParts } from './scene';

const cases = demoCases.filter((_, i) => i % 5 === 0);

function shortOf(id: string) {
  const input = { ...demoInput(id), pixels: madeUpPixels() };
  const found = withParts(input, findingsOf(input.scene, survey(input, cases), cases), cases);
  return found.map((finding) => ({ finding, short: inShort(input, finding, cases) }));
}

describe('why a finding is there, in short', () => {
  const all = demo.project.scenes.flatMap(shortOf);

  it('is one sentence of at most 25 words, which names what it is about', () => {
    expect(all.length).toBeGreaterThan(20);
    for (const { finding, short } of all) {
      const text = textOf(short);
      expect(text).toMatch(/^[A-Z].*\.$/s);
      expect([text, text.split(/\s+/).length <= 25]).toEqual([text, true]);
      expect([text, text.toLowerCase().includes(finding.subject.name.toLowerCase())]).toEqual([text, true]);
      expect(text).not.toMatch(/undefined|NaN| {2}|\.\./);
    }
  });

  it('has the part to change in it, where one is to blame', () => {
    for (const { finding, short } of all) if (finding.part) expect(short.part?.at).toEqual(finding.part);
  });

  it('says of a covered photo how much of it is seen, and where what is lost stands', () => {
    const { short } = all.find(
      ({ finding }) => finding.in.id === 'winter-splash' && finding.measure === 'keep-lost',
    )!;
    expect(textOf(short)).toMatch(
      /cover shows only the \w+ \d+(\.\d+)?.% of Harbour; Lighthouse stands left of it\.$/,
    );
  });

  it('says of what is whole in its box, and cut by the screen, at which side, and blames its place', () => {
    const cut = all.filter(
      ({ finding }) => finding.measure === 'crop' && finding.part?.path.join() === 'placing',
    );
    expect(cut.length).toBeGreaterThan(0);
    for (const { finding, short } of cut) {
      expect(textOf(short)).toMatch(
        /is cut off at the (left|right|top|bottom): it follows from its place\.$/,
      );
      expect(short.part!.at.layerId).toBe(finding.subject.id);
    }
  });

  it('is of the case that is looked at, where there is one', () => {
    const input = { ...demoInput('winter-splash'), pixels: madeUpPixels() };
    const { finding } = all.find(
      (a) => a.finding.in.id === 'winter-splash' && a.finding.measure === 'keep-lost',
    )!;
    const seen = finding.cases.map(({ caseId }) => textOf(inShort(input, finding, cases, caseId)));
    expect(new Set(seen).size).toBeGreaterThan(3);
    for (const text of seen) expect(text).toMatch(/^Here cover shows only the \w+ [\d.]+.% of Harbour; /);
  });
});

describe('where a finding is', () => {
  const portrait = cases.filter((c) => c.rotation === 0);
  it('is what its cases have in common that others have not', () => {
    expect(sayWhere(cases, cases)).toBe('Everywhere');
    expect(
      sayWhere(
        cases.filter((c) => c.appearance === 'dark'),
        cases,
      ),
    ).toBe('On dark screens');
    const phones = portrait.filter((c) => c.screen.kind === 'phone' && c.appearance === 'light');
    expect(sayWhere(phones, cases)).toBe('On light upright phones');
    expect(sayWhere(cases.slice(0, 40), cases)).toMatch(/^On /);
  });
});

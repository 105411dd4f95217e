import { demo, demoCases, demoInput, madeUpPixels } from '../../../demo/testing';
import { casesOf } from '../screens/cases';
import type { Limit } from '../measure/limit';
import { survey } from '../survey/survey';
import { because, causeOf, suspects } from './because';
import { couldClear } from './clearing';
import { findingsOf, withParts } from './scene';

const cases = demoCases.filter((_, i) => i % 5 === 0);

function foundIn(id: string, over = cases) {
  const input = { ...demoInput(id), pixels: madeUpPixels() };
  return { input, found: findingsOf(input.scene, survey(input, over), over) };
}

it('two keep areas that are further apart than a phone shows are laid to the fit: no position shows both', () => {
  const { input, found } = foundIn('winter-splash');
  const finding = found.find((f) => f.subject.id === 'harbour' && f.measure === 'keep-lost')!;
  const parts = suspects(because(input, finding, cases), finding);
  expect(parts[0]!.path).toEqual(['fit', 'align']);
  expect(causeOf(input, finding, cases)).toEqual({ layerId: 'harbour', path: ['fit'] });
});

it('one keep area that any screen has room for is laid to the position', () => {
  const { input } = foundIn('winter-splash');
  const pictures = input.pictures.map((p) => ({
    ...p,
    cuts: p.cuts.map((cut) => ({ ...cut, keepAreas: cut.keepAreas.slice(0, 1) })),
  }));
  const one = { ...input, pictures };
  const found = findingsOf(one.scene, survey(one, cases), cases);
  const finding = found.find((f) => f.subject.id === 'harbour' && f.measure === 'keep-lost')!;
  expect(causeOf(one, finding, cases)).toEqual({ layerId: 'harbour', path: ['fit', 'align'] });
});

it('what lies under a fold that runs down the screen is laid to its place across', () => {
  const folded = casesOf(
    demoCases
      .filter((c) => c.rotation === 0 && c.appearance === 'light')
      .map((c) => c.screen)
      .filter((s) => s.cutouts.some((h) => h.shape === 'hinge' && h.width > 0 && h.height === s.height)),
    ['light'],
  ).filter((c) => c.rotation === 0);
  expect(folded.length).toBeGreaterThan(0);
  const { input, found } = foundIn('winter-splash-mended', folded);
  const finding = found.find((f) => f.subject.id === 'emblem' && f.measure === 'under-cutout')!;
  expect(causeOf(input, finding, folded)).toEqual({ layerId: 'emblem', path: ['placing', 'x'] });
});

it('what a panel that hugs it holds is tried in no place that would go round in a circle', () => {
  const { input } = foundIn('sign-in');
  const scene = structuredClone(input.scene);
  const form = scene.layers.find((l) => l.id === 'form')!;
  if (form.kind !== 'panel') throw new Error('It is a panel');
  form.placing.y = {
    kind: 'middle',
    region: 'safe',
    shift: { value: 0, unit: 'lu' },
    extent: { kind: 'hug' },
  };
  // Everything is wrong that can be: each part of each rule is tried.
  const limits = input.limits.map((l): Limit => ({ ...l, min: undefined, max: -1e9 }));
  const strict = { ...input, scene, limits };
  const found = findingsOf(scene, survey(strict, cases), cases);
  expect(found.length).toBeGreaterThan(10);
  expect(() => withParts(strict, found, cases)).not.toThrow();
});

describe.each(demo.project.scenes)('on %s', (id) => {
  const { input, found } = foundIn(id);

  it('each part that is named could clear its finding by itself', () => {
    const named = withParts(input, found, cases).filter((f) => f.part !== undefined);
    expect(named.length).toBeGreaterThan(0);
    for (const { part, id: of, worst } of named) {
      const c = cases.find((one) => one.id === worst.caseId)!;
      expect([of, part, couldClear(input, part!, of, c)]).toEqual([of, part, true]);
    }
  });

  it('no finding without a part has one that could clear it', () => {
    for (const finding of withParts(input, found, cases).filter((f) => f.part === undefined)) {
      const c = cases.find((one) => one.id === finding.worst.caseId)!;
      const able = suspects(because(input, finding, cases), finding).filter((p) =>
        couldClear(input, p, finding.id, c),
      );
      expect([finding.id, able]).toEqual([finding.id, []]);
    }
  });
});

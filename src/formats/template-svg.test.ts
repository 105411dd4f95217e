import { casesOf } from '@/core/screens/cases';
import { templateOf } from '@/core/solve/template';
import { fitOf, SCREENS } from '@/core/testing/scenes';
import { TEMPLATE_GROUPS, templateSvg } from './template-svg';

const cases = casesOf(SCREENS.slice(0, 20), ['light']);
const template = templateOf({ cases, fit: fitOf('cover') });
const groupsIn = (svg: string) =>
  new Map(
    [...svg.matchAll(/<g id="([\w-]+)"[^>]*>(.*?)<\/g>/g)].map(([, id, content]) => [
      id!,
      content!.match(/<rect/g)?.length ?? 0,
    ]),
  );

describe('a template as SVG', () => {
  it('has each layer as a group of its own, in px of the density', () => {
    const svg = templateSvg(template, 2);
    expect(svg).toContain(`width="${template.canvas.width * 2}" height="${template.canvas.height * 2}"`);
    const groups = groupsIn(svg);
    expect([...groups.keys()]).toEqual([...TEMPLATE_GROUPS]);
    expect([...groups.values()]).toEqual([1, template.views.length, 1, 1, template.cutouts.length]);
    const seen = template.seen!;
    expect(svg).toContain(`width="${Math.round(seen.width * template.canvas.width * 200) / 100}"`);
  });

  it('leaves a picture under it to be seen: no canvas, and one edge around what some screen sees', () => {
    const groups = groupsIn(templateSvg(template, 1, true));
    expect(groups.get('canvas')).toBe(0);
    expect(groups.get('seen-by-some')).toBe(1);
  });

  it('has nothing in it without screens', () => {
    const empty = templateSvg(templateOf({ cases: [], fit: fitOf('cover') }), 1);
    expect([...groupsIn(empty).values()]).toEqual([1, 0, 0, 0, 0]);
  });
});

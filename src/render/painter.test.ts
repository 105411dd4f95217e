import json from '../../data/screens.json';
import { demoDocuments, demoPictures } from '../../demo/documents';
import { withPreset } from '@/core/fit/presets';
import type { Rendition } from '@/core/pictures/picture';
import type { Scene } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import { readCatalogue } from '@/core/screens/catalogue';
import { surveyCase } from '@/core/survey/survey';
import type { Image, Pattern } from './drawing';
import { drawingOf } from './painter';

const renditions = (id: string): Rendition[] =>
  demoPictures
    .find((p) => p.id === id)!
    .files.map(({ widthPx, density, appearance }) => ({
      hash: (id === 'harbour' ? 'a' : 'b').repeat(64),
      widthPx,
      heightPx: id === 'harbour' ? widthPx * 0.75 : widthPx,
      density,
      appearance,
      vector: false,
    }));
const { project, scenes } = demoDocuments(renditions);
const screens = readCatalogue(json);

function draw(edit: (scene: Scene) => void, caseId: string, scale?: number) {
  const scene = structuredClone(scenes['winter-splash']!);
  edit(scene);
  const c = findCase(caseId, screens)!;
  const { pictures, named, limits } = project;
  const result = surveyCase({ scene, pictures, named, limits }, c);
  return drawingOf(result, { scale: scale ?? c.screen.density, glass: true });
}
const harbour = (scene: Scene) => {
  const layer = scene.layers.find((l) => l.id === 'harbour');
  if (layer?.kind !== 'picture') throw new Error('Harbour is a picture');
  return layer;
};
const isWhole = (r: object) => Object.values(r).every((v) => Number.isInteger(v));
const PHONE = 'phone-412x915-2-625x.0.light';

describe('a drawing', () => {
  it('has the px of the screen, and everything on the grid, back to front', () => {
    const { size, commands } = draw(() => {}, PHONE);
    expect(size).toEqual({ width: 1080, height: 2400 });
    expect(commands.map((c) => c.kind)).toEqual(['fill', 'image', 'image', 'image', 'glass']);
    for (const c of commands.filter((c): c is Image => c.kind === 'image')) {
      expect(isWhole(c.dest) && isWhole(c.clip)).toBe(true);
    }
    expect((commands[1] as Image).clip).toEqual({ x: 0, y: 0, width: 1080, height: 2400 });
  });

  it('keeps to the screen when what spills is left to show', () => {
    const { commands } = draw((s) => (harbour(s).fit.clip = false), PHONE);
    expect((commands[1] as Image).clip).toEqual({ x: 0, y: 0, width: 1080, height: 2400 });
    expect((commands[1] as Image).dest.width).toBeGreaterThan(1080);
  });

  it('snaps a pattern once: the pitch stays exact', () => {
    const { commands } = draw((s) => (harbour(s).fit = withPreset(harbour(s).fit, 'tile')), PHONE, 0.15);
    const pattern = commands[1] as Pattern;
    expect(pattern).toMatchObject({ kind: 'pattern', tile: { width: 120, height: 90 } });
    expect(pattern.pitch.x).toBeCloseTo(800 * 0.15, 9);
    expect(isWhole(pattern.origin)).toBe(true);
  });

  it('carries opacity and rounded corners, and leaves out what is hidden or nowhere', () => {
    const { commands } = draw((s) => {
      harbour(s).opacity = 0.4;
      harbour(s).fit.cornerRadius = { value: 24, unit: 'lu' };
      s.layers[3]!.visible = false;
    }, PHONE);
    expect(commands.map((c) => c.kind)).toEqual(['fill', 'image', 'image', 'glass']);
    expect(commands[1]).toMatchObject({ opacity: 0.4, rounding: { radius: 24 * 2.625 } });
  });

  it('follows a rule that differs when turned', () => {
    const edit = (s: Scene) => {
      harbour(s).when = [{ orientation: 'landscape', visible: false }];
    };
    expect(draw(edit, PHONE).commands).toHaveLength(5);
    expect(draw(edit, 'phone-412x915-2-625x.90.light').commands).toHaveLength(4);
  });
});

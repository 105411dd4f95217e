import json from '../../data/screens.json';
import { demoDocuments, demoPictures } from '../../demo/documents';
import { withPreset } from '@/core/fit/presets';
import type { Rendition } from '@/core/pictures/picture';
import type { Scene } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import { readCatalogue } from '@/core/screens/catalogue';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { halfWide } from '@/core/testing/fonts';
import type { Command, Group, Image, Letters, Pattern } from './drawing';
import { EM } from './em';
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
  const result = surveyCase({ scene, pictures, named, limits, fonts: null }, c);
  return drawingOf(result, { scale: scale ?? c.screen.density, glass: true, fonts: null });
}
const harbour = (scene: Scene) => {
  const layer = scene.layers.find((l) => l.id === 'harbour');
  if (layer?.kind !== 'picture') throw new Error('Harbour is a picture');
  return layer;
};
const isWhole = (r: object) => Object.values(r).every((v) => Number.isInteger(v));
/** The signs of a see-through status bar, and the line to swipe. */
const bars = Array.from({ length: 5 }, () => 'fill');
const PHONE = 'phone-412x915-2-625x.0.light';

describe('a drawing', () => {
  it('has the px of the screen, and everything on the grid, back to front', () => {
    const { size, commands } = draw(() => {}, PHONE);
    expect(size).toEqual({ width: 1080, height: 2400 });
    expect(commands.map((c) => c.kind)).toEqual(['fill', 'image', 'image', 'image', ...bars, 'glass']);
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
    expect(commands.map((c) => c.kind)).toEqual(['fill', 'image', 'image', ...bars, 'glass']);
    expect(commands[1]).toMatchObject({ opacity: 0.4, rounding: { radius: 24 * 2.625 } });
  });

  it('follows a rule that differs when turned', () => {
    const edit = (s: Scene) => {
      harbour(s).when = [{ orientation: 'landscape', visible: false }];
    };
    const images = (id: string) => draw(edit, id).commands.filter((c) => c.kind === 'image');
    expect(images(PHONE)).toHaveLength(3);
    expect(images('phone-412x915-2-625x.90.light')).toHaveLength(2);
  });
});

describe('the sign-in scene', () => {
  const draw = (edit: (scene: Scene) => void = () => {}, caseId = PHONE) => {
    const scene = structuredClone(scenes['sign-in']!);
    edit(scene);
    const c = findCase(caseId, screens)!;
    const result = surveyCase(surveyInput({ project, scenes }, scene, { fonts: halfWide }), c);
    return {
      result,
      ...drawingOf(result, { scale: 2, glass: true, fonts: { outline: (text) => `M0 0 ${text}` } }),
    };
  };
  const groupOf = (commands: readonly Command[]) => commands.find((c): c is Group => c.kind === 'group')!;
  const panelOf = (scene: Scene) => {
    const layer = scene.layers.find((l) => l.id === 'form');
    if (layer?.kind !== 'panel') throw new Error('Form is a panel');
    return layer;
  };

  it('draws a panel and what it holds as one, cut off at its rounded edges', () => {
    const { commands } = draw((s) => (panelOf(s).opacity = 0.5));
    const group = groupOf(commands);
    expect(group.opacity).toBe(0.5);
    expect(group.commands.map((c) => c.kind)).toEqual(['fill', 'letters', 'letters']);
    expect(group.commands[0]).toMatchObject({ rect: group.clip!.rect, radius: 28, opacity: 1 });
    expect(groupOf(draw((s) => (panelOf(s).clip = false)).commands).clip).toBeNull();
  });

  it('puts the letters of a line on its baseline, within the box', () => {
    const { result, commands } = draw();
    const [, greeting] = groupOf(commands).commands as [Command, Letters];
    const layer = result.layers.find((l) => l.id === 'greeting');
    if (layer?.kind !== 'text') throw new Error('Greeting is a text');
    expect(greeting.lines[0]!.outline).toContain(layer.lines[0]!.text);
    // 22 lu on a line of 22 · 1.35, with a font that reaches 0.8 above and 0.2 below the baseline.
    const baseline = (22 * 1.35 + (0.8 - 0.2) * 22) / 2;
    expect(greeting.lines[0]!.at.y).toBeCloseTo((layer.box.y + baseline) * 2, 9);
    expect(greeting.scale * EM).toBeCloseTo(44, 9);
  });

  it('hides what a hidden panel holds', () => {
    const { result } = draw((s) => (panelOf(s).visible = false));
    expect(result.layers.map((l) => l.id)).toEqual(['ground', 'deck', 'emblem']);
  });

  it('draws the bars over everything, in their colour, and under the glass', () => {
    const { result, commands } = draw();
    const title = result.bars.find((b) => b.kind === 'title')!;
    expect(title).toMatchObject({ colour: '#12303b', ink: '#ffffff', rect: { height: 56 } });
    const at = commands.findIndex((c) => c.kind === 'fill' && c.rect.height === 112);
    expect(at).toBeGreaterThan(commands.indexOf(groupOf(commands)));
    expect(commands.at(-1)!.kind).toBe('glass');
  });

  it('is mirrored as a whole in the right-to-left preview', () => {
    const usual = draw().result;
    const preview = draw((s) => (s.direction = 'rtl')).result;
    const { width } = usual.regions.screen;
    for (const layer of usual.layers) {
      const other = preview.layers.find((l) => l.id === layer.id)!;
      expect(other.box.x).toBeCloseTo(width - layer.box.x - layer.box.width, 9);
    }
    const lineOf = (r: typeof usual) => {
      const note = r.layers.find((l) => l.id === 'note');
      return note?.kind === 'text' ? note.lines[0]!.x : NaN;
    };
    expect(lineOf(preview)).toBeGreaterThan(lineOf(usual));
  });

  it('carries gradients and tints to the drawing', () => {
    const { commands } = draw((s) => {
      const [ground, deck] = s.layers;
      if (ground?.kind !== 'ground' || deck?.kind !== 'picture') throw new Error('The demo has changed');
      const colours = ['#000000', '#ffffff'].map((light, i) => ({ colour: { light }, at: i * 100 }));
      ground.colour = { gradient: 'radial', centre: { x: 50, y: 50 }, stops: colours };
      deck.tint = { named: 'deep-water' };
    });
    expect(commands[0]).toMatchObject({ ink: { kind: 'radial', stops: [{ at: 0 }, { at: 1 }] } });
    expect(commands[1]).toMatchObject({ kind: 'image', tint: '#12303b' });
  });

  it('keeps a text with letters that the fonts do not have, and names them', () => {
    const edit = (s: Scene) => {
      const layer = s.layers.find((l) => l.id === 'note');
      if (layer?.kind === 'text') layer.text = 'Fähre 港';
    };
    const { commands, result } = draw(edit);
    const letters = groupOf(commands).commands.filter((c): c is Letters => c.kind === 'letters');
    expect(letters.flatMap((l) => l.lines.map((line) => line.outline))).toContain('M0 0 Fähre 港');
    const note = result.layers.find((l) => l.id === 'note')!;
    expect(note.kind === 'text' && note.missing).toEqual(['ä', '港']);
    expect(note.kind === 'text' && note.measures.missingLetters).toBe(2);
  });
});

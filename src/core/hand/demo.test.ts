import fc from 'fast-check';
import { demo, demoCases, demoInput } from '../../../demo/testing';
import type { Rect } from '../geometry/rect';
import { isPlaced, type Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { surveyCase, type SurveyInput } from '../survey/survey';
import type { By } from './looked';
import { moveOn } from './move';
import { resizeOn, type Grip } from './resize';

const scenes = Object.values(demo.scenes);
const anyCase = fc.constantFrom(...demoCases);
const anyScene = fc.constantFrom(...scenes);
const way = fc.double({ min: -40, max: 40, noNaN: true });
const any = fc.tuple(anyScene, anyCase, fc.nat(), way, way);

/** Where a layer is drawn on a case; `null` where it is not. */
const boxOn = (input: SurveyInput, c: Case, id: string): Rect | null =>
  surveyCase(input, c).layers.find((l) => l.id === id)?.box ?? null;

/** A scene of the demo, one of its layers that is drawn on the case, and where. */
function chosen(scene: Scene, c: Case, n: number) {
  const input = demoInput(scene.id);
  const placed = scene.layers.filter(isPlaced);
  const layer = placed[n % placed.length];
  const box = layer ? boxOn(input, c, layer.id) : null;
  return layer && box ? { input, layer, box } : null;
}

let followed = 0;
/** Each edge that moved, and by how much it should have, lu. */
function expectFollowed(
  done: By,
  by: By,
  { stays, density }: { stays: Partial<Record<'x' | 'y', string>>; density: number },
) {
  for (const axis of ['x', 'y'] as const) {
    if (stays[axis] !== undefined) continue;
    followed++;
    expect(Math.abs(done[axis] - by[axis]) * density).toBeLessThanOrEqual(0.5 + 1e-6);
  }
}

// What stays says nothing of whether the others follow.
beforeEach(() => void (followed = 0));
afterEach(() => expect(followed).toBeGreaterThan(20));

describe('a hand on any layer of the demo, on any screen', () => {
  it('is followed where it moves one, or told why not', () => {
    fc.assert(
      fc.property(any, ([scene, c, n, x, y]) => {
        const it = chosen(scene, c, n);
        fc.pre(it !== null);
        const { scene: after, stays } = moveOn(it.input, c, it.layer.id, { x, y });
        const to = boxOn({ ...it.input, scene: after }, c, it.layer.id)!;
        expectFollowed(
          { x: to.x - it.box.x, y: to.y - it.box.y },
          { x, y },
          { stays, density: c.screen.density },
        );
      }),
    );
  });

  it('is followed where it pulls an edge, or told why not', () => {
    const side = fc.constantFrom<'start' | 'end'>('start', 'end');
    fc.assert(
      fc.property(any, fc.constantFrom<'x' | 'y'>('x', 'y'), side, ([scene, c, n, x, y], axis, held) => {
        const it = chosen(scene, c, n);
        fc.pre(it !== null);
        const grip: Grip = { [axis]: held };
        const by = { x, y };
        const { scene: after, stays } = resizeOn(it.input, c, it.layer.id, { grip, by });
        const to = boxOn({ ...it.input, scene: after }, c, it.layer.id)!;
        const size = axis === 'x' ? 'width' : 'height';
        const went =
          held === 'start' ? to[axis] - it.box[axis] : to[axis] + to[size] - it.box[axis] - it.box[size];
        if (stays[axis] !== undefined) return;
        followed++;
        expect(Math.abs(went - by[axis]) * c.screen.density).toBeLessThanOrEqual(0.5 + 1e-6);
      }),
    );
  });
});

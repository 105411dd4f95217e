import { demoCases, demoInput, madeUpPixels } from '../../../demo/testing';
import { explain } from '../explain/figure';
import { steps } from '../explain/reason';
import { sayLength, sayNumber, sayPixels } from '../words/numbers';
import { sayValue } from '../measure/words';
import { measuresFor, type Limit, type MeasureName } from '../measure/limit';
import { LAYER_ROLES } from '../scene/scene';
import { turn } from '../screens/turn';
import { survey, surveyCase } from '../survey/survey';
import { because, suspects } from './because';
import { findingsOf } from './scene';

/** Of less is worse. */
const LEAST: readonly MeasureName[] = ['clearance-safe', 'clearance-screen', 'contrast', 'letter-size'];
const OF_TEXTS: readonly MeasureName[] = ['missing-letters', 'shortened', 'letter-size'];
/** What is only measured in the slots of icons is in none of these scenes. */
const MEASURES = measuresFor('logo').filter((m) => m !== 'thin-line');

/** Cases with cutouts, folds and corners, a few of each. */
const cases = demoCases.filter(
  ({ screen }, i) => i % 23 === 0 || (screen.cutouts.length > 0 && i % 11 === 0),
);

describe.each(['winter-splash', 'sign-in', 'notice'])('on %s every measure that breaks a limit', (name) => {
  const limits = MEASURES.flatMap((measure) =>
    LAYER_ROLES.map((role): Limit => {
      const bound = LEAST.includes(measure) ? { min: 1e9 } : { max: -1e9 };
      return { measure, role, outcome: 'warn', ...bound };
    }),
  );
  const input = { ...demoInput(name), pixels: madeUpPixels(), limits };
  const findings = findingsOf(input.scene, survey(input, cases), cases);

  it.each(MEASURES)('says why, with its figure and the part of a rule: %s', (measure) => {
    const found = findings.filter((f) => f.measure === measure);
    // Only keep areas and texts are not in all three.
    if (!measure.startsWith('keep') && !OF_TEXTS.includes(measure)) expect(found.length).toBeGreaterThan(0);
    for (const finding of found) {
      const why = because(input, finding, cases);
      const all = steps(why).map((s) => s.reason);
      expect(all.length).toBeGreaterThan(1);
      expect(all[0]!.text).toContain(sayValue(measure, finding.worst.value));
      for (const { text } of all) {
        expect(text).not.toMatch(/undefined|NaN|null|\[object/);
        expect(text.trim()).toMatch(/[.:]$/);
      }
      if (!(measure === 'contrast' || measure === 'overlap' || finding.worst.value === 0))
        expect([measure, suspects(why, finding).length > 0]).toEqual([measure, true]);
    }
  });
});

it('letters that a font lacks are named, and lead to the type of the text', () => {
  const input = demoInput('sign-in');
  const scene = structuredClone(input.scene);
  const note = scene.layers.find((l) => l.id === 'note')!;
  if (note.kind !== 'text') throw new Error('It is a text');
  note.text = 'Fähre 港 港';
  const limits: Limit[] = [{ measure: 'missing-letters', role: 'text', max: 0, outcome: 'warn' }];
  const [finding] = findingsOf(scene, survey({ ...input, scene, limits }, cases), cases);
  expect(finding).toMatchObject({ id: 'note missing-letters', worst: { value: 2 } });
  const why = because({ ...input, scene, limits }, finding!, cases);
  expect(why.because[0]!.text).toContain(
    'Its font has no “\u2068ä\u2069” and “\u2068港\u2069”: a box is drawn for each.',
  );
  expect(suspects(why, finding!)[0]).toEqual({ layerId: 'note', path: ['style'] });
});

it('a fold is named with where it runs, and an edge with how far it lies off the grid', () => {
  const input = demoInput('sign-in');
  const folded = demoCases.filter(({ screen }) =>
    screen.cutouts.some((h) => h.shape === 'hinge' && h.width * h.height === 0),
  );
  expect(folded.length).toBeGreaterThan(0);
  let crossed = 0;
  for (const c of folded) {
    const result = surveyCase(input, c);
    const fold = turn(c.screen, c.rotation).cutouts.find((h) => h.shape === 'hinge')!;
    const at = sayNumber(fold.width === 0 ? fold.x : fold.y);
    for (const layer of result.layers) {
      if (layer.kind === 'ground') continue;
      const { intrusion, subPixel } = layer.measures;
      const said = explain(input, c, layer.id, { name: 'across-fold' }).text;
      if (intrusion && intrusion.fold > 0) {
        crossed++;
        expect(said).toContain(`A fold ${at} from the ${fold.width === 0 ? 'left' : 'top'}`);
        expect(said).toContain(sayLength(intrusion.fold));
      } else expect(said).toContain('No fold crosses');
      const edge = explain(input, c, layer.id, { name: 'sub-pixel', side: 'right' }).text;
      expect(edge).toContain(`${sayPixels(subPixel.right)} px off its grid`);
    }
  }
  expect(crossed).toBeGreaterThan(0);
});

import { advise, findingsIn, type AdviceAsked } from '@/core/findings/advise';
import { openOn } from '@/core/findings/finding';
import { because, suspects } from '@/core/findings/because';
import type { SceneFinding } from '@/core/findings/scene';
import { steps } from '@/core/explain/reason';
import type { MeasureName } from '@/core/measure/limit';
import { applyPatch } from '@/core/patch/patch';
import { isPortrait, orientationOf } from '@/core/screens/turn';
import { survey, surveyInput } from '@/core/survey/survey';
import { tellingCases } from '@/core/solve/telling';
import { demo } from './testing/demo';
import { ownStore } from './testing/store';

ownStore('the demo');

const MINUTES = 60_000;

/** The best mend of the first finding that anything helps against. */
function firstMend(open: readonly SceneFinding[], here: AdviceAsked) {
  for (const finding of open) {
    const [mend] = advise(here, finding, 1);
    if (mend) return mend;
  }
  return undefined;
}

/** What people see | the scene that shows it | the layer | the measure that finds it | why, in words */
const ROWS: readonly (readonly [string, string, string, MeasureName, string])[] = [
  ['at full size although its box is small', 'notice', 'seal', 'spill', 'A box does not resize a picture'],
  ['squashed logo', 'notice', 'wordmark', 'distortion', 'stretched over its box'],
  ['heads and headlines cut off', 'winter-splash', 'harbour', 'keep-lost', 'covers its box'],
  ['stops short, only when turned', 'notice', 'deck', 'bare-screen', 'In portrait it is 0'],
  ['blurred on large screens', 'winter-splash', 'harbour', 'enlargement', 'px are drawn from 2400 × 1800 px'],
  ['the logo is gigantic', 'system-window', 'emblem', 'share-height', 'of the screen’s height'],
  ['nothing shows at all', 'notice', 'advice', 'collapse', 'nothing of it is seen'],
  ['logo under the rounded corner', 'notice', 'emblem', 'outside-corner', 'of the whole screen'],
  ['logo under the camera', 'notice', 'emblem', 'under-cutout', 'The safe area stands'],
  ['off centre though centred', 'winter-splash', 'emblem', 'off-centre', 'more room on one side of the ink'],
  ['the light picture in the dark', 'sign-in', 'scene', 'unpaired', 'light file on a dark ground'],
  ['white text unreadable', 'notice', 'news', 'contrast', 'The ink of News is #ffffff'],
  ['a small texture enlarged to mud', 'notice', 'rope', 'enlargement', 'covers its box'],
];

describe('the demo', () => {
  it(
    'shows everything that goes wrong in one scene, each with its cause',
    async () => {
      const { asked, cases } = await demo();
      const found = new Map<string, SceneFinding[]>();
      for (const [what, sceneId, layerId, measure, words] of ROWS) {
        const here = asked(sceneId);
        if (!found.has(sceneId)) found.set(sceneId, findingsIn(here));
        const finding = found.get(sceneId)!.find((f) => f.subject.id === layerId && f.measure === measure);
        if (!finding) throw new Error(`${what}: not found`);
        const input = surveyInput(here.documents, here.documents.scenes[sceneId]!, here.outside);
        const why = because(input, finding, cases);
        const said = steps(why)
          .map((s) => s.reason.text)
          .join(' ');
        expect(`${what}: ${said}`).toContain(words);
        if (layerId !== 'scene') expect(suspects(why, finding)[0]?.layerId).toBe(layerId);
      }
      const turned = found
        .get('notice')!
        .find((f) => f.subject.id === 'deck' && f.measure === 'bare-screen')!;
      const caseOf = new Map(cases.map((c) => [c.id, c]));
      for (const { caseId } of turned.cases) {
        const { screen, rotation } = caseOf.get(caseId)!;
        expect(isPortrait(orientationOf(screen, rotation))).toBe(false);
      }
      const rope = found.get('notice')!.find((f) => f.subject.id === 'rope' && f.measure === 'enlargement')!;
      expect(advise(asked('notice'), rope)[0]!.label).toBe('Repeat it both ways');
    },
    5 * MINUTES,
  );

  it('has a splash that is mended: clear on all cases, but for one device on which that is accepted', async () => {
    const { asked } = await demo();
    const found = findingsIn(asked('winter-splash-mended'));
    expect(found.filter((f) => openOn(f) > 0)).toEqual([]);
    const on = new Set(found.flatMap((f) => f.cases.map((o) => o.caseId.split('.')[0])));
    expect([...on]).toEqual(['fold-inner-1114x720-2-5x-dual']);
    expect(found.map((f) => [f.subject.id, f.measure])).toEqual([
      ['emblem', 'under-cutout'],
      ['wordmark', 'under-cutout'],
    ]);
  });

  it(
    'has nothing wrong any more after mends that were offered, and those alone',
    async () => {
      const { documents, asked, cases } = await demo();
      const left: string[] = [];
      for (const sceneId of documents.project.scenes) {
        let now = documents;
        // First on the cases that differ most, which is quick, then on all of them.
        const input = surveyInput(now, now.scenes[sceneId]!, asked(sceneId).outside);
        for (const some of [tellingCases(cases, survey(input, cases), 48), cases]) {
          const here = () => ({ ...asked(sceneId, now), cases: some });
          for (let round = 0; round < 60; round++) {
            const mend = firstMend(findingsIn(here()), here());
            if (!mend) break;
            now = applyPatch(now, mend.patch);
          }
        }
        // More px than are drawn on the smallest windows take smaller files, which no change of a document can make.
        const open = findingsIn(asked(sceneId, now)).filter((f) => openOn(f) > 0 && f.measure !== 'excess');
        left.push(...open.map((f) => `${sceneId}: ${f.id} on ${openOn(f)}`));
      }
      expect(left).toEqual([]);
    },
    12 * MINUTES,
  );
});

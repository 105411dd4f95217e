import { pictureOf, SCREENS } from '../testing/scenes';
import { demoDocuments } from '../../../demo/documents';
import { halfWide } from '../testing/fonts';
import { filePixelsOf } from '../pixels/file';
import type { Documents } from '../project/documents';
import { applyPatch } from '../patch/patch';
import { casesOf } from '../screens/cases';
import { findingsOf } from '../findings/scene';
import { survey, surveyInput } from '../survey/survey';
import { launchAdvice } from './advice';
import { launchFindings, type LaunchAsked } from './findings';
import type { Launch } from '../project/launch';

const HASHES: Record<string, string> = {};
/** A file of its own for each picture, all of one plain colour. */
function fileOf(id: string) {
  const hash = (HASHES[id] ??= String(Object.keys(HASHES).length).padStart(64, '0'));
  const shape = id === 'emblem' ? { widthPx: 900, heightPx: 900 } : { widthPx: 2400, heightPx: 1800 };
  return pictureOf(id, { ...shape, density: 3, hash }).cuts[0]!.renditions;
}
const demo = demoDocuments(fileOf);
const plainFile = (grey: number, alpha: number) => {
  const data = new Uint8ClampedArray(40 * 40 * 4).map((_, i) => (i % 4 === 3 ? alpha : grey));
  return filePixelsOf({ width: 40, height: 40, data });
};
const pixels = new Map(
  Object.entries(HASHES).map(([id, hash]) => [
    hash,
    id === 'emblem' ? plainFile(250, 200) : plainFile(60, 255),
  ]),
);
const cases = casesOf(
  SCREENS.filter((_, i) => i % 9 === 0),
  ['light'],
);

/** The demo’s launch with something else about it, and nothing of what goes wrong there besides. */
function asked(change: (launch: Launch, documents: Documents) => void): LaunchAsked {
  const documents = structuredClone(demo);
  const [launch] = documents.project.launches!;
  launch!.targets = [];
  launch!.stages[1]!.holdMs = 0;
  for (const s of Object.values(documents.scenes))
    s.layers = s.layers.filter((l) => l.kind !== 'text' && l.kind !== 'panel');
  change(launch!, documents);
  return { documents, launch: launch!, cases, outside: { fonts: halfWide, pixels } };
}
const after = (of: LaunchAsked, patch: Parameters<typeof applyPatch>[1]): LaunchAsked => {
  const documents = applyPatch(of.documents, patch);
  return { ...of, documents, launch: documents.project.launches![0]! };
};
let n = 0;
const newId = () => `new-${n++}`;
const only = (of: LaunchAsked, rule: string) => launchFindings(of).filter((f) => f.rule === rule);

describe('a fade that is cut short', () => {
  const of = asked((launch) => {
    launch.stages = [
      { ...launch.stages[1]!, durationMs: 900 },
      { ...launch.stages[2]!, system: 'app' },
      launch.stages[2]!,
    ];
    launch.systemMs = 300;
  });

  it('is found where the first stage goes before it is there', () => {
    const [finding] = only(of, 'fade-cut-short');
    expect(finding).toMatchObject({ stage: 0, outcome: 'fail', cases: { length: cases.length } });
    expect(finding!.worst.value).toBe(600);
    expect(finding!.said).toBe('its fade of 900 ms is cut off after 300 ms');
  });

  it('is mended by a shorter fade, or by none', () => {
    const advice = launchAdvice(of, only(of, 'fade-cut-short')[0]!, newId);
    expect(advice.map((a) => a.label)).toEqual([
      'Let Winter splash come in within the time that it has',
      'Let Winter splash be there at once',
    ]);
    for (const { patch, clears } of advice) {
      expect(clears).toBe(cases.length);
      expect(only(after(of, patch), 'fade-cut-short')).toEqual([]);
    }
    expect(after(of, advice[0]!.patch).launch.stages[0]!.durationMs).toBe(300);
  });
});

describe('a layer that a window of the system does not draw', () => {
  const of = asked((launch, { scenes }) => {
    const photo = scenes['winter-splash']!.layers.find((l) => l.id === 'harbour')!;
    scenes['system-window']!.layers.push({ ...photo, id: 'photo', name: 'Photo' });
    launch.stages[0]!.system = 'icon';
  });

  it('is found, and named with what the window may hold', () => {
    const [finding] = only(of, 'outside-stage');
    expect(finding).toMatchObject({ stage: 0, about: 'photo', outcome: 'warn' });
    expect(finding!.said).toContain('Photo is not drawn as its rule says');
  });

  it('is hidden where the next stage has it already, and moved there where it has not', () => {
    const [finding] = only(of, 'outside-stage');
    const [hide] = launchAdvice(of, finding!, newId);
    expect(hide!.label).toBe('Hide Photo in System window');
    expect(only(after(of, hide!.patch), 'outside-stage')).toEqual([]);

    const without = asked((launch, documents) => {
      Object.assign(documents, structuredClone(of.documents));
      const [first] = documents.project.launches!;
      Object.assign(launch, first);
      const splash = documents.scenes['winter-splash']!;
      splash.layers = splash.layers.filter((l) => l.id !== 'harbour');
    });
    const moved = launchAdvice(without, only(without, 'outside-stage')[0]!, newId).find((a) =>
      a.label.startsWith('Move'),
    );
    expect(moved!.label).toBe('Move Photo to Winter splash');
    const { scenes } = after(without, moved!.patch).documents;
    expect(scenes['system-window']!.layers.map((l) => l.id)).not.toContain('photo');
    expect(scenes['winter-splash']!.layers.map((l) => l.id)).toContain('photo');
  });
});

describe('a picture that jumps', () => {
  const of = asked((launch) => {
    launch.stages[0]!.system = 'layout';
  });
  const jump = () => launchFindings(of).find((f) => f.rule === 'jump' && f.stage === 0)!;

  it('stands still after either stage is placed as the other one', () => {
    const advice = launchAdvice(of, jump(), newId);
    expect(advice.map((a) => a.label).toSorted()).toEqual([
      'Place Emblem in System window as Winter splash does',
      'Start Winter splash where System window leaves Emblem',
    ]);
    for (const { patch } of advice)
      expect(launchFindings(after(of, patch)).some((f) => f.rule === 'jump' && f.stage === 0)).toBe(false);
  });

  it('may cost something in a scene, which is said as a survey of that scene counts it', () => {
    // The splash allows no logo that is as wide as the one in the window.
    const strict = asked((launch, documents) => {
      launch.stages[0]!.system = 'layout';
      documents.project.limits = [{ measure: 'share-width', role: 'logo', max: 0.3, outcome: 'fail' }];
    });
    const [finding] = only(strict, 'jump');
    const countIn = (documents: LaunchAsked['documents'], sceneId: string) => {
      const input = surveyInput(documents, documents.scenes[sceneId]!, strict.outside);
      const found = findingsOf(input.scene, survey(input, strict.cases), strict.cases);
      return found.find((f) => f.measure === 'share-width' && f.subject.id === 'emblem')?.cases.length ?? 0;
    };
    const advice = launchAdvice(strict, finding!, newId);
    expect(advice.some((a) => a.sceneCosts.length > 0)).toBe(true);
    for (const { patch, sceneCosts } of advice) {
      const mended = after(strict, patch).documents;
      for (const id of ['system-window', 'winter-splash']) {
        const here = sceneCosts.find((s) => s.scene.id === id)?.costs;
        const said = here?.find((c) => c.finding.subject.id === 'emblem');
        const more = countIn(mended, id) - countIn(strict.documents, id);
        expect(said?.more ?? 0).toBe(Math.max(0, more));
      }
    }
  });
});

describe('people who wait', () => {
  it('wait no longer than the loading takes once the hold is as long as that', () => {
    const of = asked((launch) => {
      launch.stages[1]!.holdMs = 1200;
    });
    const [finding] = only(of, 'held-too-long');
    // 400 of the window, 500 of the fade and 1200 of the hold against 1400 of loading.
    expect(finding).toMatchObject({ outcome: 'warn', stage: 1 });
    expect(finding!.worst.value).toBe(700);
    const [advice] = launchAdvice(of, finding!, newId);
    expect(after(of, advice!.patch).launch.stages[1]!.holdMs).toBe(500);
    expect(only(after(of, advice!.patch), 'held-too-long')).toEqual([]);
  });

  it('are not waited for where loading takes longer than any hold', () => {
    const of = asked((launch) => {
      launch.loadingMs = 9000;
      launch.stages[1]!.holdMs = 5000;
    });
    expect(only(of, 'held-too-long')).toEqual([]);
  });
});

describe('a flash', () => {
  it('goes with the ground of the next stage, and with its mean colour', () => {
    const of = asked((launch) => {
      launch.stages[0]!.system = 'layout';
    });
    const [finding] = only(of, 'flash').filter((f) => f.stage === 0);
    expect(finding!.outcome).toBe('fail');
    const advice = launchAdvice(of, finding!, newId);
    expect(advice.map((a) => a.label)).toContain('Use the ground of Winter splash in System window too');
    for (const { patch, label } of advice.filter((a) => a.label.startsWith('Use'))) {
      const left = only(after(of, patch), 'flash').filter((f) => f.stage === 0);
      expect([label, left.flatMap((f) => f.cases).length]).toEqual([label, 0]);
    }
  });
});

import { demo } from '../../../demo/testing';
import { lu, percent } from '../values/values';
import type { Scene } from '../scene/scene';
import { applyPatch } from '../patch/patch';
import { casesOf } from '../screens/cases';
import type { Documents } from '../project/documents';
import { fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { target as plainTarget } from '../testing/launches';
import { halfWide } from '../testing/fonts';
import { launchAdvice } from './advice';
import { launchBecause, launchFindings, type LaunchAsked, type LaunchFinding } from './findings';
import {
  coverageOf,
  Launch,
  stagesOn,
  targetOf,
  targetsOf,
  versionsIn,
  type Target,
} from '../project/launch';
import { createLaunchSurvey } from './survey';
import { windowsAllow } from './windows';

const screens = SCREENS.filter((_, i) => i % 12 === 0);
const cases = casesOf(screens, ['light']);
const pictures = [pictureOf('logo', { widthPx: 400, heightPx: 200, density: 2 })];
/** 120 wide and 24 from the bottom, of a file that is 200 × 100 lu. */
const typed = pictureLayer({
  x: middleOf({ kind: 'length', length: lu(120) }, 'screen'),
  y: { kind: 'end', edge: { region: 'screen', offset: lu(24) }, extent: { kind: 'from-ratio' } },
  ratio: { value: 'own', strict: true },
});
const sceneOf = (id: string, layers = [typed]): Scene => ({
  ...inputOf(layers, pictures).scene,
  id,
  name: `Scene ${id}`,
});
const target = (more: Partial<Target>): Target =>
  plainTarget({ families: ['whole-number', 'density-class'], system: 'flat', ...more });
function asked(more: Partial<Launch> = {}, scenes = { a: sceneOf('a'), b: sceneOf('b') }): LaunchAsked {
  const stage = { enter: 'none' as const, durationMs: 0, easing: 'linear', holdMs: 0 };
  const launch = Launch.parse({
    id: 'l',
    name: 'Launch',
    targets: [],
    stages: [
      { ...stage, id: '1', scene: 'a', system: 'flat' },
      { ...stage, id: '2', scene: 'b', system: 'app' },
    ],
    systemMs: 400,
    loadingMs: 400,
    warm: { systemMs: 100, loadingMs: 0 },
    ...more,
  });
  const project = { ...demo.project, scenes: Object.keys(scenes), pictures, launches: [launch], named: [] };
  return { documents: { ...demo, project, scenes }, launch, cases, outside: { fonts: halfWide } };
}
const after = (of: LaunchAsked, documents: Documents): LaunchAsked => ({
  ...of,
  documents,
  launch: documents.project.launches![0]!,
});
const dropped = (of: LaunchAsked) => launchFindings(of).find((f) => f.rule === 'outside-stage');
let n = 0;
const newId = () => `new-${n++}`;

const whyOf = (of: LaunchAsked, finding: LaunchFinding) =>
  launchBecause(of, finding).because.map((b) => b.text);

describe('a flat window that drops what was typed', () => {
  it('is found on every case with what is dropped, what was asked and what is drawn', () => {
    const finding = dropped(asked())!;
    expect(finding.cases).toHaveLength(cases.length);
    expect(finding.said).toContain(
      'its width, its height, its distance of 24 lu from the bottom are dropped',
    );
    expect(whyOf(asked(), finding).join(' ')).toMatch(
      /By its rule it is 120 × 60 lu.*it is drawn 200 × 100 lu/,
    );
  });

  it('blames the region where the safe area is not the whole screen, and no size that is drawn as it is ruled', () => {
    const inSafe = pictureLayer({
      x: middleOf({ kind: 'natural' }, 'safe'),
      y: middleOf({ kind: 'length', length: lu(100) }, 'safe'),
    });
    const of = asked({}, { a: sceneOf('a', [inSafe]), b: sceneOf('b', [inSafe]) });
    const found = dropped(of)!;
    expect(found.cases.length).toBeLessThan(cases.length);
    expect(found.said).toContain(
      'it is measured from the whole screen, and its rule measures from the safe area',
    );
    expect(found.said).not.toMatch(/its (width|height)/);
    const jump = launchFindings(of).find((f) => f.rule === 'jump')!;
    expect(whyOf(of, jump).join(' ')).toMatch(
      /Down: Scene a has it .*whole screen; Scene b has it .*safe area\./,
    );
  });

  it('is not where it draws just what was typed', () => {
    const exact = pictureLayer({
      x: middleOf({ kind: 'length', length: lu(200) }, 'screen'),
      y: { kind: 'end', edge: { region: 'screen', offset: lu(0) }, extent: { kind: 'natural' } },
    });
    expect(dropped(asked({}, { a: sceneOf('a', [exact]), b: sceneOf('b') }))).toBeUndefined();
  });

  it('offers what comes nearest: files with the size and the room inside, which then lie where they were asked', () => {
    const of = asked();
    const advice = launchAdvice(of, dropped(of)!, newId);
    const mend = advice.find((a) => a.make)!;
    expect(mend.label).toBe('Make files of It with its size and its room inside');
    expect(mend.make!.map((m) => m.from)).toEqual([
      {
        make: 'room',
        hash: 'a'.repeat(64),
        widthPx: 240,
        heightPx: 120,
        left: 0,
        right: 0,
        top: 0,
        bottom: 48,
      },
    ]);
    const then = after(of, applyPatch(of.documents, mend.patch));
    expect(dropped(then)).toBeUndefined();
    const survey = createLaunchSurvey(then.documents, then.launch, then.outside);
    for (const c of cases) {
      const [{ result }] = survey.on(c) as [ReturnType<typeof survey.on>[number]];
      const layer = result!.layers.find((l) => l.id === 'it')!;
      const { drawn } = layer.kind === 'picture' ? layer.placement : { drawn: null };
      const { screen } = result!.regions;
      // 84 high with its 24 of room, flush with the bottom: the drawing ends 24 above it.
      expect(drawn!.width).toBeCloseTo(120, 6);
      expect(drawn!.height).toBeCloseTo(84, 6);
      expect(drawn!.y + drawn!.height).toBeCloseTo(screen.height, 6);
    }
    const said = advice.find((a) => a.label.startsWith('Say of It'))!;
    expect(dropped(after(of, applyPatch(of.documents, said.patch)))).toBeUndefined();
  });

  it('is not offered what it cannot do either', () => {
    const wide = pictureLayer({
      x: middleOf({ kind: 'natural' }, 'screen'),
      y: middleOf({ kind: 'natural' }, 'screen'),
    });
    const of = asked({}, { a: sceneOf('a', [wide]), b: sceneOf('b') });
    for (const finding of launchFindings(of))
      for (const { patch, label } of launchAdvice(of, finding, newId))
        expect([label, dropped(after(of, applyPatch(of.documents, patch)))?.said]).toEqual([
          label,
          undefined,
        ]);
  });
});

describe('what draws a scene', () => {
  const of = asked();
  const changed = (id: 'a' | 'b', layer: Partial<typeof typed>) => {
    const scene = { ...of.documents.scenes[id]!, layers: [{ ...typed, ...layer }] };
    return { ...of.documents, scenes: { ...of.documents.scenes, [id]: scene } };
  };
  const allows = (id: 'a' | 'b', documents: Documents) => windowsAllow(of.documents, id, screens)(documents);

  it('takes only changes that it can draw', () => {
    // A flat window draws neither a tint nor another size, so the one is lost and nothing is seen of the other.
    expect(allows('a', changed('a', { tint: { light: '#ff0000' } }))).toBe(false);
    const wider = { ...typed.placing, x: middleOf({ kind: 'length', length: percent(50) }, 'screen') };
    expect(allows('a', changed('a', { placing: wider }))).toBe(false);
    expect(allows('a', changed('a', { fit: fitOf('contain', true, { x: 0, y: 50 }) }))).toBe(false);
    expect(allows('a', changed('a', { visible: false }))).toBe(true);
    const top = {
      ...typed.placing,
      y: { ...typed.placing.y, kind: 'start' as const },
    } as typeof typed.placing;
    expect(allows('a', changed('a', { placing: top }))).toBe(false);
  });

  it('takes everything where it follows the rules', () => {
    expect(allows('b', changed('b', { tint: { light: '#ff0000' } }))).toBe(true);
    expect(allows('b', changed('b', { fit: fitOf('contain', true, { x: 0, y: 50 }) }))).toBe(true);
  });
});

describe('first windows by the version of a system', () => {
  const [one, two] = screens as [(typeof screens)[number], (typeof screens)[number]];
  const old = target({ id: 'old', name: 'Old', versions: 'up to 11' });
  const recent = target({
    id: 'new',
    name: 'New',
    versions: 'From 12 on',
    system: 'icon',
    families: [],
    ids: [one.id],
  });
  const of = asked({
    targets: [old, recent, target({ id: 'again', versions: 'from 12 on', families: [], ids: [one.id] })],
  });

  it('are told by words of one’s own, whatever their capitals; the first that claims a screen counts', () => {
    expect(versionsIn(of.launch)).toEqual(['up to 11', 'From 12 on']);
    expect(targetsOf(of.launch, one).map((t) => t?.id)).toEqual(['old', 'new']);
    expect(targetOf(of.launch, one, 'FROM 12 ON')?.id).toBe('new');
    // One alone leaves the other versions to the first stage as it is described.
    expect(targetsOf(of.launch, two).map((t) => t?.id ?? null)).toEqual([null, 'old']);
    expect(stagesOn(of.launch, one, recent)[0]!.system).toBe('icon');
    const usual = asked({ targets: [target({ id: 'any' }), old] });
    expect(targetsOf(usual.launch, two).map((t) => t?.id)).toEqual(['any', 'old']);
    expect(targetOf(usual.launch, two, 'nobody knows')?.id).toBe('any');
  });

  it('clash only where they claim a screen for the same versions', () => {
    const { claimedTwice, unclaimed } = coverageOf(of.launch, screens);
    expect(claimedTwice.map((c) => c.screen.id)).toEqual([one.id]);
    expect(unclaimed).toEqual([]);
  });

  it('are all looked at, and a finding says for which versions it is so', () => {
    const only = asked({ stages: of.launch.stages.map((s) => ({ ...s, system: 'app' })), targets: [] });
    expect(dropped(only)).toBeUndefined();
    const stages = of.launch.stages.map((s, i) => (i === 0 ? { ...s, system: 'layout' as const } : s));
    const finding = dropped(asked({ stages, targets: [old] }))!;
    expect(finding.cases).toHaveLength(cases.length);
    expect(whyOf(asked({ stages, targets: [old] }), finding)[0]).toBe('This is so for Old, up to 11.');
    expect(finding.worst.target).toBe('old');
    // Each case counts once, however many first windows its screen has.
    const both = asked({ targets: [target({ id: 'any', name: 'Any' }), old] });
    for (const f of launchFindings(both))
      expect(new Set(f.cases.map((o) => o.caseId)).size).toBe(f.cases.length);
  });
});

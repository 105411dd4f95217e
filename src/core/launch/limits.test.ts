import fc from 'fast-check';
import { demoDocuments } from '../../../demo/documents';
import { halfWide } from '../testing/fonts';
import { pictureOf, SCREENS } from '../testing/scenes';
import { casesOf } from '../screens/cases';
import type { Kind } from '../screens/screen';
import { distinctCases } from '../screens/likeness';
import { openCases } from '../findings/finding';
import { gravestBreach } from '../measure/judge';
import { launchAdvice } from './advice';
import { launchFindings, type LaunchAsked, type LaunchFinding } from './findings';
import { Launch, targetOf } from '../project/launch';
import {
  LAUNCH_LIMITS,
  LAUNCH_RULES,
  launchLimit,
  launchBounds,
  withLaunchLimit,
} from '../project/launch-limits';
import { target } from '../testing/launches';

const demo = demoDocuments(
  (id) => pictureOf(id, { widthPx: 900, heightPx: 900, density: 3 }).cuts[0]!.renditions,
);
const cases = casesOf(
  SCREENS.filter((_, i) => i % 12 === 0),
  ['light'],
);

function asked(change: (launch: Launch) => void): LaunchAsked {
  const documents = structuredClone(demo);
  const launch = documents.project.launches![0]!;
  change(launch);
  return { documents, launch: Launch.parse(launch), cases, outside: { fonts: halfWide } };
}
const idOf = (f: LaunchFinding) => f.id;
const byRule = (of: LaunchAsked, rule: string) => launchFindings(of).find((f) => f.rule === rule)!;

const bound = fc.option(fc.double({ min: 0, max: 5000, noNaN: true }));
const limit = fc.record({ warn: bound, fail: bound });

describe('limits of a launch', () => {
  it('judge a value by what it passes, a failure first, and nothing where there is none', () => {
    fc.assert(
      fc.property(fc.constantFrom(...LAUNCH_RULES), limit, (rule, own) => {
        const judge = (value: number, { warn, fail } = own) =>
          gravestBreach('', launchBounds({ limits: { [rule]: { warn, fail } } }, rule), value)?.limit
            .outcome ?? 'clear';
        for (const end of ['fail', 'warn'] as const) {
          const at = own[end];
          if (at === null) continue;
          const alone = { warn: null, fail: null, [end]: at };
          expect([judge(at, alone), judge(at + 0.001, alone)]).toEqual(['clear', end]);
        }
        expect(judge(1e9)).toBe(own.fail !== null ? 'fail' : own.warn !== null ? 'warn' : 'clear');
      }),
    );
  });

  it('are those of the start unless they are written down, and written down only where they differ', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LAUNCH_RULES),
        fc.constantFrom(...LAUNCH_RULES),
        limit,
        (one, two, own) => {
          const limits = withLaunchLimit({}, one, own);
          expect(launchLimit({ limits }, one)).toEqual(own);
          const both = withLaunchLimit({ limits }, two, own);
          expect(launchLimit({ limits: both }, one)).toEqual(own);
          const { warn, fail } = LAUNCH_LIMITS[one];
          const back = withLaunchLimit({ limits: both }, one, { warn, fail });
          expect(launchLimit({ limits: back }, one)).toEqual({ warn, fail });
          const usual = LAUNCH_LIMITS[two];
          const asAtTheStart = own.warn === usual.warn && own.fail === usual.fail;
          expect(back === undefined).toBe(one === two || asAtTheStart);
        },
      ),
    );
  });

  it('that are loosened past the worst value find nothing, and tightened below the least find it everywhere', () => {
    const usual = byRule(
      asked(() => {}),
      'jump',
    );
    const values = usual.cases.map((o) => o.value);
    const loose = asked((l) => (l.limits = { jump: { warn: Math.max(...values), fail: null } }));
    expect(launchFindings(loose).filter((f) => f.id === usual.id)).toEqual([]);
    const tight = asked((l) => (l.limits = { jump: { warn: null, fail: Math.min(...values) - 0.001 } }));
    const found = launchFindings(tight).find((f) => f.id === usual.id)!;
    expect(found.cases.length).toBeGreaterThanOrEqual(usual.cases.length);
    expect(new Set(found.cases.map((o) => o.outcome))).toEqual(new Set(['fail']));
  });

  it('say from when on a splash is there for too long, whatever the loading takes', () => {
    const held = (fail: number | null) =>
      byRule(
        asked((l) => (l.limits = { 'held-too-long': { warn: 0, fail } })),
        'held-too-long',
      );
    expect(held(3000).outcome).toBe('fail');
    expect(held(5000).outcome).toBe('warn');
    expect(held(null).outcome).toBe('warn');
  });
});

describe('a finding of a launch that is accepted', () => {
  const before = byRule(
    asked(() => {}),
    'jump',
  );
  const [first] = before.cases;
  const screenOf = (caseId: string) => cases.find((c) => c.id === caseId)!.screen.id;
  const all = [...new Set(before.cases.map((o) => screenOf(o.caseId)))];
  const accepting = (screens: string[]) =>
    asked((l) => {
      const { rule, about, stage } = before;
      l.accepted = [{ rule, about, stage: l.stages[stage]!.id, screens, reason: 'it is meant so' }];
    });
  const found = (of: LaunchAsked) => launchFindings(of).find((f) => f.id === before.id)!;

  it('stays in sight, says why, comes last and weighs nothing', () => {
    const of = accepting(all);
    const finding = found(of);
    expect(finding).toMatchObject({ accepted: 'it is meant so', outcome: 'clear', weight: 0 });
    expect(finding.cases.length).toBe(before.cases.length);
    expect(launchFindings(of).map(idOf).at(-1)).toBe(before.id);
    expect(launchAdvice(of, finding, () => 'new')).toEqual([]);
  });

  it('counts on the screens that are not named', () => {
    const finding = found(accepting([screenOf(first!.caseId)]));
    expect(finding.accepted).toBeNull();
    expect(openCases(finding).map((o) => o.caseId)).toEqual(
      before.cases.filter((o) => screenOf(o.caseId) !== screenOf(first!.caseId)).map((o) => o.caseId),
    );
    expect(openCases(finding).map((o) => o.caseId)).toContain(finding.worst.caseId);
  });

  it('is accepted on its own stage only, wherever that goes', () => {
    const of = accepting(all);
    of.launch.accepted![0]!.stage = 'another';
    expect(found(of).accepted).toBeNull();
  });
});

it('screens that are drawn alike are told apart by their first windows', () => {
  const screen = SCREENS[0]!;
  const twin = {
    ...screen,
    id: 'twin',
    kind: screen.kind === 'phone' ? ('tablet' as const) : ('phone' as const),
  };
  const both = casesOf([screen, twin], ['light']);
  const { launch } = asked((l) => {
    l.targets = [
      target({ id: 'a', name: 'a', kinds: [screen.kind as Kind] }),
      target({ id: 'b', name: 'b', kinds: [twin.kind] }),
    ];
  });
  const alone = distinctCases(casesOf([screen], ['light'])).length;
  expect(distinctCases(both)).toHaveLength(alone);
  expect(distinctCases(both, (c) => targetOf(launch, c.screen)!.id)).toHaveLength(2 * alone);
});

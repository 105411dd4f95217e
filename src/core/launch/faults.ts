import type { Documents } from '../project/documents';
import type { Case } from '../screens/cases';
import type { CaseResult, Outside } from '../survey/survey';
import { betweenFaults } from './between-faults';
import { faultKey, type LaunchFault } from './fault';
import { handoverOf, type Handover } from './handover';
import { targetsOf, type Launch, type Target } from '../project/launch';
import { createLaunchSurvey, type LaunchEarlier } from './survey';
import { MASK_ID } from './system';
import { timeFaults } from './time-faults';
import { fadeOf } from './timeline';
import { createMasked, outsideFaults } from './window-faults';

/** A launch with everything that a survey takes. */
export interface Launched {
  documents: Documents;
  launch: Launch;
  outside: Outside;
}

/** What is known of a launch that the next look at it, after an edit, need not work out again. */
export interface LaunchKept {
  stages: LaunchEarlier;
  /** from one result to another, with a fade; an edit that reaches a stage makes a new result of it */
  handovers: WeakMap<CaseResult, WeakMap<CaseResult, { fadeMs: number; handover: Handover }>>;
}

/** @param pixels those with which all that is known was made */
function createHandovers(pixels: Outside['pixels'], known: LaunchKept['handovers']) {
  return (before: CaseResult, after: CaseResult, fadeMs: number): Handover => {
    const from = known.get(before) ?? new WeakMap();
    known.set(before, from);
    const was = from.get(after);
    if (was?.fadeMs === fadeMs) return was.handover;
    const handover = handoverOf(before, after, pixels ?? null, fadeMs);
    from.set(after, { fadeMs, handover });
    return handover;
  };
}

export interface Faults {
  /** what is wrong on one case, all values included that keep their limits */
  on: (c: Case) => LaunchFault[];
  kept: () => LaunchKept;
}

/** Of the same thing on several first windows of one screen, the worst counts. */
function worstOfEach(all: readonly LaunchFault[]): LaunchFault[] {
  const worst = new Map<string, LaunchFault>();
  for (const f of all) {
    const key = faultKey(f);
    const was = worst.get(key);
    if (!was || f.value > was.value) worst.set(key, f);
  }
  return [...worst.values()];
}

/** @param earlier of the same launch with the same pixels, before an edit */
export function createFaults({ documents, launch, outside }: Launched, earlier: LaunchKept | null): Faults {
  const survey = createLaunchSurvey(documents, launch, outside, earlier?.stages);
  const handovers: LaunchKept['handovers'] = earlier?.handovers ?? new WeakMap();
  const handOver = createHandovers(outside.pixels, handovers);
  const masked = outside.pixels ? createMasked(outside.pixels) : () => [];
  const along = (c: Case, target: Target | null): LaunchFault[] => {
    const stages = survey.on(c, target);
    const names = stages.map(({ stage }) => documents.scenes[stage.scene]!.name);
    const faults = timeFaults(launch, stages, names);
    stages.forEach((s, i) => {
      const scene = documents.scenes[s.stage.scene]!;
      const layerOf = (id: string) => scene.layers.find((l) => l.id === id);
      faults.push(...outsideFaults(s, i, layerOf, () => survey.byRules(c, s.stage)));
      const icon = s.result?.layers.find((l) => l.kind === 'picture' && l.parent === MASK_ID);
      if (icon) faults.push(...masked(s, i, icon.name));
      const next = stages[i + 1];
      if (!s.result || !next?.result) return;
      const h = handOver(s.result, next.result, fadeOf(next.stage));
      faults.push(...betweenFaults({ c, survey, names, documents }, [s, next], i, h, scene.bars));
    });
    return faults;
  };
  const on = (c: Case): LaunchFault[] => {
    const targets = targetsOf(launch, c.screen);
    if (targets.length === 1) return along(c, targets[0]!);
    return worstOfEach(targets.flatMap((target) => along(c, target).map((f) => ({ ...f, target }))));
  };
  return { on, kept: () => ({ stages: survey.kept(), handovers }) };
}

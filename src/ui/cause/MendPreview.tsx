'use client';
import { useMemo } from 'react';
import type { Advice } from '@/core/findings/advise';
import type { SceneFinding } from '@/core/findings/scene';
import { breachId } from '@/core/measure/judge';
import { applyPatch } from '@/core/patch/patch';
import { distinctCases, type DistinctCase } from '@/core/screens/likeness';
import { survey, surveyInput, type CaseResult } from '@/core/survey/survey';
import { PixelProvider } from '../drawing/CaseCanvas';
import { projectPixels, sizeOfFile } from '../drawing/pixels';
import { BeforeAfter } from '../drawing/BeforeAfter';
import { useCounted, useWorkbench } from '../state/context';
import { useIsMeasured, useOutside, useWanted } from '../state/outside';
import { countCases } from '../words';

/** One case with what was found on it before a mend and after it. */
interface Pair {
  of: DistinctCase;
  was: CaseResult;
  is: CaseResult;
}

/** Everything that is wrong on a case, and by how much, as one word. */
const saidOf = ({ breaches }: CaseResult) =>
  breaches.map((b) => `${breachId(b)} ${b.value.toFixed(4)}`).join();

/** Whether anything that is wrong changes: an outcome, or a figure that breaks a limit. */
const changes = ({ was, is }: Pair) => was.outcome !== is.outcome || saidOf(was) !== saidOf(is);

const countOf = (pairs: readonly Pair[]) => pairs.reduce((n, { of }) => n + 1 + of.alike.length, 0);

/** All cases before and after a mend, those of the finding first, the worst of them at the start. */
function usePairs(finding: SceneFinding, mend: Advice) {
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const all = useCounted();
  const outside = useOutside();
  const next = useMemo(() => applyPatch(documents, mend.patch), [documents, mend]);
  useWanted(next, sceneId);
  const isMeasured = useIsMeasured(next, sceneId);
  const { pairs, pixels } = useMemo(() => {
    const by = new Map(finding.cases.map((f) => [f.caseId, f.by]));
    const cases = distinctCases(all).toSorted(
      (a, b) => (by.get(b.shown.id) ?? -1) - (by.get(a.shown.id) ?? -1),
    );
    const shown = cases.map((c) => c.shown);
    const of = (d: typeof documents) => survey(surveyInput(d, d.scenes[sceneId]!, outside), shown);
    const sizeOf = (h: string) => sizeOfFile(next.project)(h) ?? sizeOfFile(documents.project)(h);
    const [before, after] = [of(documents), of(next)];
    return {
      pairs: cases.map((c, i): Pair => ({ of: c, was: before[i]!, is: after[i]! })),
      pixels: projectPixels(sizeOf),
    };
  }, [documents, next, sceneId, all, outside, finding]);
  return { pairs, pixels, isMeasured };
}

/** The cases that a mend changes, before and after it, before it is taken. */
export function MendPreview({ finding, mend }: { finding: SceneFinding; mend: Advice }) {
  const { pairs, pixels, isMeasured } = usePairs(finding, mend);
  const changed = useMemo(() => pairs.filter(changes), [pairs]);
  // Until the pixels of all files are known, so is not what changes.
  if (!isMeasured)
    return (
      <p className="mend-preview quiet" role="status">
        What it changes is being measured…
      </p>
    );
  return (
    <PixelProvider value={pixels}>
      <p className="mend-changes quiet figures">
        It changes {countOf(changed)} of {countCases(countOf(pairs))}
        {countOf(changed) > changed.length && `; of those drawn alike, one is shown`}.
      </p>
      <ul className="before-after mend-preview" aria-label="Before and after" tabIndex={0}>
        {changed.map(({ of: { shown }, was, is }) => (
          <BeforeAfter key={shown.id} shown={shown} was={was} is={is} isMeasured />
        ))}
      </ul>
    </PixelProvider>
  );
}

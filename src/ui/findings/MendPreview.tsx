'use client';
import { useMemo } from 'react';
import type { Advice } from '@/core/findings/advise';
import type { SceneFinding } from '@/core/findings/scene';
import { applyPatch } from '@/core/patch/patch';
import { distinctCases } from '@/core/screens/likeness';
import { survey, surveyInput } from '@/core/survey/survey';
import { PixelProvider } from '../drawing/CaseCanvas';
import { createPixelStore, sizeOfFile } from '../drawing/pixels';
import { BeforeAfter } from '../screens/BeforeAfter';
import { useCounted, useWorkbench } from '../state/context';
import { useIsMeasured, useOutside, useWanted } from '../state/outside';

/** All cases before and after a mend, before it is taken; those of the finding first, the worst of them at the start. */
export function MendPreview({ finding, mend }: { finding: SceneFinding; mend: Advice }) {
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const all = useCounted();
  const outside = useOutside();
  const next = useMemo(() => applyPatch(documents, mend.patch), [documents, mend]);
  useWanted(next, sceneId);
  const isMeasured = useIsMeasured(next, sceneId);
  const { cases, before, after, pixels } = useMemo(() => {
    const by = new Map(finding.cases.map((f) => [f.caseId, f.by]));
    const cases = distinctCases(all)
      .map((c) => c.shown)
      .toSorted((a, b) => (by.get(b.id) ?? -1) - (by.get(a.id) ?? -1));
    const of = (d: typeof documents) => survey(surveyInput(d, d.scenes[sceneId]!, outside), cases);
    const sizeOf = (h: string) => sizeOfFile(next.project)(h) ?? sizeOfFile(documents.project)(h);
    return { cases, before: of(documents), after: of(next), pixels: createPixelStore(sizeOf) };
  }, [documents, next, sceneId, all, outside, finding]);
  return (
    <PixelProvider value={pixels}>
      <ul className="before-after mend-preview" aria-label="Before and after" tabIndex={0}>
        {cases.map((c, i) => (
          <BeforeAfter key={c.id} shown={c} was={before[i]!} is={after[i]!} isMeasured={isMeasured} />
        ))}
      </ul>
    </PixelProvider>
  );
}

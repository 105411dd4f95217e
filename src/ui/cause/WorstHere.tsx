'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Reason } from '@/core/explain/reason';
import type { InShort } from '@/core/findings/in-short';
import type { SceneFinding } from '@/core/findings/scene';
import { breachId, type Breach } from '@/core/measure/judge';
import { sayLimit } from '@/core/measure/words';
import { capitalised } from '@/core/words/words';
import { goToPart } from '../state/asked-part';
import { appliedOf, useFocusAfter } from '../state/applied';
import { useAsked, type Asking } from '../state/ask';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useLook } from '../state/look';
import { MendHint, WhyHint } from '../hints/texts';
import { AppliedNote } from './AppliedNote';
import { Because } from './Because';
import { Mends } from './Mends';
import { useMends } from './useAnswers';

/** ms for which a case has to be looked at before mends are tried: who walks over the field asks for none. */
const REST_MS = 500;

/** The finding that a breach belongs to, once the page has come to rest on it; `null` before. */
function useRested(breach: Breach | null): SceneFinding | null {
  const id = breach && breachId(breach);
  const finding = useWorkbench((s) =>
    s.gesture === null && s.surveyed === s.documents ? (s.found?.find((f) => f.id === id) ?? null) : null,
  );
  const [rested, setRested] = useState<SceneFinding | null>(null);
  useEffect(() => {
    const clock = setTimeout(() => setRested(finding), REST_MS);
    return () => clearTimeout(clock);
  }, [finding]);
  return rested === finding ? rested : null;
}

/** Why it is so on the case that is looked at; `null` until that is known. */
function useWhyHere(finding: SceneFinding, caseId: string, breach: Breach) {
  const asking = useCallback<Asking<{ why: Reason; short: InShort }>>(
    async (worker, documents) => {
      const { limit, value } = breach;
      const here = { ...finding, worst: { caseId, limit, value } };
      const [why, short] = await Promise.all([
        worker.because(documents, here),
        worker.inShort(documents, here, caseId),
      ]);
      return { why, short };
    },
    [finding, caseId, breach],
  );
  return useAsked(asking);
}

function Tried({ finding }: { finding: SceneFinding }) {
  const { answers, callOff } = useMends(finding);
  return <Mends {...{ finding, answers, callOff }} most={1} />;
}

/** The best mend: tried at once as one arrives and after a mend, and when it is asked for while one edits by hand. */
function MendsHere({ finding }: { finding: SceneFinding }) {
  const isUnedited = useWorkbench((s) => s.undo.length === 0 || appliedOf(s) !== null);
  const [asked, setAsked] = useState<SceneFinding | null>(null);
  if (isUnedited || asked === finding) return <Tried finding={finding} />;
  return (
    <Button variant="quiet" size="sm" onClick={() => setAsked(finding)}>
      look for mends
    </Button>
  );
}

interface HereProps {
  caseId: string;
  breach: Breach;
}

function Answered({ finding, caseId, breach }: HereProps & { finding: SceneFinding }) {
  const store = useWorkbenchStore();
  const look = useLook();
  const here = useWhyHere(finding, caseId, breach);
  return (
    <>
      <Because answers={here} onChange={(part) => goToPart(store, part)} />
      <h4>What would mend it</h4>
      <div className="mends-room">
        <MendsHere finding={finding} />
      </div>
      <Button
        variant="quiet"
        size="sm"
        onClick={() => look({ lens: 'findings', order: 'cause', open: finding.id })}
      >
        all that would mend it
      </Button>
    </>
  );
}

/** What is worst on the case of the close-up: its cause in one sentence, and the best mend one click away. */
export function WorstHere({ caseId, breach, said }: { caseId: string; breach: Breach | null; said: string }) {
  const finding = useRested(breach);
  // What was said of a mend, and what is wrong next.
  const ref = useRef<HTMLElement>(null);
  useFocusAfter(() => ref.current?.focus());
  return (
    <section className="worst-here" ref={ref} tabIndex={-1} aria-label="What is worst here">
      <WhyHint />
      <MendHint />
      <AppliedNote />
      {breach && (
        <div className={`breach breach-${breach.limit.outcome}`}>
          <h3>{said}</h3>
          <p className="quiet">
            {capitalised(sayLimit(breach.limit))}. {breach.limit.reason}
          </p>
          {finding ? (
            <Answered {...{ finding, caseId, breach }} />
          ) : (
            <p className="quiet">Its cause is being looked for…</p>
          )}
        </div>
      )}
    </section>
  );
}

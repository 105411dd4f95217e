'use client';
import { Button } from 'react-bootstrap';
import { sceneWith } from '@/core/project/documents';
import { isAsRuled, type Evidence } from '@/core/project/proof';
import { findCase } from '@/core/screens/cases';
import { caseName } from '@/core/screens/words';
import { sayTime } from '@/core/words/words';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { OUTCOME_SHAPES } from '../words';

function Line({ shot }: { shot: Evidence }) {
  const store = useWorkbenchStore();
  const scene = useWorkbench((s) => sceneWith(s.documents, shot.scene)?.name);
  const screens = useWorkbench((s) => s.screens);
  const c = findCase(shot.case, screens);
  const fine = isAsRuled(shot);
  const open = () =>
    store.setState(({ view }) => ({
      sceneId: shot.scene,
      isPicked: true,
      view: { ...view, lens: 'screens', middle: 'field', case: shot.case, appearance: c!.appearance },
    }));
  return (
    <li>
      <span className={fine ? 'outcome-clear' : 'outcome-warn'}>
        {OUTCOME_SHAPES[fine ? 'clear' : 'warn']} {shot.opinion}
      </span>{' '}
      <span className="quiet">
        {scene ?? 'a scene that is gone'} on {c ? caseName(c) : 'a screen that is gone'}, {sayTime(shot.at)}
      </span>
      {scene !== undefined && c && (
        <Button variant="quiet" size="sm" onClick={open}>
          look at it
        </Button>
      )}
    </li>
  );
}

/** Screenshots with what each said, and the way to their case. */
export function EvidenceList({ evidence, label }: { evidence: readonly Evidence[]; label: string }) {
  if (evidence.length === 0) return null;
  return (
    <ul className="evidence" aria-label={label}>
      {evidence.map((shot) => (
        <Line key={shot.id} shot={shot} />
      ))}
    </ul>
  );
}

'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { sayWhat } from '@/core/review/say';
import type { Difference, OnCase } from '@/core/since/schema';
import { findCase } from '@/core/screens/cases';
import { OUTCOME_SHAPES } from '@/core/measure/words';
import { sayWeight } from '@/core/words/numbers';
import { useWorkbench } from '../state/context';
import { caseName, countCases } from '../words';
import { CaseBeside } from './CaseBeside';

interface Props {
  difference: Difference;
  signOff: string;
  isOpen: boolean;
  onOpen: () => void;
}

const outcomes = ({ before, after }: OnCase) =>
  `${before ? OUTCOME_SHAPES[before.outcome] : '–'} → ${OUTCOME_SHAPES[after.outcome]}`;

/** The name of a case, or its id where its screen is not looked at any more. */
function useCaseName(): (id: string) => string {
  const screens = useWorkbench((s) => s.screens);
  return (id) => {
    const found = findCase(id, screens);
    return found ? caseName(found) : id;
  };
}

/** The cases of a difference one by one, the one on which most has changed first. */
function Cases({ difference, signOff }: Pick<Props, 'difference' | 'signOff'>) {
  const { cases, worst } = difference;
  const [shown, setShown] = useState(worst.caseId);
  const nameOf = useCaseName();
  const ids = cases.flatMap((c) => (c.caseId === null ? [] : [c.caseId]));
  if (shown === null) return null;
  const at = cases.find((c) => c.caseId === shown)!;
  return (
    <div className="since-case">
      <label>
        <span className="quiet">Case</span>{' '}
        <select
          className="form-select form-select-sm"
          value={shown}
          onChange={(e) => setShown(e.target.value)}
        >
          {ids.map((id) => (
            <option key={id} value={id}>
              {nameOf(id)}
            </option>
          ))}
        </select>
      </label>
      {difference.source === 'scene' && (
        <CaseBeside signOff={signOff} scene={difference.in.id} caseId={shown} isNew={at.before === null} />
      )}
    </div>
  );
}

/** One thing that differs: what, on how many cases, and by how much where it is most; its cases when it is opened. */
export function DifferenceRow({ difference: d, signOff, isOpen, onOpen }: Props) {
  const on = d.cases.filter((c) => c.caseId !== null).length;
  return (
    <li>
      <div className="since-line">
        <span className="since-outcomes figures">{outcomes(d.worst)}</span>
        <span>
          <b>{sayWhat(d)}</b>{' '}
          <span className="quiet">
            {d.source !== 'files' && `${d.in.name}: `}
            {on > 0 && `${countCases(on)}, ${sayWeight(d.weight)} of the weight`}
            {d.where && ` (${d.where.toLowerCase()})`}
          </span>
          <span className="since-figure figures">{d.said}</span>
        </span>
        {on > 0 && (
          <Button
            variant="quiet"
            size="sm"
            aria-expanded={isOpen}
            onClick={onOpen}
            aria-label={`cases: ${sayWhat(d)}`}
          >
            {isOpen ? 'close' : 'before and after'}
          </Button>
        )}
      </div>
      {isOpen && <Cases difference={d} signOff={signOff} />}
    </li>
  );
}

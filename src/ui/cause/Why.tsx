'use client';
import { memo, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { explain, explainScreen } from '@/core/explain/figure';
import { steps, type AskedFigure, type MetricNote, type Reason } from '@/core/explain/reason';
import type { Axis, Side } from '@/core/geometry/rect';
import { sameJson } from '@/core/patch/patch';
import { surveyInput } from '@/core/survey/survey';
import { CopyWays } from './CopyWays';
import { isLength, withUnit } from './figure-px';
import { EditorPopover } from '../parts/EditorPopover';
import { goToPart } from '../state/asked-part';
import { useChosenCase } from '../state/case-result';
import { useOutside } from '../state/outside';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';

/** A figure of a layer, or a dimension of the screen. */
export type Question = { layerId: string; figure: AskedFigure } | { screen: Axis | Side };

const ORIGINS: Record<MetricNote['origin'], string> = {
  catalogue: 'from the catalogue',
  custom: 'entered by hand',
  imported: 'imported',
  measured: 'measured on a device',
};

const sayMetric = ({ label, confidence, origin, approximate }: MetricNote) =>
  `${label}, ${ORIGINS[origin]}; confidence ${confidence}${approximate ? ', approximate' : ''}`;

interface StepsProps {
  reason: Reason;
  onChange: (part: NonNullable<Reason['part']>) => void;
}

/** Reasons step by step, each part of a rule with the way to it. */
export function Steps({ reason, onChange }: StepsProps) {
  return (
    <ol className="why-steps">
      {steps(reason).map(({ reason: step, depth }, index) => (
        <li key={index} style={{ marginInlineStart: `${Math.min(depth, 4) * 12}px` }}>
          {step.text}{' '}
          {step.part && (
            <Button variant="quiet" size="sm" onClick={() => onChange(step.part!)}>
              change
            </Button>
          )}
          {step.metric && <span className="quiet why-metric">{sayMetric(step.metric)}</span>}
        </li>
      ))}
    </ol>
  );
}

/** What a figure comes from: first in one sentence, with the way to the part that decides it; its steps are folded under it. */
function InShort({ reason, onChange }: StepsProps) {
  const part = steps(reason).find((s) => s.reason.part)?.reason.part;
  return (
    <>
      <p className="in-short">
        {reason.text}{' '}
        {part && (
          <button type="button" className="part" onClick={() => onChange(part)}>
            change
          </button>
        )}
      </p>
      {reason.because.length > 0 && (
        <details>
          <summary>why, in steps</summary>
          <Steps reason={reason} onChange={onChange} />
        </details>
      )}
    </>
  );
}

/** Where a figure of the close-up’s case comes from; worked out when it is asked for. */
function Answer({ question, onDone }: { question: Question; onDone: () => void }) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const outside = useOutside();
  const scene = useScene();
  const c = useChosenCase();
  const reason = useMemo(() => {
    if (!c) return null;
    const input = surveyInput(documents, scene, outside);
    return 'screen' in question
      ? explainScreen(input, c, question.screen)
      : explain(input, c, question.layerId, question.figure);
  }, [c, documents, scene, outside, question]);
  const change = ({ layerId, path }: NonNullable<Reason['part']>) => {
    onDone();
    goToPart(store, { layerId, path });
  };
  return reason && <InShort reason={reason} onChange={change} />;
}

/** The ways to take a figure along. */
function Copied({ question, text }: { question: Question; text: string }) {
  const c = useChosenCase();
  if ('screen' in question) return <CopyWays text={text} density={c?.screen.density} />;
  const { figure } = question;
  return (
    <CopyWays text={withUnit(figure, text)} density={isLength(figure) ? c?.screen.density : undefined} />
  );
}

interface Props {
  question: Question;
  /** the figure, as it is read */
  text: string;
  /** what the figure is, for those who do not see where it stands */
  label: string;
}

const same = (a: Props, b: Props) =>
  a.text === b.text && a.label === b.label && sameJson(a.question, b.question);

/** A figure that can be asked where it comes from. There are many, and most stand still while one is changed. */
export const Why = memo(function Why({ question, text, label }: Props) {
  return (
    <EditorPopover
      label={`Why ${label} is ${text}`}
      wide
      button={{ bsPrefix: 'why', 'aria-label': `${label} ${text}: why`, children: text }}
    >
      {(close) => (
        <>
          <strong>
            {label}: why {text}?
          </strong>
          <Copied question={question} text={text} />
          <Answer question={question} onDone={close} />
        </>
      )}
    </EditorPopover>
  );
}, same);

'use client';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Form } from 'react-bootstrap';
import { takesHold } from './pointing';

interface Props {
  label: string;
  value: number;
  unit?: string;
  /** stands behind the number, such as a choice of units */
  after?: ReactNode;
  min?: number;
  max?: number;
  /** what an arrow key adds; values are kept to a hundredth of it */
  step?: number;
  onChange: (value: number) => void;
  onCommit: () => void;
  autoFocus?: boolean;
}

/** A decimal comma and a minus sign proper are read as well; NaN when it is no number or nothing. */
const readNumber = (text: string) =>
  text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-'));
const roundTo = (value: number, step: number) =>
  Number((Math.round((value * 100) / step) * (step / 100)).toFixed(6));
const STEPS = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 } as const;

/** What is typed, as far as it is a number that is allowed, and what sets one from outside of the field. */
function useTyped({ value, min = -1e5, max = 1e5, step = 1, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? String(roundTo(value, step));
  const number = readNumber(text);
  const fits = (n: number) => Number.isFinite(n) && n >= min && n <= max;
  const valid = fits(number);
  return {
    text,
    valid,
    said: `A number from ${min} to ${max}`,
    /** what arrow keys go on from */
    from: valid ? number : value,
    type(next: string) {
      setTyped(next);
      if (fits(readNumber(next))) onChange(readNumber(next));
    },
    leave: () => setTyped(null),
    set(next: number) {
      setTyped(null);
      onChange(roundTo(Math.min(max, Math.max(min, next)), step));
    },
  };
}

interface DragProps extends Pick<Props, 'label' | 'value' | 'step' | 'onCommit'> {
  id: string;
  onSet: (value: number) => void;
}

/** The name of a number: dragged sideways it runs through values. */
function DragLabel({ id, label, value, step = 1, onSet, onCommit }: DragProps) {
  const drag = useRef<{ x: number; value: number } | null>(null);
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    // A finger on it scrolls.
    if (!takesHold(event)) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, value };
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!drag.current) return;
    const moved = Math.round((event.clientX - drag.current.x) / 2);
    if (moved !== 0) onSet(drag.current.value + moved * step * (event.shiftKey ? 10 : 1));
  };
  const onPointerUp = () => {
    if (!drag.current) return;
    drag.current = null;
    onCommit();
  };
  return (
    <label
      htmlFor={id}
      title="Drag sideways to run through values"
      {...{ onPointerDown, onPointerMove, onPointerUp }}
    >
      {label}
    </label>
  );
}

/**
 * A number with its unit. Arrow keys go by one step, with Shift by 10, with Alt by 0.1; the label is dragged sideways to
 * run through values. What is typed and is not a number is left standing and said, and changes nothing.
 */
export function NumberField(props: Props) {
  const { label, value, unit, after, step = 1, onCommit, autoFocus } = props;
  const id = useId();
  const { text, valid, said, from, type, leave, set } = useTyped(props);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') onCommit();
    const steps = STEPS[event.key as keyof typeof STEPS];
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    set(from + steps * step * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1));
  };
  return (
    <div className="number-field">
      <DragLabel {...{ id, label, value, step, onCommit }} onSet={set} />
      <span className="number-field-value">
        <Form.Control
          id={id}
          className="figures"
          inputMode="decimal"
          autoComplete="off"
          autoFocus={autoFocus}
          value={text}
          isInvalid={!valid}
          aria-describedby={valid ? undefined : `${id}-problem`}
          onFocus={(e) => e.target.select()}
          onChange={(e) => type(e.target.value)}
          onBlur={() => {
            leave();
            onCommit();
          }}
          onKeyDown={onKeyDown}
        />
        {unit && <span className="quiet">{unit}</span>}
        {after}
      </span>
      {!valid && (
        <span className="problem" id={`${id}-problem`} role="alert">
          {said}
        </span>
      )}
    </div>
  );
}

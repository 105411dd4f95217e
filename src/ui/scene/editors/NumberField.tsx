'use client';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Form } from 'react-bootstrap';

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

/**
 * A number with its unit. Arrow keys go by one step, with Shift by 10, with Alt by 0.1; the label is dragged sideways to
 * run through values. What is typed and is not a number is left standing and said, and changes nothing.
 */
export function NumberField({
  label,
  value,
  unit,
  after,
  min = -1e5,
  max = 1e5,
  step = 1,
  onChange,
  onCommit,
  autoFocus,
}: Props) {
  const id = useId();
  const rounded = (v: number) => roundTo(v, step);
  const [typed, setTyped] = useState<string | null>(null);
  const drag = useRef<{ x: number; value: number } | null>(null);
  const text = typed ?? String(rounded(value));
  const number = readNumber(text);
  const fits = (n: number) => Number.isFinite(n) && n >= min && n <= max;
  const valid = fits(number);

  const set = (next: number) => {
    setTyped(null);
    onChange(rounded(Math.min(max, Math.max(min, next))));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') onCommit();
    const steps = STEPS[event.key as keyof typeof STEPS];
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    set((valid ? number : value) + steps * step * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1));
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, value };
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!drag.current) return;
    const moved = Math.round((event.clientX - drag.current.x) / 2);
    if (moved !== 0) set(drag.current.value + moved * step * (event.shiftKey ? 10 : 1));
  };
  const onPointerUp = () => {
    if (!drag.current) return;
    drag.current = null;
    onCommit();
  };

  return (
    <div className="number-field">
      <label
        htmlFor={id}
        title="Drag sideways to run through values"
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={onPointerUp}
      >
        {label}
      </label>
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
          onChange={(e) => {
            const next = readNumber(e.target.value);
            setTyped(e.target.value);
            if (fits(next)) onChange(next);
          }}
          onBlur={() => {
            setTyped(null);
            onCommit();
          }}
          onKeyDown={onKeyDown}
        />
        {unit && <span className="quiet">{unit}</span>}
        {after}
      </span>
      {!valid && (
        <span className="problem" id={`${id}-problem`} role="alert">
          A number from {min} to {max}
        </span>
      )}
    </div>
  );
}

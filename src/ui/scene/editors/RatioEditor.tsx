'use client';
import { Form } from 'react-bootstrap';
import type { Ratio } from '@/core/placing/rule';
import { sayRatioOf } from '@/core/sentences/words';
import { NumberField } from '../../parts/NumberField';

interface Props {
  value: Ratio;
  /** whether the layer has a shape of its own */
  hasOwn: boolean;
  onChange: (value: Ratio) => void;
  onCommit: () => void;
}

const USUAL = [1, 4 / 3, 3 / 2, 16 / 9, 2, 3 / 4, 2 / 3, 9 / 16];
const near = (a: number) => (b: number) => Math.abs(a - b) < 1e-9;

/** The shape that a layer keeps: its picture’s own, or a given one; strictly, or as far as bounds allow. */
export function RatioEditor({ value, hasOwn, onChange, onCommit }: Props) {
  const usual = typeof value.value === 'number' ? USUAL.findIndex(near(value.value)) : -1;
  const chosen = value.value === 'own' ? 'own' : usual < 0 ? 'given' : String(usual);
  return (
    <>
      <Form.Select
        aria-label="Shape"
        autoFocus
        value={chosen}
        onChange={(e) => {
          const next = e.target.value;
          const ratio = next === 'own' ? 'own' : next === 'given' ? 1.85 : USUAL[Number(next)]!;
          onChange({ ...value, value: ratio });
          onCommit();
        }}
      >
        {hasOwn && <option value="own">the picture’s own shape</option>}
        {USUAL.map((ratio, i) => (
          <option key={ratio} value={i}>
            {sayRatioOf(ratio)}
          </option>
        ))}
        <option value="given">another shape</option>
      </Form.Select>
      {typeof value.value === 'number' && (
        <NumberField
          label="Width ÷ height"
          min={0.01}
          max={100}
          value={value.value}
          onChange={(next) => onChange({ ...value, value: next })}
          onCommit={onCommit}
        />
      )}
      <Form.Check
        type="checkbox"
        id="ratio-strict"
        label="Kept strictly: bounds act on both sides"
        checked={value.strict}
        onChange={(e) => {
          onChange({ ...value, strict: e.target.checked });
          onCommit();
        }}
      />
    </>
  );
}

'use client';
import { Form } from 'react-bootstrap';
import { namedOf, type Length, type NamedValue } from '@/core/values/values';
import { NumberField } from '../../parts/NumberField';

interface Props {
  label: string;
  value: Length;
  named: readonly NamedValue[];
  /** what 100 % is, in words; `null` where the editor asks for it itself */
  percentOf: string | null;
  min?: number;
  onChange: (value: Length) => void;
  onCommit: () => void;
  autoFocus?: boolean;
}

const UNITS = ['lu', '%', 'px'] as const;
type Unit = (typeof UNITS)[number];
const UNIT_TITLES: Record<Unit, string> = {
  lu: 'logical units, one CSS pixel',
  '%': 'a share',
  px: 'pixels of the device',
};

/** A length: a number with its unit, or one of the project’s named lengths. */
export function LengthField({ label, value, named, percentOf, min, onChange, onCommit, autoFocus }: Props) {
  const lengths = namedOf('length', named);
  const isNamed = 'named' in value;
  const number = isNamed ? 0 : value.value;
  const unit = isNamed ? `named:${value.named}` : value.unit;
  const unitSelect = (
    <Form.Select
      aria-label={`Unit of ${label}`}
      value={unit}
      onChange={(e) => {
        const next = e.target.value;
        onChange(
          next.startsWith('named:') ? { named: next.slice(6) } : { value: number, unit: next as Unit },
        );
        onCommit();
      }}
    >
      {UNITS.map((u) => (
        <option key={u} value={u} title={UNIT_TITLES[u]}>
          {u}
        </option>
      ))}
      {lengths.map((n) => (
        <option key={n.id} value={`named:${n.id}`}>
          {n.name}
        </option>
      ))}
    </Form.Select>
  );
  if (isNamed) return unitSelect;
  return (
    <div className="length-field">
      <NumberField
        label={label}
        value={number}
        min={min}
        autoFocus={autoFocus}
        after={unitSelect}
        onChange={(next) => onChange({ value: next, unit: value.unit })}
        onCommit={onCommit}
      />
      {value.unit === '%' && percentOf && <span className="quiet">% of {percentOf}</span>}
    </div>
  );
}

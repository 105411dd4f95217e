'use client';
import { Form } from 'react-bootstrap';
import { SCREEN_GROUPS } from '@/core/screens/kinds';
import type { Filter } from './filter';

interface Props {
  filter: Filter;
  onChange: (filter: Filter) => void;
}

const NUMBERS = [
  ['from', 'Shorter side from', 'lu'],
  ['to', 'to', 'lu'],
  ['weight', 'Weight from', ''],
] as const;

/** Which screens are listed: by name, size or ratio, kind, whose they are, shorter side and weight. */
export function ScreenFilters({ filter, onChange }: Props) {
  const set = (next: Partial<Filter>) => onChange({ ...filter, ...next });
  return (
    <div className="sets-filters" role="search" aria-label="Screens listed">
      <Form.Control
        type="search"
        size="sm"
        aria-label="Find screens"
        placeholder="390x844, 20:9, tablet"
        value={filter.text}
        onChange={(e) => set({ text: e.target.value })}
      />
      <Form.Select
        size="sm"
        aria-label="Kind"
        value={filter.kind}
        onChange={(e) => set({ kind: e.target.value })}
      >
        <option value="">all kinds</option>
        {SCREEN_GROUPS.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </Form.Select>
      <Form.Select
        size="sm"
        aria-label="Whose"
        value={filter.whose}
        onChange={(e) => set({ whose: e.target.value as Filter['whose'] })}
      >
        <option value="">catalogue and own</option>
        <option value="catalogue">catalogue</option>
        <option value="own">own</option>
      </Form.Select>
      {NUMBERS.map(([key, label, unit]) => (
        <label key={key} className="sets-number">
          {label}{' '}
          <Form.Control
            size="sm"
            inputMode="decimal"
            value={Number.isNaN(filter[key]) ? '' : filter[key]}
            onChange={(e) => set({ [key]: e.target.value.trim() === '' ? NaN : Number(e.target.value) })}
          />{' '}
          {unit}
        </label>
      ))}
    </div>
  );
}

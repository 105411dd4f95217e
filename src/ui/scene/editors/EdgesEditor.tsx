'use client';
import type { Axis } from '@/core/geometry/rect';
import type { Placing } from '@/core/placing/rule';
import type { Length, NamedValue } from '@/core/scene/values';
import { LengthField } from './LengthField';

interface Props {
  placing: Placing;
  named: readonly NamedValue[];
  percentOf: string;
  /** both when absent */
  axes?: readonly Axis[];
  onChange: (placing: Placing) => void;
  onCommit: () => void;
}

const SIDES = [
  { label: 'Left', axis: 'x', end: 'start' },
  { label: 'Right', axis: 'x', end: 'end' },
  { label: 'Top', axis: 'y', end: 'start' },
  { label: 'Bottom', axis: 'y', end: 'end' },
] as const;

/** The edges of a box that is pinned alike on several sides, each by itself. */
export const EdgesEditor = ({ placing, named, percentOf, axes = ['x', 'y'], onChange, onCommit }: Props) => (
  <details>
    <summary>each edge by itself</summary>
    {SIDES.filter((s) => axes.includes(s.axis)).map(({ label, axis, end }) => {
      const rule = placing[axis];
      if (rule.kind !== 'edges') return null;
      const set = (offset: Length) =>
        onChange({ ...placing, [axis]: { ...rule, [end]: { ...rule[end], offset } } });
      return (
        <LengthField
          key={label}
          label={label}
          value={rule[end].offset}
          named={named}
          percentOf={percentOf}
          onChange={set}
          onCommit={onCommit}
        />
      );
    })}
  </details>
);

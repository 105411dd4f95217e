'use client';
import type { Axis } from '@/core/geometry/rect';
import type { Placing } from '@/core/placing/rule';
import type { Length, NamedValue } from '@/core/values/values';
import { capitalised } from '@/core/words/words';
import { useAxisWords } from '../useAxisWords';
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
  { axis: 'x', end: 'start' },
  { axis: 'x', end: 'end' },
  { axis: 'y', end: 'start' },
  { axis: 'y', end: 'end' },
] as const;

/** The edges of a box that is pinned alike on several sides, each by itself. */
export function EdgesEditor({ placing, named, percentOf, axes = ['x', 'y'], onChange, onCommit }: Props) {
  const words = useAxisWords();
  return (
    <details>
      <summary>each edge by itself</summary>
      {SIDES.filter((s) => axes.includes(s.axis)).map(({ axis, end }) => {
        const rule = placing[axis];
        if (rule.kind !== 'edges') return null;
        const set = (offset: Length) =>
          onChange({ ...placing, [axis]: { ...rule, [end]: { ...rule[end], offset } } });
        return (
          <LengthField
            key={`${axis} ${end}`}
            label={capitalised(words(axis)[end])}
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
}

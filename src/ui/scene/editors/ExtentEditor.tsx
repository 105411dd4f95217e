'use client';
import { possessive } from '@/core/words/words';
import { Form } from 'react-bootstrap';
import type { Axis } from '@/core/geometry/rect';
import type { Basis, Extent } from '@/core/placing/rule';
import { AXIS_WORDS, REGION_WORDS } from '@/core/sentences/words';
import { isPercent, lu, percent, type NamedValue } from '@/core/values/values';
import { LengthField } from './LengthField';

interface Props {
  value: Extent;
  axis: Axis;
  named: readonly NamedValue[];
  otherLayers: readonly { id: string; name: string }[];
  /** whether a panel holds the layer */
  inPanel: boolean;
  canHug: boolean;
  canBeNatural: boolean;
  onChange: (value: Extent) => void;
  onCommit: () => void;
}

const KINDS: [Extent['kind'], string][] = [
  ['length', 'a length or share'],
  ['natural', 'its natural size'],
  ['from-ratio', 'what the shape gives'],
  ['hug', 'as much as it holds'],
];

function BasisSelect(p: {
  value: Basis | undefined;
  axis: Axis;
  otherLayers: Props['otherLayers'];
  inPanel: boolean;
  onChange: (of: Basis) => void;
}) {
  const word = AXIS_WORDS[p.axis].extent;
  return (
    <Form.Select
      aria-label="Share of"
      value={p.value ?? 'screen'}
      onChange={(e) => p.onChange(e.target.value as Basis)}
    >
      {Object.entries(REGION_WORDS)
        .filter(([id]) => id !== 'parent' || p.inPanel)
        .map(([id, name]) => (
          <option key={id} value={id}>{`the ${possessive(name)} ${word}`}</option>
        ))}
      <option value="short">the screen’s shorter side</option>
      <option value="long">the screen’s longer side</option>
      {p.otherLayers.map((l) => (
        <option key={l.id} value={`layer:${l.id}`}>{`${possessive(l.name)} ${word}`}</option>
      ))}
    </Form.Select>
  );
}

/** A size along one axis: of what kind, how much, of what, and its bounds. */
export function ExtentEditor(props: Props) {
  const { value, axis, named, otherLayers, inPanel, canHug, canBeNatural, onChange, onCommit } = props;
  const words = AXIS_WORDS[axis];
  const { min, max } = value;
  const bounds = { ...(min && { min }), ...(max && { max }) };
  const setKind = (kind: Extent['kind']) => {
    onChange(kind === 'length' ? { kind, length: percent(50), of: 'safe', ...bounds } : { kind, ...bounds });
    onCommit();
  };
  const kinds = KINDS.filter(([kind]) => (kind !== 'hug' || canHug) && (kind !== 'natural' || canBeNatural));
  const boundField = (key: 'min' | 'max', label: string) => {
    const bound = value[key];
    return (
      <div className="bound">
        <Form.Check
          type="checkbox"
          id={`bound-${axis}-${key}`}
          label={label}
          checked={bound !== undefined}
          onChange={(e) => {
            const { [key]: _, ...rest } = value;
            onChange(e.target.checked ? { ...value, [key]: { length: lu(200) } } : (rest as Extent));
            onCommit();
          }}
        />
        {bound && (
          <LengthField
            label={label}
            value={bound.length}
            named={named}
            percentOf={null}
            min={0}
            onChange={(length) => onChange({ ...value, [key]: { ...bound, length } })}
            onCommit={onCommit}
          />
        )}
        {bound && isPercent(bound.length) && (
          <BasisSelect
            value={bound.of}
            {...{ axis, otherLayers, inPanel }}
            onChange={(of) => {
              onChange({ ...value, [key]: { ...bound, of } });
              onCommit();
            }}
          />
        )}
      </div>
    );
  };
  return (
    <>
      <Form.Select
        aria-label={`The ${words.extent} is`}
        value={value.kind}
        onChange={(e) => setKind(e.target.value as Extent['kind'])}
      >
        {kinds.map(([kind, label]) => (
          <option key={kind} value={kind}>
            {label}
          </option>
        ))}
      </Form.Select>
      {value.kind === 'length' && (
        <>
          <LengthField
            label={`${words.extent[0]!.toUpperCase()}${words.extent.slice(1)}`}
            value={value.length}
            named={named}
            percentOf={null}
            min={0}
            autoFocus
            onChange={(length) => onChange({ ...value, length })}
            onCommit={onCommit}
          />
          {isPercent(value.length) && (
            <BasisSelect
              value={value.of}
              {...{ axis, otherLayers, inPanel }}
              onChange={(of) => {
                onChange({ ...value, of });
                onCommit();
              }}
            />
          )}
        </>
      )}
      {boundField('min', 'At least')}
      {boundField('max', 'At most')}
    </>
  );
}

'use client';
import { capitalised, possessive } from '@/core/words/words';
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

type LengthExtent = Extract<Extent, { kind: 'length' }>;

/** How much, and of what if it is a share. */
function LengthFields({ value, ...p }: Props & { value: LengthExtent }) {
  const { axis, named, otherLayers, inPanel, onChange, onCommit } = p;
  return (
    <>
      <LengthField
        label={capitalised(AXIS_WORDS[axis].extent)}
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
  );
}

const BOUND_WORDS = { min: 'At least', max: 'At most' } as const;

/** A bound of a size that may be absent. */
function BoundField({ value, bound: key, ...p }: Props & { bound: keyof typeof BOUND_WORDS }) {
  const { axis, named, otherLayers, inPanel, onChange, onCommit } = p;
  const label = BOUND_WORDS[key];
  const bound = value[key];
  const toggle = (isOn: boolean) => {
    const { [key]: _, ...rest } = value;
    onChange(isOn ? { ...value, [key]: { length: lu(200) } } : (rest as Extent));
    onCommit();
  };
  return (
    <div className="bound">
      <Form.Check
        type="checkbox"
        id={`bound-${axis}-${key}`}
        label={label}
        checked={bound !== undefined}
        onChange={(e) => toggle(e.target.checked)}
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
}

/** A size along one axis: of what kind, how much, of what, and its bounds. */
export function ExtentEditor(props: Props) {
  const { value, axis, canHug, canBeNatural, onChange, onCommit } = props;
  const { min, max } = value;
  const bounds = { ...(min && { min }), ...(max && { max }) };
  const setKind = (kind: Extent['kind']) => {
    onChange(kind === 'length' ? { kind, length: percent(50), of: 'safe', ...bounds } : { kind, ...bounds });
    onCommit();
  };
  const kinds = KINDS.filter(([kind]) => (kind !== 'hug' || canHug) && (kind !== 'natural' || canBeNatural));
  return (
    <>
      <Form.Select
        aria-label={`The ${AXIS_WORDS[axis].extent} is`}
        value={value.kind}
        onChange={(e) => setKind(e.target.value as Extent['kind'])}
      >
        {kinds.map(([kind, label]) => (
          <option key={kind} value={kind}>
            {label}
          </option>
        ))}
      </Form.Select>
      {value.kind === 'length' && <LengthFields {...props} value={value} />}
      <BoundField {...props} bound="min" />
      <BoundField {...props} bound="max" />
    </>
  );
}

'use client';
import { Form } from 'react-bootstrap';
import { FIT_PRESETS, presetOf, withPreset } from '@/core/fit/presets';
import { isRepeating, type Fit, type FitSize, type Repeat } from '@/core/fit/rule';
import { percent, type Length, type NamedValue } from '@/core/values/values';
import { FIT_WORDS } from '../../words';
import { LengthField } from './LengthField';
import { ListEditor } from '../../parts/ListEditor';

interface Props {
  value: Fit;
  named: readonly NamedValue[];
  onChange: (value: Fit) => boolean;
  onCommit: () => void;
  onDone: () => void;
}

const REPEATS: [Repeat, string][] = [
  ['no-repeat', 'a single copy'],
  ['repeat', 'repeated'],
  ['space', 'repeated with even gaps'],
  ['round', 'repeated in whole copies'],
];
const OWN = 'own';
type Sides = Extract<FitSize, object>;

const options = [
  ...FIT_PRESETS.map((value) => ({ value, label: FIT_WORDS[value].label, note: FIT_WORDS[value].title })),
  { value: OWN, label: 'a size of its own', note: 'Width and height given, or copies along one way' },
] as const;

/** One side of a size of its own: a length, or what the other side gives. */
function SideField(p: {
  label: string;
  value: Length | 'auto';
  named: readonly NamedValue[];
  onChange: (value: Length | 'auto') => void;
  onCommit: () => void;
}) {
  const id = `side-${p.label}`;
  return (
    <div className="bound">
      <Form.Check
        type="checkbox"
        id={id}
        label={`${p.label} given`}
        checked={p.value !== 'auto'}
        onChange={(e) => {
          p.onChange(e.target.checked ? percent(50) : 'auto');
          p.onCommit();
        }}
      />
      {p.value !== 'auto' && (
        <LengthField
          label={p.label}
          value={p.value}
          named={p.named}
          percentOf="the box"
          min={0}
          onChange={p.onChange}
          onCommit={p.onCommit}
        />
      )}
    </div>
  );
}

/** A repeated picture has no focal point. */
function withRepeat(fit: Fit, axis: 'x' | 'y', mode: Repeat): Fit {
  const repeat = { ...fit.repeat, [axis]: mode };
  const tiled = withPreset(fit, 'tile');
  return isRepeating({ repeat }) ? { ...fit, align: tiled.align, repeat } : { ...fit, repeat };
}

interface RepeatProps {
  axis: 'x' | 'y';
  value: Repeat;
  onChoose: (mode: Repeat) => void;
}

/** How copies go on along one way. */
function RepeatSelect({ axis, value, onChoose }: RepeatProps) {
  return (
    <div className="labelled">
      <label htmlFor={`repeat-${axis}`}>{axis === 'x' ? 'Across' : 'Down'}</label>
      <Form.Select id={`repeat-${axis}`} value={value} onChange={(e) => onChoose(e.target.value as Repeat)}>
        {REPEATS.map(([mode, label]) => (
          <option key={mode} value={mode}>
            {label}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}

/** How a picture is drawn in its box: a usual fit, or a size of its own with copies each way. */
export function FitEditor({ value, named, onChange, onCommit, onDone }: Props) {
  const preset = presetOf(value);
  const own = preset === null || preset === 'tile';
  const setSides = (sides: Sides) => onChange({ ...value, size: sides });
  const sides: Sides = typeof value.size === 'object' ? value.size : { width: 'auto', height: 'auto' };
  return (
    <>
      <ListEditor
        label="Drawn as"
        options={options}
        value={preset ?? OWN}
        onChoose={(chosen) => {
          if (chosen === OWN) onChange({ ...value, size: { width: percent(50), height: 'auto' } });
          else onChange(withPreset(value, chosen));
          onCommit();
          // What is tiled is asked on for the size of a tile and its gaps.
          if (chosen !== OWN && chosen !== 'tile') onDone();
        }}
      />
      {own && (
        <>
          <SideField
            label="Width"
            value={sides.width}
            named={named}
            onChange={(width) => setSides({ ...sides, width })}
            onCommit={onCommit}
          />
          <SideField
            label="Height"
            value={sides.height}
            named={named}
            onChange={(height) => setSides({ ...sides, height })}
            onCommit={onCommit}
          />
          {(['x', 'y'] as const).map((axis) => (
            <RepeatSelect
              key={axis}
              axis={axis}
              value={value.repeat[axis]}
              onChoose={(mode) => {
                onChange(withRepeat(value, axis, mode));
                onCommit();
              }}
            />
          ))}
        </>
      )}
    </>
  );
}

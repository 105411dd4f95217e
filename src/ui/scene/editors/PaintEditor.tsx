'use client';
import { Button } from 'react-bootstrap';
import { paintColours, type Gradient, type Paint } from '@/core/values/paint';
import type { NamedValue } from '@/core/values/values';
import { Choices } from '../../parts/Choices';
import { ColourEditor } from './ColourEditor';
import { NumberField } from '../../parts/NumberField';

interface Props {
  value: Paint;
  named: readonly NamedValue[];
  onChange: (value: Paint) => void;
  onCommit: () => void;
}

const KINDS = [
  { value: 'colour', label: 'one colour' },
  { value: 'linear', label: 'gradient' },
  { value: 'radial', label: 'round gradient' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

const MOST_STOPS = 8;
const SECOND = { light: '#ffffff', dark: '#101418' };

/** Turns a paint into one of another kind, with its colours. */
function asKind(paint: Paint, kind: Kind): Paint {
  const [first, second = SECOND] = paintColours(paint);
  if (kind === 'colour') return first!;
  const stops =
    'gradient' in paint
      ? paint.stops
      : [
          { colour: first!, at: 0 },
          { colour: second, at: 100 },
        ];
  return kind === 'linear'
    ? { gradient: 'linear', angle: 180, stops }
    : { gradient: 'radial', centre: { x: 50, y: 50 }, stops };
}

type Stop = Gradient['stops'][number];

interface StopProps extends Pick<Props, 'named' | 'onCommit'> {
  stop: Stop;
  index: number;
  onColour: (colour: Stop['colour']) => void;
  onAt: (at: number) => void;
  /** none where a gradient needs it */
  onRemove: (() => void) | null;
}

/** One colour of a gradient, and where it stands. */
function StopFields({ stop, index, named, onColour, onAt, onCommit, onRemove }: StopProps) {
  return (
    <div className="bound" role="group" aria-label={`Colour ${index + 1}`}>
      <ColourEditor
        value={stop.colour}
        named={named}
        id={`stop-${index}`}
        onChange={onColour}
        onCommit={onCommit}
      />
      <NumberField
        label="At"
        unit="%"
        min={0}
        max={100}
        value={stop.at}
        onChange={onAt}
        onCommit={onCommit}
      />
      {onRemove && (
        <Button variant="quiet" size="sm" onClick={onRemove}>
          remove this colour
        </Button>
      )}
    </div>
  );
}

function Stops({ value, named, onChange, onCommit }: Props & { value: Gradient }) {
  const { stops } = value;
  const set = (next: Gradient['stops']) => onChange({ ...value, stops: next });
  const setOne = (index: number, change: Partial<Stop>) =>
    set(stops.map((s, i) => (i === index ? { ...s, ...change } : s)));
  const setAt = (index: number, at: number) => {
    // A stop stays between its neighbours: their order is the order of the colours.
    const low = stops[index - 1]?.at ?? 0;
    const high = stops[index + 1]?.at ?? 100;
    setOne(index, { at: Math.max(low, Math.min(high, at)) });
  };
  const act = (next: Gradient['stops']) => {
    set(next);
    onCommit();
  };
  return (
    <>
      {stops.map((stop, index) => (
        <StopFields
          key={index}
          {...{ stop, index, named, onCommit }}
          onColour={(colour) => setOne(index, { colour })}
          onAt={(at) => setAt(index, at)}
          onRemove={stops.length > 2 ? () => act(stops.filter((_, i) => i !== index)) : null}
        />
      ))}
      {stops.length < MOST_STOPS && (
        <Button variant="quiet" size="sm" onClick={() => act([...stops, { ...stops.at(-1)!, at: 100 }])}>
          add a colour
        </Button>
      )}
    </>
  );
}

/** What an area is filled with: one colour, or a gradient of several, each for light and dark. */
export function PaintEditor({ value, named, onChange, onCommit }: Props) {
  const done = { named, onChange, onCommit };
  const kind: Kind = 'gradient' in value ? value.gradient : 'colour';
  return (
    <>
      <Choices
        label="Filled with"
        options={KINDS}
        value={kind}
        onChoose={(next) => {
          if (next !== kind) onChange(asKind(value, next));
          onCommit();
        }}
      />
      {!('gradient' in value) && <ColourEditor value={value} id="paint" autoFocus {...done} />}
      {'gradient' in value && value.gradient === 'linear' && (
        <NumberField
          label="Direction, 0 is upwards"
          unit="°"
          min={-360}
          max={360}
          value={value.angle}
          autoFocus
          onChange={(angle) => onChange({ ...value, angle })}
          onCommit={onCommit}
        />
      )}
      {'gradient' in value &&
        value.gradient === 'radial' &&
        (['x', 'y'] as const).map((axis) => (
          <NumberField
            key={axis}
            label={axis === 'x' ? 'Centre across' : 'Centre down'}
            unit="%"
            value={value.centre[axis]}
            onChange={(next) => onChange({ ...value, centre: { ...value.centre, [axis]: next } })}
            onCommit={onCommit}
          />
        ))}
      {'gradient' in value && <Stops value={value} {...done} />}
    </>
  );
}

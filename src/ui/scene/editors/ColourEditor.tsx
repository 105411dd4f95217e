'use client';
import { Form } from 'react-bootstrap';
import { namedOf, resolveColour, type Colour, type NamedValue } from '@/core/values/values';
import { useState } from 'react';
import { NumberField } from '../../parts/NumberField';
import { alphaOf, readColour, withAlpha } from '@/core/values/css-colour';

interface Props {
  value: Colour;
  named: readonly NamedValue[];
  /** of this editor among those that are open together */
  id: string;
  autoFocus?: boolean;
  onChange: (value: Colour) => void;
  onCommit: () => void;
}

/**
 * One colour: a swatch to pick from, what is typed in any form that CSS knows, and how opaque it is. What is not a colour
 * yet changes nothing.
 */
function HexField(p: { label: string; value: string; onChange: (v: string) => void; onCommit: () => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? p.value.slice(0, 7);
  const read = readColour(text);
  const alpha = alphaOf(p.value);
  return (
    <div className="hex-field">
      <Form.Control
        type="color"
        aria-label={`${p.label}: pick`}
        value={p.value.slice(0, 7)}
        onChange={(e) => p.onChange(withAlpha(e.target.value, alpha))}
        onBlur={p.onCommit}
      />
      <Form.Control
        aria-label={p.label}
        className="figures"
        spellCheck={false}
        value={text}
        isInvalid={!read}
        onChange={(e) => {
          setTyped(e.target.value);
          const next = readColour(e.target.value);
          // A colour without an alpha of its own leaves the one that is there.
          if (next) p.onChange(next.hex.length === 9 ? next.hex : withAlpha(next.hex, alpha));
        }}
        onBlur={() => {
          setTyped(null);
          p.onCommit();
        }}
      />
      <NumberField
        label={`${p.label}: opaque`}
        unit="%"
        min={0}
        max={100}
        value={Math.round(alpha * 100)}
        onChange={(share) => p.onChange(withAlpha(p.value, share / 100))}
        onCommit={p.onCommit}
      />
      {!read && (
        <span className="problem" role="alert">
          A colour as CSS writes it: white, #fff, rgb(255 255 255 / 70%), oklch(…)
        </span>
      )}
      {read?.isMapped && <span className="quiet">sRGB does not have it: {read.hex} is the nearest.</span>}
    </div>
  );
}

type PlainColour = Exclude<Colour, { named: string }>;

/** A colour of its own: in light and, if it differs, in dark. */
function PlainFields({
  value,
  id,
  onChange,
  onCommit,
}: Omit<Props, 'value' | 'named'> & { value: PlainColour }) {
  return (
    <>
      <HexField
        label="In light"
        value={value.light}
        onChange={(light) => onChange({ ...value, light })}
        onCommit={onCommit}
      />
      <Form.Check
        type="checkbox"
        id={`dark-${id}`}
        label="Another in dark"
        checked={value.dark !== undefined}
        onChange={(e) => {
          onChange(e.target.checked ? { ...value, dark: '#000000' } : { light: value.light });
          onCommit();
        }}
      />
      {value.dark !== undefined && (
        <HexField
          label="In dark"
          value={value.dark}
          onChange={(dark) => onChange({ ...value, dark })}
          onCommit={onCommit}
        />
      )}
    </>
  );
}

/** A colour for light and, if it differs, for dark; or one of the project’s named colours. */
export function ColourEditor({ value, named, id, autoFocus, onChange, onCommit }: Props) {
  const colours = namedOf('colour', named);
  const plain =
    'named' in value
      ? { light: resolveColour(value, 'light', named), dark: resolveColour(value, 'dark', named) }
      : value;
  return (
    <>
      <Form.Select
        aria-label="Colour"
        autoFocus={autoFocus}
        value={'named' in value ? value.named : ''}
        onChange={(e) => {
          onChange(e.target.value ? { named: e.target.value } : plain);
          onCommit();
        }}
      >
        <option value="">a colour of its own</option>
        {colours.map((n) => (
          <option key={n.id} value={n.id}>
            {n.name}
          </option>
        ))}
      </Form.Select>
      {!('named' in value) && <PlainFields {...{ value, id, onChange, onCommit }} />}
    </>
  );
}

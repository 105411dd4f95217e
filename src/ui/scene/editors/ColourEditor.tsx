'use client';
import { Form } from 'react-bootstrap';
import { HexColour, resolveColour, type Colour, type NamedValue } from '@/core/scene/values';
import { useState } from 'react';

interface Props {
  value: Colour;
  named: readonly NamedValue[];
  /** of this editor among those that are open together */
  id: string;
  autoFocus?: boolean;
  onChange: (value: Colour) => void;
  onCommit: () => void;
}

/** A hex colour: a swatch to pick from and the code to type. What is not a colour yet changes nothing. */
function HexField(p: { label: string; value: string; onChange: (v: string) => void; onCommit: () => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? p.value;
  const valid = HexColour.safeParse(text).success;
  return (
    <div className="hex-field">
      <Form.Control
        type="color"
        aria-label={`${p.label}: pick`}
        value={p.value.slice(0, 7)}
        onChange={(e) => p.onChange(e.target.value)}
        onBlur={p.onCommit}
      />
      <Form.Control
        aria-label={p.label}
        className="figures"
        spellCheck={false}
        value={text}
        isInvalid={!valid}
        onChange={(e) => {
          setTyped(e.target.value);
          if (HexColour.safeParse(e.target.value).success) p.onChange(e.target.value.toLowerCase());
        }}
        onBlur={() => {
          setTyped(null);
          p.onCommit();
        }}
      />
      {!valid && (
        <span className="problem" role="alert">
          A colour is #rrggbb
        </span>
      )}
    </div>
  );
}

/** A colour for light and, if it differs, for dark; or one of the project’s named colours. */
export function ColourEditor({ value, named, id, autoFocus, onChange, onCommit }: Props) {
  const colours = named.filter((n) => 'light' in n.value);
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
      {!('named' in value) && (
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
      )}
    </>
  );
}

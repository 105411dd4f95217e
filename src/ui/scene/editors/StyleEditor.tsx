'use client';
import { Form } from 'react-bootstrap';
import { FONTS, fontHash, type ProjectFont, type TextStyle } from '@/core/text/style';
import { useWorkbench } from '../../state/context';
import { FontPicker } from '../FontPicker';
import { Choices } from '../../parts/Choices';
import { NumberField } from '../../parts/NumberField';

interface Props {
  value: TextStyle;
  onChange: (value: TextStyle) => void;
  onCommit: () => void;
}

interface FontChoice {
  value: TextStyle['font'];
  label: string;
}
const NO_FONTS: readonly ProjectFont[] = [];

const WEIGHT_CHOICES = [
  { value: '400', label: 'regular' },
  { value: '700', label: 'bold' },
] as const;
const ACROSS = [
  { value: 'start', label: 'left' },
  { value: 'middle', label: 'middle' },
  { value: 'end', label: 'right' },
] as const;
const DOWN = [
  { value: 'start', label: 'top' },
  { value: 'middle', label: 'middle' },
  { value: 'end', label: 'bottom' },
] as const;

/** A number that may be absent: a box to tick, and the number when it is. */
function Optional(p: {
  id: string;
  label: string;
  unit?: string;
  value: number | undefined;
  first: number;
  min: number;
  onChange: (value: number | undefined) => void;
  onCommit: () => void;
}) {
  return (
    <div className="bound">
      <Form.Check
        type="checkbox"
        id={p.id}
        label={p.label}
        checked={p.value !== undefined}
        onChange={(e) => {
          p.onChange(e.target.checked ? p.first : undefined);
          p.onCommit();
        }}
      />
      {p.value !== undefined && (
        <NumberField
          label={p.label}
          unit={p.unit}
          min={p.min}
          max={1000}
          value={p.value}
          onChange={p.onChange}
          onCommit={p.onCommit}
        />
      )}
    </div>
  );
}

type PartProps = Props & { choose: (next: Partial<TextStyle>) => void };

/** One of the fonts that come along, or one that was imported; and its weight where it has several. */
function FontFields({ value, choose }: PartProps) {
  const fonts = useWorkbench((s) => s.documents.project.fonts) ?? NO_FONTS;
  return (
    <>
      <Choices
        label="Font"
        options={[
          ...FONTS.map((font): FontChoice => ({ value: font, label: font })),
          ...fonts.map(({ hash, name }): FontChoice => ({ value: `font:${hash}`, label: name })),
        ]}
        value={value.font}
        onChoose={(font) => choose({ font })}
      />
      <FontPicker onImported={({ hash }) => choose({ font: `font:${hash}` })} />
      {fontHash(value.font) === null && (
        <Choices
          label="Weight"
          options={WEIGHT_CHOICES}
          value={value.weight === 700 ? '700' : '400'}
          onChoose={(weight) => choose({ weight: weight === '700' ? 700 : 400 })}
        />
      )}
    </>
  );
}

/** Where the lines lie in their box, how many there may be, and how small they may become. */
function LineFields({ value, choose, onChange, onCommit }: PartProps) {
  const optional = (key: 'maxLines' | 'shrinkTo', next: number | undefined) => {
    const { [key]: _, ...rest } = value;
    onChange(next === undefined ? rest : { ...value, [key]: key === 'maxLines' ? Math.round(next) : next });
  };
  return (
    <>
      <Choices
        label="Lines to the"
        options={ACROSS}
        value={value.align.x}
        onChoose={(x) => choose({ align: { ...value.align, x } })}
      />
      <Choices
        label="In a higher box at the"
        options={DOWN}
        value={value.align.y}
        onChoose={(y) => choose({ align: { ...value.align, y } })}
      />
      <Optional
        id="max-lines"
        label="At most so many lines"
        first={2}
        min={1}
        value={value.maxLines}
        onChange={(next) => optional('maxLines', next)}
        onCommit={onCommit}
      />
      <Optional
        id="shrink-to"
        label="Shrinks to fit, down to"
        unit="lu"
        first={Math.round(value.size / 2)}
        min={1}
        value={value.shrinkTo}
        onChange={(next) => optional('shrinkTo', next)}
        onCommit={onCommit}
      />
    </>
  );
}

/** The type of a text: its font and size, and how its lines break and lie in their box. */
export function StyleEditor(props: Props) {
  const { value, onChange, onCommit } = props;
  const choose = (next: Partial<TextStyle>) => {
    onChange({ ...value, ...next });
    onCommit();
  };
  return (
    <>
      <NumberField
        label="Font size"
        unit="lu"
        min={1}
        max={1000}
        autoFocus
        value={value.size}
        onChange={(size) => onChange({ ...value, size })}
        onCommit={onCommit}
      />
      <NumberField
        label="Line height, of the font size"
        unit="×"
        min={0.5}
        max={10}
        value={value.lineHeight}
        onChange={(lineHeight) => onChange({ ...value, lineHeight })}
        onCommit={onCommit}
      />
      <FontFields {...props} choose={choose} />
      <LineFields {...props} choose={choose} />
    </>
  );
}

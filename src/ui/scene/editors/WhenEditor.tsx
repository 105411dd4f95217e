'use client';
import { Form } from 'react-bootstrap';
import type { When } from '@/core/scene/when';
import { Choices } from '../../parts/Choices';
import { NumberField } from '../../parts/NumberField';

interface Props {
  value: When;
  onChange: (value: When) => void;
  onCommit: () => void;
}

const FIRST_WIDTH = 600;
const ORIENTATIONS = [
  { value: 'any', label: 'either' },
  { value: 'portrait', label: 'portrait' },
  { value: 'landscape', label: 'landscape' },
] as const;

const WIDTHS = { minWidth: 'From a width on', maxWidth: 'Up to a width' } as const;

/** A bound of the width that may be absent, but not where nothing else is said. */
function WidthBound({ value, bound: key, onChange, onCommit }: Props & { bound: keyof typeof WIDTHS }) {
  const width = value[key];
  const other = value[key === 'minWidth' ? 'maxWidth' : 'minWidth'];
  const isOnly = width !== undefined && value.orientation === undefined && other === undefined;
  const toggle = (isOn: boolean) => {
    const { [key]: _, ...rest } = value;
    onChange(isOn ? { ...value, [key]: FIRST_WIDTH } : rest);
    onCommit();
  };
  return (
    <div className="bound">
      <Form.Check
        type="checkbox"
        id={`when-${key}`}
        label={WIDTHS[key]}
        checked={width !== undefined}
        disabled={isOnly}
        onChange={(e) => toggle(e.target.checked)}
      />
      {width !== undefined && (
        <NumberField
          label="Width"
          unit="lu"
          min={0}
          value={width}
          onChange={(next) => onChange({ ...value, [key]: next })}
          onCommit={onCommit}
        />
      )}
    </div>
  );
}

/** On which screens a rule differs: turned, or by the width of the screen as it is turned. */
export function WhenEditor(props: Props) {
  const { value, onChange, onCommit } = props;
  const hasWidth = value.minWidth !== undefined || value.maxWidth !== undefined;
  const setOrientation = (orientation: 'any' | 'portrait' | 'landscape') => {
    const { orientation: _, ...rest } = value;
    // Without an orientation and without a width it would hold everywhere, and the usual rule nowhere.
    const width = hasWidth ? {} : { minWidth: FIRST_WIDTH };
    onChange(orientation === 'any' ? { ...rest, ...width } : { ...value, orientation });
    onCommit();
  };
  return (
    <>
      <Choices
        label="Orientation"
        options={ORIENTATIONS}
        value={value.orientation ?? 'any'}
        onChoose={setOrientation}
      />
      <WidthBound {...props} bound="minWidth" />
      <WidthBound {...props} bound="maxWidth" />
    </>
  );
}

'use client';
import { Form } from 'react-bootstrap';
import type { When } from '@/core/scene/when';
import { Choices } from '../../parts/Choices';
import { NumberField } from './NumberField';

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

/** On which screens a rule differs: turned, or by the width of the screen as it is turned. */
export function WhenEditor({ value, onChange, onCommit }: Props) {
  const hasWidth = value.minWidth !== undefined || value.maxWidth !== undefined;
  const setOrientation = (orientation: 'any' | 'portrait' | 'landscape') => {
    const { orientation: _, ...rest } = value;
    // Without an orientation and without a width it would hold everywhere, and the usual rule nowhere.
    const width = hasWidth ? {} : { minWidth: FIRST_WIDTH };
    onChange(orientation === 'any' ? { ...rest, ...width } : { ...value, orientation });
    onCommit();
  };
  const bound = (key: 'minWidth' | 'maxWidth', label: string) => {
    const width = value[key];
    const onlyOne =
      value.orientation === undefined && value[key === 'minWidth' ? 'maxWidth' : 'minWidth'] === undefined;
    return (
      <div className="bound">
        <Form.Check
          type="checkbox"
          id={`when-${key}`}
          label={label}
          checked={width !== undefined}
          disabled={width !== undefined && onlyOne}
          onChange={(e) => {
            const { [key]: _, ...rest } = value;
            onChange(e.target.checked ? { ...value, [key]: FIRST_WIDTH } : rest);
            onCommit();
          }}
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
  };
  return (
    <>
      <Choices
        label="Orientation"
        options={ORIENTATIONS}
        value={value.orientation ?? 'any'}
        onChoose={setOrientation}
      />
      {bound('minWidth', 'From a width on')}
      {bound('maxWidth', 'Up to a width')}
    </>
  );
}

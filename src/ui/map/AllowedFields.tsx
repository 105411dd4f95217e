'use client';
import { Button } from 'react-bootstrap';
import { saySpan } from '@/core/map/words';
import { NumberField } from '../parts/NumberField';
import { useAllowedWindow } from './useAllowedWindow';

const AXES = ['width', 'height'] as const;
const WORDS = { width: 'Width', height: 'Height' } as const;

/** The sizes that windows of the app may have, in numbers. */
export function AllowedFields() {
  const { allowed, isAny, set, onCommit, allowAny, limit } = useAllowedWindow();
  if (isAny)
    return (
      <p className="size-map-allowed">
        <span className="quiet">Windows of any size are allowed.</span>{' '}
        <Button variant="quiet" size="sm" onClick={limit}>
          say which sizes are allowed
        </Button>
      </p>
    );
  return (
    <fieldset className="size-map-allowed" aria-label="Sizes that are allowed">
      {AXES.map((axis) => (
        <span key={axis} className="size-map-axis">
          <NumberField
            label={`${WORDS[axis]} from`}
            min={1}
            max={10_000}
            value={allowed[axis].low}
            onChange={(v) => set(axis, 'low', v)}
            onCommit={onCommit}
          />
          <NumberField
            label="to"
            unit="lu"
            min={1}
            max={10_000}
            value={allowed[axis].high}
            onChange={(v) => set(axis, 'high', v)}
            onCommit={onCommit}
          />
        </span>
      ))}
      <Button
        variant="quiet"
        size="sm"
        title={`Now ${saySpan(allowed.width)} × ${saySpan(allowed.height)}`}
        onClick={allowAny}
      >
        allow any
      </Button>
    </fieldset>
  );
}

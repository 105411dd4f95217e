'use client';
import { Button, Form } from 'react-bootstrap';
import type { Cutout } from '@/core/screens/screen';
import { NumberField } from '../parts/NumberField';
import { nothing, type PartProps } from './part-props';

const SHAPES: Record<Cutout['shape'], string> = {
  notch: 'notch at the edge',
  pill: 'pill',
  circle: 'hole',
  hinge: 'hinge or fold line',
};
const FIELDS = [
  ['x', 'from the left'],
  ['y', 'from the top'],
  ['width', 'wide'],
  ['height', 'high'],
  ['radius', 'radius'],
] as const;
const MOST = 16;

interface OneProps {
  cutout: Cutout;
  number: number;
  onChange: (next: Partial<Cutout>) => void;
  onRemove: () => void;
}

function OneCutout({ cutout, number, onChange, onRemove }: OneProps) {
  return (
    <div role="group" aria-label={`Cutout ${number}`}>
      <Form.Select
        size="sm"
        aria-label={`Shape of cutout ${number}`}
        value={cutout.shape}
        onChange={(e) => onChange({ shape: e.target.value as Cutout['shape'] })}
      >
        {Object.entries(SHAPES).map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </Form.Select>
      <div className="sets-four">
        {FIELDS.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            min={0}
            max={10_000}
            value={cutout[key]}
            onChange={(v) => onChange({ [key]: v })}
            onCommit={nothing}
          />
        ))}
      </div>
      <Button variant="quiet" size="sm" aria-label={`Remove cutout ${number}`} onClick={onRemove}>
        remove
      </Button>
    </div>
  );
}

/** What is added first: a pill in the middle of the upper edge, lu. */
const firstOf = ({ framebufferPx, density }: PartProps['screen']): Cutout => ({
  shape: 'pill',
  x: Math.round(framebufferPx.width / density / 2 - 60),
  y: 11,
  width: 120,
  height: 35,
  radius: 18,
});

/** The parts of the glass that show nothing, in the natural rotation. */
export function CutoutFields({ screen, onChange }: PartProps) {
  const { cutouts } = screen;
  return (
    <fieldset>
      <legend>Cutouts</legend>
      {cutouts.map((cutout, i) => (
        <OneCutout
          // A cutout has nothing else to be told by.
          key={i}
          cutout={cutout}
          number={i + 1}
          onChange={(next) =>
            onChange({ cutouts: cutouts.map((c, at) => (at === i ? { ...c, ...next } : c)) })
          }
          onRemove={() => onChange({ cutouts: cutouts.filter((_, at) => at !== i) })}
        />
      ))}
      <Button
        variant="quiet"
        size="sm"
        disabled={cutouts.length >= MOST}
        onClick={() => onChange({ cutouts: [...cutouts, firstOf(screen)] })}
      >
        add a cutout
      </Button>
    </fieldset>
  );
}

'use client';
import { Button, Form } from 'react-bootstrap';
import type { Cutout } from '@/core/screens/screen';
import { NumberField } from '../scene/editors/NumberField';
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

/** The parts of the glass that show nothing, in the natural rotation. */
export function CutoutFields({ screen, onChange }: PartProps) {
  const { cutouts } = screen;
  const set = (at: number, next: Partial<Cutout>) =>
    onChange({ cutouts: cutouts.map((c, i) => (i === at ? { ...c, ...next } : c)) });
  const add = () => {
    const width = screen.framebufferPx.width / screen.density;
    const first: Cutout = {
      shape: 'pill',
      x: Math.round(width / 2 - 60),
      y: 11,
      width: 120,
      height: 35,
      radius: 18,
    };
    onChange({ cutouts: [...cutouts, first] });
  };
  return (
    <fieldset>
      <legend>Cutouts</legend>
      {cutouts.map((cutout, i) => (
        // A cutout has nothing else to be told by.
        <div key={i} role="group" aria-label={`Cutout ${i + 1}`}>
          <Form.Select
            size="sm"
            aria-label={`Shape of cutout ${i + 1}`}
            value={cutout.shape}
            onChange={(e) => set(i, { shape: e.target.value as Cutout['shape'] })}
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
                onChange={(v) => set(i, { [key]: v })}
                onCommit={nothing}
              />
            ))}
          </div>
          <Button
            variant="quiet"
            size="sm"
            aria-label={`Remove cutout ${i + 1}`}
            onClick={() => onChange({ cutouts: cutouts.filter((_, at) => at !== i) })}
          >
            remove
          </Button>
        </div>
      ))}
      <Button variant="quiet" size="sm" disabled={cutouts.length >= MOST} onClick={add}>
        add a cutout
      </Button>
    </fieldset>
  );
}

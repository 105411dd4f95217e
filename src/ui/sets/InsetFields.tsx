'use client';
import { Button } from 'react-bootstrap';
import { turnedInsets } from '@/core/screens/own';
import type { Screen } from '@/core/screens/screen';
import { NumberField } from '../parts/NumberField';
import { nothing, type PartProps } from './part-props';

const HELD = [
  [0, 'in its natural position'],
  [90, 'turned, top at the left'],
  [270, 'turned, top at the right'],
] as const;
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** What the system takes along each side, for each way of holding it. */
export function InsetFields({ screen, onChange }: PartProps) {
  const { insets } = screen;
  const set = (rotation: 0 | 90 | 270, side: (typeof SIDES)[number], lu: number) => {
    const next: Screen['insets'] = { ...insets, [rotation]: { ...insets[rotation], [side]: lu } };
    onChange({ insets: next, approximate: screen.approximate.filter((a) => a !== 'insets') });
  };
  return (
    <fieldset>
      <legend>Insets</legend>
      {HELD.filter(([rotation]) => rotation === 0 || screen.rotates).map(([rotation, label]) => (
        <div key={rotation} role="group" aria-label={`Insets, ${label}`}>
          <p className="quiet">{label}</p>
          <div className="sets-four">
            {SIDES.map((side) => (
              <NumberField
                key={side}
                label={side}
                min={0}
                max={2000}
                value={insets[rotation][side]}
                onChange={(lu) => set(rotation, side, lu)}
                onCommit={nothing}
              />
            ))}
          </div>
        </div>
      ))}
      {screen.rotates && (
        <Button
          variant="quiet"
          size="sm"
          title="The turned insets become those of the sides that lie there"
          onClick={() =>
            onChange({
              insets: { 0: insets[0], 90: turnedInsets(insets[0], 90), 270: turnedInsets(insets[0], 270) },
            })
          }
        >
          turn them with the screen
        </Button>
      )}
    </fieldset>
  );
}

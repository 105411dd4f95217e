'use client';
import { useState } from 'react';
import { pxOf, withDensity, withPx } from '@/core/screens/own';
import { saySize } from '@/core/words/numbers';
import { Choices } from '../parts/Choices';
import { NumberField } from '../parts/NumberField';
import { nothing, type PartProps } from './part-props';

const UNITS = [
  { value: 'lu', label: 'in lu' },
  { value: 'px', label: 'in device px' },
] as const;

/** The size, in lu or px as one has it, and the density: the other one follows. */
export function SizeFields({ screen, onChange }: PartProps) {
  const [unit, setUnit] = useState<'lu' | 'px'>('lu');
  const { framebufferPx: px, density } = screen;
  const size = unit === 'px' ? px : { width: px.width / density, height: px.height / density };
  const set = (next: Partial<typeof size>) => {
    const asked = { ...size, ...next };
    const whole = { width: Math.round(asked.width), height: Math.round(asked.height) };
    onChange(withPx(screen, unit === 'px' ? whole : pxOf(asked, density)));
  };
  return (
    <fieldset>
      <legend>Size</legend>
      <Choices label="Size" hideLabel options={UNITS} value={unit} onChoose={setUnit} />
      {(['width', 'height'] as const).map((side) => (
        <NumberField
          key={side}
          label={side === 'width' ? 'Width' : 'Height'}
          unit={unit}
          min={1}
          max={40_000}
          value={size[side]}
          onChange={(v) => set({ [side]: v })}
          onCommit={nothing}
        />
      ))}
      <NumberField
        label="Px per lu"
        min={0.01}
        max={100}
        step={0.125}
        value={density}
        onChange={(d) =>
          onChange(unit === 'px' ? withPx({ ...screen, density: d }, px) : withDensity(screen, d))
        }
        onCommit={nothing}
      />
      <p className="quiet figures">
        {saySize(screen)} lu · {saySize(px)} px
      </p>
    </fieldset>
  );
}

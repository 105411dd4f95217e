'use client';
import { Button } from 'react-bootstrap';
import type { Align } from '@/core/fit/rule';
import { lu } from '@/core/scene/values';
import { Choices } from '../../workbench/Choices';
import { SolvedPosition } from './SolvedPosition';
import { NumberField } from './NumberField';

interface Props {
  value: Align;
  focalPoint: { x: number; y: number };
  repeated: boolean;
  layerId: string;
  onChange: (value: Align) => void;
  onFocal: (point: { x: number; y: number }) => void;
  onCommit: () => void;
}

const NINE = [0, 50, 100];
const ACROSS = ['left', 'middle', 'right'];
const DOWN = ['top', 'middle', 'bottom'];

const held = (x: number, y: number): Align => ({
  kind: 'position',
  x: { percent: x, offset: lu(0) },
  y: { percent: y, offset: lu(0) },
});

/** What of a picture is kept where its box is of another shape: held at a position, or a point kept in the middle. */
export function AlignEditor({ value, focalPoint, repeated, layerId, onChange, onFocal, onCommit }: Props) {
  const point =
    value.kind === 'position'
      ? { x: value.x.percent, y: value.y.percent }
      : { x: focalPoint.x * 100, y: focalPoint.y * 100 };
  const set = (x: number, y: number) => {
    if (value.kind === 'focal')
      onFocal({ x: Math.min(1, Math.max(0, x / 100)), y: Math.min(1, Math.max(0, y / 100)) });
    else onChange({ kind: 'position', x: { ...value.x, percent: x }, y: { ...value.y, percent: y } });
  };
  const bounds = value.kind === 'focal' ? { min: 0, max: 100 } : {};
  return (
    <>
      <Choices
        label="Kept by"
        value={value.kind}
        options={[
          {
            value: 'position',
            label: 'a position',
            title: 'Aligned: the same point of picture and box meet',
          },
          ...(repeated
            ? []
            : [
                {
                  value: 'focal' as const,
                  label: 'a focal point',
                  title: 'Kept as near the middle as the fit allows',
                },
              ]),
        ]}
        onChoose={(kind) => {
          onChange(kind === 'focal' ? { kind } : held(Math.round(point.x), Math.round(point.y)));
          onCommit();
        }}
      />
      <div className="nine" role="group" aria-label="Nine positions">
        {NINE.flatMap((y, row) =>
          NINE.map((x, column) => (
            <Button
              key={`${x}-${y}`}
              variant="quiet"
              aria-label={`${DOWN[row]}, ${ACROSS[column]}`}
              aria-pressed={Math.round(point.x) === x && Math.round(point.y) === y}
              onClick={() => {
                set(x, y);
                onCommit();
              }}
            />
          )),
        )}
      </div>
      <NumberField
        label="Across"
        unit="%"
        value={point.x}
        {...bounds}
        autoFocus
        onChange={(x) => set(x, point.y)}
        onCommit={onCommit}
      />
      <NumberField
        label="Down"
        unit="%"
        value={point.y}
        {...bounds}
        onChange={(y) => set(point.x, y)}
        onCommit={onCommit}
      />
      {!repeated && (
        <SolvedPosition
          layerId={layerId}
          onHold={(x, y) => {
            set(x, y);
            onCommit();
          }}
        />
      )}
    </>
  );
}

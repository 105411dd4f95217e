'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import type { Align } from '@/core/fit/rule';
import { lu } from '@/core/values/values';
import type { PictureLayer } from '@/core/scene/scene';
import { useWorkbenchStore } from '../../state/context';
import { editLive, setFocalPoint } from '../../state/edit';
import { Choices } from '../../parts/Choices';
import { heldPoint, sayCut, useShown } from '../useShown';
import { SolvedPosition } from './SolvedPosition';
import { NumberField } from '../../parts/NumberField';

interface Props {
  value: Align;
  repeated: boolean;
  layer: PictureLayer;
  /** in which this stands: one of those that differ, or the usual one for −1 */
  rule: number;
  onChange: (value: Align) => void;
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

const POSITION = {
  value: 'position' as const,
  label: 'a position',
  title: 'Aligned: the same point of picture and box meet',
};
const FOCAL = {
  value: 'focal' as const,
  label: 'a focal point',
  title: 'Kept as near the middle as the fit allows',
};

interface PointProps {
  /** % */
  point: { x: number; y: number };
  onHold: (x: number, y: number) => void;
}

/** Corners, middles of sides, and the middle of all. */
function NinePositions({ point, onHold }: PointProps) {
  return (
    <div className="nine" role="group" aria-label="Nine positions">
      {NINE.flatMap((y, row) =>
        NINE.map((x, column) => (
          <Button
            key={`${x}-${y}`}
            variant="quiet"
            aria-label={`${DOWN[row]}, ${ACROSS[column]}`}
            aria-pressed={Math.round(point.x) === x && Math.round(point.y) === y}
            onClick={() => onHold(x, y)}
          />
        )),
      )}
    </div>
  );
}

/** The point that a rule holds, %, and what writes it: into the rule, or into the cut that it belongs to. */
function useHeld({ value, layer, onChange }: Props) {
  const store = useWorkbenchStore();
  const shown = useShown(layer);
  const set = (x: number, y: number) => {
    if (value.kind === 'position')
      return onChange({ kind: 'position', x: { ...value.x, percent: x }, y: { ...value.y, percent: y } });
    const focal = { x: Math.min(1, Math.max(0, x / 100)), y: Math.min(1, Math.max(0, y / 100)) };
    if (shown)
      editLive(
        store,
        stepOf('picture.focal-point', layer.name),
        setFocalPoint(layer.picture, shown.cut.cut, focal),
      );
  };
  return { shown, point: heldPoint(value, shown?.cut), set };
}

/**
 * What of a picture is kept where its box is of another shape: held at a position, or a point kept in the
 * middle. That point belongs to a cut of the picture, not to the layer, and is written there.
 */
export function AlignEditor(props: Props) {
  const { value, layer, rule, repeated, onChange, onCommit } = props;
  const { shown, point, set } = useHeld(props);
  const bounds = value.kind === 'focal' ? { min: 0, max: 100 } : {};
  const hold = (x: number, y: number) => {
    set(x, y);
    onCommit();
  };
  return (
    <>
      <Choices
        label="Kept by"
        value={value.kind}
        options={repeated ? [POSITION] : [POSITION, FOCAL]}
        onChoose={(kind) => {
          onChange(kind === 'focal' ? { kind } : held(Math.round(point.x), Math.round(point.y)));
          onCommit();
        }}
      />
      {value.kind === 'focal' && shown && shown.cuts > 1 && (
        <p className="quiet">Of {sayCut(shown.cut)}, which the close-up’s screen takes.</p>
      )}
      <NinePositions point={point} onHold={hold} />
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
      {!repeated && <SolvedPosition layerId={layer.id} rule={rule} onHold={hold} />}
    </>
  );
}

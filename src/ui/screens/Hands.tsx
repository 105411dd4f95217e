'use client';
import { useState, type CSSProperties, type KeyboardEvent } from 'react';
import type { Rect } from '@/core/geometry/rect';
import type { By, Handled } from '@/core/hand/looked';
import { moveOn } from '@/core/hand/move';
import { resizeOn, type Grip } from '@/core/hand/resize';
import { snapTo, type Mark, type SnapLine } from '@/core/hand/snap';
import { onSize } from '@/core/scene/when';
import { isPlaced, type PlacedLayer } from '@/core/scene/scene';
import type { Case } from '@/core/screens/cases';
import type { CaseResult } from '@/core/survey/survey';
import { HANDLE } from '../parts/pointing';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';
import { useDrag, useHand } from './useHand';

/** lu that a key moves a layer by, or its lower right corner; with Shift ten times as much. */
const MOVES: Readonly<Record<string, By>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
const SIZES: Readonly<Record<string, By>> = {
  '+': { x: 1, y: 1 },
  '*': { x: 1, y: 1 },
  '-': { x: -1, y: -1 },
  _: { x: -1, y: -1 },
};
const LOWER_RIGHT: Grip = { x: 'end', y: 'end' };
const CORNERS: readonly (readonly [name: string, grip: Grip])[] = [
  ['upper-left', { x: 'start', y: 'start' }],
  ['upper-right', { x: 'end', y: 'start' }],
  ['lower-left', { x: 'start', y: 'end' }],
  ['lower-right', LOWER_RIGHT],
];
/** CSS px that a layer takes at least to be taken hold of. */
const LEAST_SIDE = 24;
/** CSS px within which a layer that is dragged catches at something. */
const REACH = 5;

interface OnCase {
  c: Case;
  result: CaseResult;
  /** CSS px per lu */
  scale: number;
}

interface HandProps {
  layer: PlacedLayer;
  on: OnCase;
}

/** Where a layer lies on the drawing; what is small is taken hold of around it as well. */
function lyingAt({ x, y, width, height }: Rect, scale: number): CSSProperties {
  const size = { width: Math.max(LEAST_SIDE, width * scale), height: Math.max(LEAST_SIDE, height * scale) };
  return {
    left: (x + width / 2) * scale - size.width / 2,
    top: (y + height / 2) * scale - size.height / 2,
    ...size,
  };
}

/** What a layer catches at: the screen and its regions, and everything else that is drawn. */
const marksAround = ({ regions, layers }: CaseResult, id: string): Mark[] => [
  { rect: regions.screen, thirds: true },
  { rect: regions.safe, thirds: true },
  { rect: regions.margins },
  ...layers.flatMap((l) => (l.id === id || l.kind === 'ground' ? [] : [{ rect: l.box }])),
];

/** Lines that a layer has caught at, over the whole drawing. */
function SnapLines({ lines, on }: { lines: readonly SnapLine[]; on: OnCase }) {
  const { width, height } = on.result.regions.screen;
  return (
    <svg className="snap-lines" viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      {lines.map(({ axis, at }) => (
        <path
          key={axis}
          d={axis === 'x' ? `M${at} 0V${height}` : `M0 ${at}H${width}`}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}

/** A corner by which a layer is made larger or smaller. By keys that is done on the layer itself. */
function Corner({ layer, on, name, grip }: HandProps & { name: string; grip: Grip }) {
  const size = useHand(layer, 'layer.resize', (input, by) => resizeOn(input, on.c, layer.id, { grip, by }));
  const drag = useDrag(size, on.scale);
  return <span {...HANDLE} {...drag} className={`hand-corner hand-${name}`} aria-hidden="true" />;
}

function Hand({ layer, on, show }: HandProps & { show: (lines: readonly SnapLine[]) => void }) {
  const store = useWorkbenchStore();
  const { c, result, scale } = on;
  const move = useHand(layer, 'layer.move', (input, by) => moveOn(input, c, layer.id, by));
  const size = useHand(layer, 'layer.resize', (input, by) =>
    resizeOn(input, c, layer.id, { grip: LOWER_RIGHT, by }),
  );
  const { box } = result.layers.find((l) => l.id === layer.id)!;
  const at = (from: Rect, by: By) => snapTo(from, by, marksAround(result, layer.id), REACH / scale);
  const drag = useDrag(move, scale, { box, at, show });
  const say = (stays: Handled['stays']) => {
    const [why] = Object.values(stays);
    if (why) store.setState({ message: why });
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const [by, hand] = MOVES[e.key] ? [MOVES[e.key]!, move] : [SIZES[e.key], size];
    if (!by) return;
    e.preventDefault();
    const times = e.shiftKey ? 10 : 1;
    say(hand(store.getState().documents, { x: by.x * times, y: by.y * times }));
  };
  return (
    <div className="hand-frame" style={lyingAt(box, scale)}>
      <button
        type="button"
        {...HANDLE}
        {...drag}
        className="hand"
        aria-label={`Move ${layer.name}`}
        title={`${layer.name}: drag it, or its corners; arrow keys move it, + and − change its size`}
        onKeyDown={onKeyDown}
        onKeyUp={() => commit(store)}
        onBlur={() => commit(store)}
      />
      {CORNERS.map(([name, grip]) => (
        <Corner key={name} {...{ layer, on, name, grip }} />
      ))}
    </div>
  );
}

/** Whether a rule leaves a layer anywhere to go: pinned to all four edges it is what it is pinned to. */
const canGo = ({ placing: { x, y } }: PlacedLayer) => x.kind !== 'edges' || y.kind !== 'edges';

/** What of a case can be taken hold of on its drawing, the front layers over those behind them. */
export function Hands(on: OnCase) {
  const { layers } = useScene();
  const isReadOnly = useWorkbench((s) => s.signed !== null);
  const [lines, setLines] = useState<readonly SnapLine[]>([]);
  if (isReadOnly) return null;
  const drawn = new Set(on.result.layers.map((l) => l.id));
  const movable = layers.filter(
    (l): l is PlacedLayer => isPlaced(l) && drawn.has(l.id) && canGo(onSize(l, on.result.regions.screen)),
  );
  return (
    <div className="hands" role="group" aria-label="Layers that can be moved">
      {movable.map((layer) => (
        <Hand key={layer.id} layer={layer} on={on} show={setLines} />
      ))}
      <SnapLines lines={lines} on={on} />
    </div>
  );
}

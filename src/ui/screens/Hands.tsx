'use client';
import { useRef, type CSSProperties, type KeyboardEvent, type PointerEvent } from 'react';
import { moveOn, type By, type Moved } from '@/core/hand/move';
import type { Documents } from '@/core/project/documents';
import { onSize } from '@/core/scene/when';
import { isPlaced, type PlacedLayer } from '@/core/scene/scene';
import type { Case } from '@/core/screens/cases';
import { stepOf } from '@/core/steps/commands';
import { surveyInput, type CaseResult } from '@/core/survey/survey';
import { messageOf } from '../api';
import { HANDLE } from '../parts/pointing';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { abandon, commit, editLive } from '../state/edit';
import { useOutside } from '../state/outside';

/** lu that an arrow key moves a layer by; with Shift ten times as much. */
const KEYS: Readonly<Record<string, By>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** CSS px that a pointer goes before it moves anything. */
const LEAST = 3;

interface OnCase {
  c: Case;
  result: CaseResult;
  /** CSS px per lu */
  scale: number;
}

/** A press on a layer, and the documents as they were then. */
interface Press {
  x: number;
  y: number;
  documents: Documents;
  hasMoved: boolean;
}

/** Along the longer way alone, where that is asked for. */
const alongOne = ({ x, y }: By): By => (Math.abs(x) >= Math.abs(y) ? { x, y: 0 } : { x: 0, y });

/** What moves a layer of the open scene on a case, from documents on. */
function useMove(layer: PlacedLayer, c: Case) {
  const store = useWorkbenchStore();
  const outside = useOutside();
  return (from: Documents, by: By): Moved['stays'] => {
    const { sceneId } = store.getState();
    const scene = from.scenes[sceneId];
    if (!scene) return {};
    try {
      const moved = moveOn(surveyInput(from, scene, outside), c, layer.id, by);
      editLive(store, stepOf('layer.move', layer.name), ({ scenes }) => {
        const { layers } = scenes[sceneId]!;
        const at = layers.findIndex((l) => l.id === layer.id);
        if (at >= 0) layers[at] = moved.scene.layers.find((l) => l.id === layer.id)!;
      });
      return moved.stays;
    } catch (error) {
      store.setState({ message: messageOf(error) });
      return {};
    }
  };
}

/** Moves a layer with a pointer: a drag is one step, and Escape puts everything back. */
function useDrag(layer: PlacedLayer, { c, scale }: OnCase) {
  const store = useWorkbenchStore();
  const move = useMove(layer, c);
  const press = useRef<Press | null>(null);
  const stays = useRef<Moved['stays']>({});
  const end = (keep: boolean) => {
    if (!press.current) return;
    press.current = null;
    if (keep) commit(store);
    else abandon(store);
    const why = Object.values(stays.current);
    if (keep && why.length > 0) store.setState({ message: why.join(' ') });
  };
  return {
    onPointerDown: (e: PointerEvent<HTMLElement>) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      commit(store);
      stays.current = {};
      const { documents } = store.getState();
      press.current = { x: e.clientX, y: e.clientY, documents, hasMoved: false };
    },
    onPointerMove: (e: PointerEvent<HTMLElement>) => {
      const { current } = press;
      if (!current) return;
      const px = { x: e.clientX - current.x, y: e.clientY - current.y };
      current.hasMoved ||= Math.hypot(px.x, px.y) >= LEAST;
      if (!current.hasMoved) return;
      const by = { x: px.x / scale, y: px.y / scale };
      stays.current = move(current.documents, e.shiftKey ? alongOne(by) : by);
    },
    onPointerUp: () => end(true),
    onPointerCancel: () => end(false),
    onKeyDown: (e: KeyboardEvent<HTMLElement>) => {
      if (e.key !== 'Escape' || !press.current) return;
      e.stopPropagation();
      end(false);
    },
  };
}

/** Where a layer lies on the drawing; what is small is taken hold of around it as well. */
const lyingAt = (box: CaseResult['layers'][number]['box'], scale: number): CSSProperties => {
  const [width, height] = [Math.max(24, box.width * scale), Math.max(24, box.height * scale)];
  return {
    left: (box.x + box.width / 2) * scale - width / 2,
    top: (box.y + box.height / 2) * scale - height / 2,
    width,
    height,
  };
};

function Hand({ layer, on }: { layer: PlacedLayer; on: OnCase }) {
  const store = useWorkbenchStore();
  const move = useMove(layer, on.c);
  const { onKeyDown, ...drag } = useDrag(layer, on);
  const box = on.result.layers.find((l) => l.id === layer.id)!.box;
  const onKeys = (e: KeyboardEvent<HTMLElement>) => {
    onKeyDown(e);
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    const times = e.shiftKey ? 10 : 1;
    const [why] = Object.values(move(store.getState().documents, { x: by.x * times, y: by.y * times }));
    if (why) store.setState({ message: why });
  };
  return (
    <button
      type="button"
      {...HANDLE}
      {...drag}
      className="hand"
      style={lyingAt(box, on.scale)}
      aria-label={`Move ${layer.name}`}
      title={`${layer.name}: drag it, or move it with the arrow keys`}
      onKeyDown={onKeys}
      onKeyUp={(e) => KEYS[e.key] && commit(store)}
      onBlur={() => commit(store)}
    />
  );
}

/** Whether a rule leaves a layer anywhere to go: pinned to all four edges it is what it is pinned to. */
const canGo = ({ placing: { x, y } }: PlacedLayer) => x.kind !== 'edges' || y.kind !== 'edges';

/** What of a case can be taken hold of on its drawing, the front layers over those behind them. */
export function Hands(on: OnCase) {
  const { layers } = useScene();
  const isReadOnly = useWorkbench((s) => s.signed !== null);
  if (isReadOnly) return null;
  const drawn = new Set(on.result.layers.map((l) => l.id));
  const movable = layers.filter(
    (l): l is PlacedLayer => isPlaced(l) && drawn.has(l.id) && canGo(onSize(l, on.result.regions.screen)),
  );
  return (
    <div className="hands" role="group" aria-label="Layers that can be moved">
      {movable.map((layer) => (
        <Hand key={layer.id} layer={layer} on={on} />
      ))}
    </div>
  );
}

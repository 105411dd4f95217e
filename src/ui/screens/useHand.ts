'use client';
import { useEffect, useRef, type PointerEvent } from 'react';
import type { Rect } from '@/core/geometry/rect';
import type { By, Handled } from '@/core/hand/looked';
import type { Snapped, SnapLine } from '@/core/hand/snap';
import type { Documents } from '@/core/project/documents';
import type { PlacedLayer } from '@/core/scene/scene';
import { stepOf } from '@/core/steps/commands';
import { surveyInput, type SurveyInput } from '@/core/survey/survey';
import { messageOf } from '../api';
import { useWorkbenchStore } from '../state/context';
import { abandon, commit, editLive } from '../state/edit';
import { useOutside } from '../state/outside';

const NOWHERE: Rect = { x: 0, y: 0, width: 0, height: 0 };
/** CSS px that a pointer goes before it changes anything. */
const LEAST = 3;

type Stays = Handled['stays'];
/** What a hand makes of a scene when it goes so far. */
export type Work = (input: SurveyInput, by: By) => Handled;
/** Does that to documents, as a part of the gesture that goes on. @returns along which axes nothing followed, and why */
type Hand = (from: Documents, by: By) => Stays;

/** What changes a layer of the open scene by hand; reasons why it cannot be are said. */
export function useHand(layer: PlacedLayer, command: 'layer.move' | 'layer.resize', work: Work): Hand {
  const store = useWorkbenchStore();
  const outside = useOutside();
  return (from, by) => {
    const { sceneId } = store.getState();
    const scene = from.scenes[sceneId];
    if (!scene) return {};
    try {
      const after = work(surveyInput(from, scene, outside), by);
      editLive(store, stepOf(command, layer.name), ({ scenes }) => {
        const { layers } = scenes[sceneId]!;
        const at = layers.findIndex((l) => l.id === layer.id);
        if (at >= 0) layers[at] = after.scene.layers.find((l) => l.id === layer.id)!;
      });
      return after.stays;
    } catch (error) {
      store.setState({ message: messageOf(error) });
      return {};
    }
  };
}

/** Along the longer way alone, where that is asked for. */
const alongOne = ({ x, y }: By): By => (Math.abs(x) >= Math.abs(y) ? { x, y: 0 } : { x: 0, y });

/** Calls what Escape ends, wherever the focus is. @param escape returns whether there was something to be ended */
function useEscape(escape: () => boolean): void {
  const now = useRef(escape);
  useEffect(() => {
    now.current = escape;
  });
  useEffect(() => {
    const onKeyDown = (e: KeyboardEvent) => {
      if (e.key === 'Escape' && now.current()) e.stopPropagation();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, []);
}

/** A press, and the documents as they were then. */
interface Press {
  x: number;
  y: number;
  documents: Documents;
  hasMoved: boolean;
  stays: Stays;
  /** of the layer, absolute, lu */
  box: Rect;
}

/** What a layer catches at while it is dragged. */
export interface Catching {
  box: Rect;
  at: (box: Rect, by: By) => Snapped;
  show: (lines: readonly SnapLine[]) => void;
}

/**
 * A drag by a pointer as one step; with Shift along one axis, and Escape puts everything back.
 * @param scale CSS px per lu @param catching has what is dragged catch at what lies around it; Alt lets it pass
 */
export function useDrag(hand: Hand, scale: number, catching?: Catching) {
  const store = useWorkbenchStore();
  const press = useRef<Press | null>(null);
  const end = (keep: boolean) => {
    if (!press.current) return;
    const why = Object.values(press.current.stays);
    press.current = null;
    catching?.show([]);
    if (!keep) return abandon(store);
    commit(store);
    if (why.length > 0) store.setState({ message: why.join(' ') });
  };
  useEscape(() => {
    const isDragged = press.current !== null;
    end(false);
    return isDragged;
  });
  return {
    onPointerDown: (e: PointerEvent<HTMLElement>) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      commit(store);
      const { documents } = store.getState();
      const box = catching?.box ?? NOWHERE;
      press.current = { x: e.clientX, y: e.clientY, documents, hasMoved: false, stays: {}, box };
    },
    onPointerMove: (e: PointerEvent<HTMLElement>) => {
      const { current } = press;
      if (!current) return;
      const px = { x: e.clientX - current.x, y: e.clientY - current.y };
      current.hasMoved ||= Math.hypot(px.x, px.y) >= LEAST;
      if (!current.hasMoved) return;
      const by = { x: px.x / scale, y: px.y / scale };
      const along = e.shiftKey ? alongOne(by) : by;
      const caught = catching && !e.altKey ? catching.at(current.box, along) : null;
      // With Shift it catches along the way that it goes alone.
      const isFree = (axis: 'x' | 'y') => !e.shiftKey || along[axis] !== 0;
      catching?.show(caught?.lines.filter(({ axis }) => isFree(axis)) ?? []);
      const to = (axis: 'x' | 'y') => (caught && isFree(axis) ? caught.by[axis] : along[axis]);
      current.stays = hand(current.documents, { x: to('x'), y: to('y') });
    },
    onPointerUp: () => end(true),
    onPointerCancel: () => end(false),
  };
}

'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Button } from 'react-bootstrap';
import type { Rect } from '@/core/geometry/rect';
import { findCase } from '@/core/screens/cases';
import { turn } from '@/core/screens/turn';
import { addressOf } from '@/formats/api/operation';
import { drawScreenshot } from '@/formats/api/screenshots';
import type { Evidence } from '@/formats/evidence';
import { useWorkbench } from '../state/context';

/** lu by which an arrow key moves what is left out. */
const STEP = 4;
const KEYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

interface MaskProps {
  rect: Rect;
  /** of the screen, lu */
  size: { width: number; height: number };
  label: string;
  onMove: (x: number, y: number) => void;
}

/** A part that is left out, to be dragged or moved by arrow keys. */
function Mask({ rect, size, label, onMove }: MaskProps) {
  const from = useRef<{ x: number; y: number; rect: Rect } | null>(null);
  const start = (e: PointerEvent<HTMLButtonElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    from.current = { x: e.clientX, y: e.clientY, rect };
  };
  const drag = (e: PointerEvent<HTMLButtonElement>) => {
    if (!from.current) return;
    const lu = size.width / e.currentTarget.parentElement!.clientWidth;
    const { x, y, rect: was } = from.current;
    onMove(Math.round(was.x + (e.clientX - x) * lu), Math.round(was.y + (e.clientY - y) * lu));
  };
  const press = (e: KeyboardEvent) => {
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    onMove(rect.x + by[0], rect.y + by[1]);
  };
  const share = (part: number, whole: number) => `${(100 * part) / whole}%`;
  return (
    <button
      type="button"
      className="shot-mask"
      aria-label={label}
      title={`${label}: drag it, or move it by arrow keys`}
      style={{
        left: share(rect.x, size.width),
        top: share(rect.y, size.height),
        width: share(rect.width, size.width),
        height: share(rect.height, size.height),
      }}
      onPointerDown={start}
      onPointerMove={drag}
      onPointerUp={() => (from.current = null)}
      onKeyDown={press}
    />
  );
}

interface Props {
  shot: Evidence;
  isBusy: boolean;
  onAgain: (ignored: Rect[]) => void;
}

/** Where a screenshot differs from its case, with what is not looked at laid over it. */
export function MaskedPicture({ shot, isBusy, onAgain }: Props) {
  const project = useWorkbench((s) => s.documents.project.id);
  const screens = useWorkbench((s) => s.screens);
  const [masks, setMasks] = useState<readonly Rect[]>(shot.ignored);
  const c = findCase(shot.case, screens);
  if (!c) return null;
  const { size } = turn(c.screen, c.rotation);
  const move = (i: number, x: number, y: number) =>
    setMasks(masks.map((m, j) => (j === i ? { ...m, x, y } : m)));
  const add = () =>
    setMasks([
      ...masks,
      { x: size.width / 4, y: size.height / 4, width: size.width / 2, height: size.height / 10 },
    ]);
  return (
    <>
      <div className="shot-picture">
        {/* A drawing of the server, and nothing that an image optimiser could add. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          src={`${addressOf(drawScreenshot, { project, screenshot: shot.id })}?of=${shot.differing}`}
          alt={`where ${shot.name} differs from the case`}
        />
        {masks.map((rect, i) => (
          <Mask
            key={i}
            {...{ rect, size }}
            label={`left out, ${i + 1} of ${masks.length}`}
            onMove={(x, y) => move(i, x, y)}
          />
        ))}
      </div>
      <p className="shot-acts">
        <Button variant="quiet" size="sm" onClick={add}>
          leave out a part
        </Button>
        <Button
          variant="quiet"
          size="sm"
          disabled={masks.length === 0}
          onClick={() => setMasks(masks.slice(0, -1))}
        >
          leave out one less
        </Button>
        {masks !== shot.ignored && (
          <Button variant="primary" size="sm" disabled={isBusy} onClick={() => onAgain([...masks])}>
            look again
          </Button>
        )}
      </p>
    </>
  );
}

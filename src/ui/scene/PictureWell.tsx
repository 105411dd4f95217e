'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { sayNumber } from '@/core/formats/numbers';
import type { PictureLayer } from '@/core/scene/scene';
import { PictureThumb, masterOf } from '../drawing/PictureThumb';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive, setFocalPoint } from '../state/edit';
import { Choices } from '../workbench/Choices';
import { KeepAreas } from './KeepAreas';
import { SEEN_ON, SeenHeat, saySeen, useSeen } from './SeenHeat';
import { useShownPart } from './useShownPart';

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const clampPercent = (value: number) => Math.min(100, Math.max(0, Math.round(value)));
const WIDTH = 296;

/** The picture of a layer with the point that is held: dragged, or moved with the arrow keys. */
export function PictureWell({ layer }: { layer: PictureLayer }) {
  const store = useWorkbenchStore();
  const ref = useRef<HTMLDivElement>(null);
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === layer.picture));
  const appearance = useWorkbench((s) => s.view.appearance);
  const shown = useShownPart(layer.id);
  const [everywhere, setEverywhere] = useState(false);
  const seen = useSeen(everywhere ? layer.id : null);
  if (!picture) return null;
  const { align } = layer.fit;
  const focal = picture.cuts[0]!.focalPoint;
  const point =
    align.kind === 'position'
      ? { x: align.x.percent, y: align.y.percent }
      : { x: focal.x * 100, y: focal.y * 100 };
  const master = masterOf(picture, appearance);

  const set = (x: number, y: number) =>
    editLive(store, (documents) => {
      const [px, py] = [clampPercent(x), clampPercent(y)];
      const target = documents.scenes[store.getState().sceneId]?.layers.find((l) => l.id === layer.id);
      if (target?.kind !== 'picture') return;
      if (target.fit.align.kind === 'position') {
        target.fit.align.x.percent = px;
        target.fit.align.y.percent = py;
      } else {
        setFocalPoint(documents, layer.picture, { x: px / 100, y: py / 100 });
      }
    });
  const moveTo = (event: PointerEvent) => {
    const box = ref.current!.getBoundingClientRect();
    set(((event.clientX - box.left) / box.width) * 100, ((event.clientY - box.top) / box.height) * 100);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const factor = event.shiftKey ? 10 : 1;
    set(point.x + step[0] * factor, point.y + step[1] * factor);
  };

  const what = align.kind === 'focal' ? 'Focal point' : 'Position';
  return (
    <>
      <div
        ref={ref}
        className="well"
        style={{ aspectRatio: `${master.widthPx} / ${master.heightPx}` }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          moveTo(e);
        }}
        onPointerMove={(e) => {
          if (e.buttons === 1) moveTo(e);
        }}
        onPointerUp={() => commit(store)}
      >
        <PictureThumb picture={picture} width={WIDTH} appearance={appearance} />
        {picture.cuts[0]!.keepAreas.map(({ subject, rect }, index) => (
          <span
            key={index}
            className="well-keep"
            title={subject}
            style={{
              left: `${rect.x * 100}%`,
              top: `${rect.y * 100}%`,
              width: `${rect.width * 100}%`,
              height: `${rect.height * 100}%`,
            }}
          />
        ))}
        {everywhere && seen && <SeenHeat seen={seen} />}
        {!everywhere && shown && (
          <span className="well-shown" style={shown} title="What the close-up’s screen shows" />
        )}
        <button
          type="button"
          className="well-point"
          style={{ left: `${point.x}%`, top: `${point.y}%` }}
          aria-label={`${what} of ${layer.name}: ${sayNumber(point.x)} % across, ${sayNumber(point.y)} % down. Arrow keys move it.`}
          onKeyDown={onKeyDown}
          onKeyUp={(e) => {
            if (STEPS[e.key]) commit(store);
          }}
        />
      </div>
      <Choices
        label="Seen of it on"
        options={SEEN_ON}
        value={everywhere ? 'every' : 'this'}
        onChoose={(on) => setEverywhere(on === 'every')}
      />
      {everywhere && seen && <p className="quiet seen-words">{saySeen(seen)}</p>}
      <KeepAreas picture={picture} />
    </>
  );
}

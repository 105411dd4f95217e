'use client';
import { stepOf } from '@/core/steps/commands';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { sayNumber } from '@/core/words/numbers';
import { capitalised } from '@/core/words/words';
import type { Picture } from '@/core/pictures/picture';
import type { PictureLayer } from '@/core/scene/scene';
import { fitOf } from '@/core/scene/when';
import { PictureThumb, masterOfCut } from '../drawing/PictureThumb';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive, setFocalPoint } from '../state/edit';
import { laidOver } from '../parts/AreaBox';
import { Choices } from '../parts/Choices';
import { OlderNote } from '../parts/Older';
import { HANDLE, takesHold } from '../parts/pointing';
import { sayFile } from '../words';
import { KeepAreas } from './KeepAreas';
import { SEEN_ON, SeenHeat, saySeen, useSeen } from './SeenHeat';
import { heldPoint, sayCut, useShown, type ShownPart } from './useShown';

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const clampPercent = (value: number) => Math.min(100, Math.max(0, Math.round(value)));
const WIDTH = 296;
/** CSS px: a tall cut is shown narrower, so that its rule stays near. */
const MOST_HIGH = 300;

/** What is dragged on the picture: a position of the rule that the close-up’s screen takes, or the focal point of its cut. */
function usePoint(layer: PictureLayer, { cut, rule }: ShownPart) {
  const store = useWorkbenchStore();
  const { align } = fitOf(layer, rule);
  const point = heldPoint(align, cut);
  const set = (x: number, y: number) =>
    editLive(store, stepOf('layer.change', layer.name, 'the position'), (documents) => {
      const [px, py] = [clampPercent(x), clampPercent(y)];
      const target = documents.scenes[store.getState().sceneId]?.layers.find((l) => l.id === layer.id);
      if (target?.kind !== 'picture') return;
      const held = fitOf(target, rule).align;
      if (held.kind === 'position') {
        held.x.percent = px;
        held.y.percent = py;
        return;
      }
      setFocalPoint(layer.picture, cut.cut, { x: px / 100, y: py / 100 })(documents);
    });
  return { what: align.kind === 'focal' ? 'Focal point' : 'Position', point, set };
}

interface PointProps {
  layer: PictureLayer;
  held: ReturnType<typeof usePoint>;
}

/** The point that is held, moved with the arrow keys. */
function HeldPoint({ layer, held: { what, point, set } }: PointProps) {
  const store = useWorkbenchStore();
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const factor = event.shiftKey ? 10 : 1;
    set(point.x + step[0] * factor, point.y + step[1] * factor);
  };
  return (
    <button
      type="button"
      className="well-point"
      {...HANDLE}
      data-own-keys=""
      style={{ left: `${point.x}%`, top: `${point.y}%` }}
      aria-label={`${what} of ${layer.name}: ${sayNumber(point.x)} % across, ${sayNumber(point.y)} % down. Arrow keys move it.`}
      onKeyDown={onKeyDown}
      onKeyUp={(e) => {
        if (STEPS[e.key]) commit(store);
      }}
    />
  );
}

interface FrameProps {
  layer: PictureLayer;
  shown: ShownPart;
  picture: Picture;
  children: ReactNode;
}

/** The picture with its keep areas; a mouse that is pressed on it moves the point that is held, a finger drags its ring. */
function Frame({ layer, shown, picture, children }: FrameProps) {
  const store = useWorkbenchStore();
  const appearance = useWorkbench((s) => s.view.appearance);
  const held = usePoint(layer, shown);
  const { cut } = shown;
  const { widthPx, heightPx } = masterOfCut(cut, appearance);
  const ratio = widthPx / heightPx;
  const isHeld = useRef(false);
  const moveTo = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    held.set(((event.clientX - box.left) / box.width) * 100, ((event.clientY - box.top) / box.height) * 100);
  };
  const onPointerDown = (event: PointerEvent) => {
    if (!takesHold(event)) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    isHeld.current = true;
    moveTo(event);
  };
  const letGo = () => {
    isHeld.current = false;
    commit(store);
  };
  return (
    <div
      className="well"
      style={{ aspectRatio: ratio, width: `min(100%, ${MOST_HIGH * ratio}px)` }}
      onPointerDown={onPointerDown}
      onPointerMove={(e) => isHeld.current && moveTo(e)}
      onPointerUp={letGo}
      onPointerCancel={letGo}
    >
      <PictureThumb picture={picture} cut={cut} width={WIDTH} appearance={appearance} />
      {cut.keepAreas.map(({ subject, rect }, index) => (
        <span key={index} className="well-keep" title={subject} style={laidOver(rect)} />
      ))}
      {children}
      <HeldPoint {...{ layer, held }} />
    </div>
  );
}

/** The cut that the close-up’s screen takes, with the point that is held: dragged, or moved with the arrow keys. */
function Well({ layer, shown }: { layer: PictureLayer; shown: ShownPart }) {
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === layer.picture))!;
  const appearance = useWorkbench((s) => s.view.appearance);
  const [everywhere, setEverywhere] = useState(false);
  const { cut, part } = shown;
  const { found: seen, isOlder } = useSeen(layer.id, everywhere ? cut.cut : null);
  return (
    <>
      <Frame {...{ layer, shown, picture }}>
        {everywhere && seen && <SeenHeat seen={seen} />}
        {!everywhere && part && (
          <span className="well-shown" style={part} title="What the close-up’s screen shows" />
        )}
      </Frame>
      {shown.cuts > 1 && (
        <p className="quiet seen-words">
          {capitalised(sayCut(cut))}, {sayFile(masterOfCut(cut, appearance))}, which the close-up’s screen
          takes; one of {shown.cuts}.
        </p>
      )}
      <Choices
        label="Seen of it on"
        options={SEEN_ON}
        value={everywhere ? 'every' : 'this'}
        onChoose={(on) => setEverywhere(on === 'every')}
      />
      {everywhere && seen && (
        <p className="quiet seen-words">
          {saySeen(seen, shown.cuts)} <OlderNote when={isOlder} />
        </p>
      )}
      <KeepAreas of={{ pictureId: picture.id, cut }} />
    </>
  );
}

/** The picture of a background over its rule. */
export function PictureWell({ layer }: { layer: PictureLayer }) {
  const shown = useShown(layer);
  return shown && <Well layer={layer} shown={shown} />;
}

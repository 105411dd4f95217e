'use client';
import { useCallback, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { Button } from 'react-bootstrap';
import { ruleOf } from '@/core/findings/rule';
import { sayNumber, sayRatio } from '@/core/words/numbers';
import type { Size } from '@/core/geometry/rect';
import { breachId, type Breach, type Outcome } from '@/core/measure/judge';
import type { CaseResult } from '@/core/survey/survey';
import { ownerName } from '@/core/measure/words';
import type { Stretch } from '@/core/solve/stretches';
import { backgroundOf, markOf } from '@/core/solve/mark';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useElementSize } from '../drawing/useElementSize';
import { useAnswer, type Asking } from '../state/ask';
import { useBaseScreen, useCaseResult, useChosenCase } from '../state/case-result';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { BackToField } from '../parts/BackToField';
import { OlderNote } from '../parts/Older';
import { useIsMeasured } from '../state/outside';
import { sayWindow, windowOf } from '../state/view';
import { ValleyStrip } from '../valley/ValleyStrip';
import { OUTCOME_SHAPES } from '../words';
import { StretchBar } from './StretchBar';

const RANGES = { width: { low: 240, high: 1920 }, height: { low: 240, high: 1400 } };
type Along = keyof typeof RANGES;
const KEY_STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

type Stretches = readonly Stretch[];
const NONE: Stretches = [];

/** Where along one axis anything changes while the other one stays. */
function useStretches(along: Along, other: number): { stretches: Stretches; isOlder: boolean } {
  const c = useChosenCase();
  const base = useBaseScreen();
  const around = useWorkbench((s) => s.view.around);
  const appearance = c?.appearance;
  const asking = useCallback<Asking<Stretch[]>>(
    (worker, documents, sceneId) => {
      const { low: from, high: to } = RANGES[along];
      return worker.stretches(documents, sceneId, {
        along,
        other,
        from,
        to,
        base: base!,
        appearance: appearance!,
        around,
      });
    },
    [along, other, base, appearance, around],
  );
  const { found, isOlder } = useAnswer(base && appearance ? asking : null);
  return { stretches: found ?? NONE, isOlder };
}

const keyOf = (b: Breach) => `${breachId(b)} ${b.limit.outcome}`;

/** What begins and ends from one stretch to the next. */
function changeOf(before: Stretch, after: Stretch) {
  const [was, is] = [new Set(before.breaches.map(keyOf)), new Set(after.breaches.map(keyOf))];
  return {
    begins: after.breaches.filter((b) => !was.has(keyOf(b))),
    ends: before.breaches.filter((b) => !is.has(keyOf(b))),
  };
}

function Changes({
  along,
  stretches,
  isOlder,
  onGo,
}: {
  along: Along;
  stretches: readonly Stretch[];
  isOlder: boolean;
  onGo: (lu: number) => void;
}) {
  const { layers } = useScene();
  const say = (b: Breach) => `${ownerName(b.subjectId, layers)} ${ruleOf([b]).word}`;
  return (
    <section className="window-changes" aria-label={`Where the ${along} changes an outcome`}>
      <h3>
        {along === 'width' ? 'Widths' : 'Heights'} at which something changes{' '}
        <span className="quiet figures">{Math.max(0, stretches.length - 1)}</span>{' '}
        <OlderNote when={isOlder} />
      </h3>
      <ol className="older" data-older={isOlder || undefined} aria-busy={isOlder}>
        {stretches.slice(1).map((s, i) => {
          const { begins, ends } = changeOf(stretches[i]!, s);
          return (
            <li key={s.from}>
              <Button bsPrefix="part" className="figures" onClick={() => onGo(s.from)}>
                {sayNumber(s.from)} lu
              </Button>{' '}
              {begins.map((b, n) => (
                <span key={keyOf(b)}>
                  {n > 0 && ', '}
                  <span className={`outcome-${b.limit.outcome}`}>{OUTCOME_SHAPES[b.limit.outcome]}</span>{' '}
                  {say(b)}
                </span>
              ))}
              {ends.length > 0 && (
                <span className="quiet">
                  {begins.length > 0 && ', '}no longer{' '}
                  {ends.map((b) => `${OUTCOME_SHAPES[b.limit.outcome]} ${say(b)}`).join(', ')}
                </span>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** The size of the window, lu, and what sets it within the ranges. */
function useWindowSize() {
  const store = useWorkbenchStore();
  const view = useWorkbench((s) => s.view);
  const size = useMemo(() => windowOf(view), [view]);
  const set = (next: Partial<typeof size>) => {
    const { width, height } = { ...size, ...next };
    const within = (along: Along, lu: number) =>
      Math.min(RANGES[along].high, Math.max(RANGES[along].low, lu));
    const text = sayWindow({ width: within('width', width), height: within('height', height) });
    store.setState({ view: { ...store.getState().view, window: text } });
  };
  return { size, set };
}
type WindowSize = ReturnType<typeof useWindowSize>;

/** The case drawn in its window, with the corner that is dragged, or moved with the arrow keys. */
function WindowStage({ size, set, result }: WindowSize & { result: CaseResult | null }) {
  const stage = useRef<HTMLDivElement>(null);
  const room = useElementSize(stage);
  const scale = Math.max(0.05, Math.min(room.width / RANGES.width.high, room.height / RANGES.height.high));
  const onMove = (e: PointerEvent<HTMLElement>) => {
    if (e.buttons !== 1) return;
    const box = stage.current!.getBoundingClientRect();
    set({ width: (e.clientX - box.left) / scale, height: (e.clientY - box.top) / scale });
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const step = KEY_STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    const by = e.shiftKey ? 10 : 1;
    set({ width: size.width + step[0] * by, height: size.height + step[1] * by });
  };
  return (
    <div className="window-stage" ref={stage}>
      {result && room.width > 0 && <CaseCanvas result={result} scale={scale} />}
      <button
        type="button"
        className="window-corner"
        aria-label={`Corner of the free window: ${size.width} × ${size.height} lu. Drag it, or use the arrow keys.`}
        style={{ left: size.width * scale, top: size.height * scale }}
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={onMove}
        onKeyDown={onKeyDown}
      />
    </div>
  );
}

/** How large the window is, and what becomes of the scene in it. */
function WindowHead({ size, outcome }: { size: Size; outcome: Outcome | null }) {
  return (
    <div className="valley-head">
      <span className="figures">
        Free window{' '}
        <b>
          {sayNumber(size.width)} × {sayNumber(size.height)} lu
        </b>
        , ratio {sayRatio(size.width / size.height)}
        {!outcome && ', being measured…'}
        {outcome && (
          <b className={`outcome-${outcome}`}>
            {' '}
            {OUTCOME_SHAPES[outcome]} {outcome}
          </b>
        )}
      </span>
      <BackToField />
    </div>
  );
}

/** The window on the valley of the background, where a ratio is chosen, too. */
function WindowStrip({
  size,
  set,
  result,
  widths,
}: WindowSize & { result: CaseResult | null; widths: Stretches }) {
  const scene = useScene();
  if (!backgroundOf(scene)) return null;
  const { height } = size;
  const free = result && {
    ratio: size.width / height,
    mark: markOf(result, scene),
    outcome: result.outcome,
    changes: widths.slice(1).map((s) => s.from / height),
    onRatio: (ratio: number) => set({ width: Math.round(ratio * height) }),
  };
  // Room for what is known a moment later.
  return <div className="strip-room">{free && <ValleyStrip free={free} />}</div>;
}

/** A window of any size: dragged by its corner, with the exact sizes at which anything that is wrong comes or goes. */
export function FreeWindow() {
  const documents = useWorkbench((s) => s.documents);
  const result = useCaseResult(useChosenCase(), documents);
  const measured = useIsMeasured(documents) ? result : null;
  const { size, set } = useWindowSize();
  const widths = useStretches('width', size.height);
  const heights = useStretches('height', size.width);
  return (
    <section className="middle-view free-window" aria-label="Free window">
      <WindowStrip {...{ size, set }} widths={widths.stretches} result={measured} />
      <WindowHead size={size} outcome={measured && measured.outcome} />
      <WindowStage {...{ size, set, result }} />
      <StretchBar
        label="Width"
        value={size.width}
        range={RANGES.width}
        stretches={widths.stretches}
        onChange={(width) => set({ width })}
      />
      <StretchBar
        label="Height"
        value={size.height}
        range={RANGES.height}
        stretches={heights.stretches}
        onChange={(height) => set({ height })}
      />
      <div className="window-lists">
        <Changes along="width" {...widths} onGo={(width) => set({ width })} />
        <Changes along="height" {...heights} onGo={(height) => set({ height })} />
      </div>
    </section>
  );
}

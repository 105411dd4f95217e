'use client';
import { useCallback, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { Button } from 'react-bootstrap';
import { ruleOf } from '@/core/findings/rule';
import { sayNumber, sayRatio } from '@/core/words/numbers';
import { breachId, type Breach } from '@/core/measure/judge';
import { ownerName } from '@/core/measure/words';
import type { Stretch } from '@/core/solve/stretches';
import { backgroundOf, markOf } from '@/core/solve/mark';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useElementSize } from '../drawing/useElementSize';
import { useAsked, type Asking } from '../state/ask';
import { useBaseScreen, useCaseResult, useChosenCase } from '../state/case-result';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { BackToField } from '../parts/BackToField';
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

/** Where along one axis anything changes while the other one stays. */
function useStretches(along: Along, other: number): readonly Stretch[] {
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
  return useAsked(base && appearance ? asking : null) ?? [];
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
  onGo,
}: {
  along: Along;
  stretches: readonly Stretch[];
  onGo: (lu: number) => void;
}) {
  const { layers } = useScene();
  const say = (b: Breach) => `${ownerName(b.subjectId, layers)} ${ruleOf([b]).word}`;
  return (
    <section className="window-changes" aria-label={`Where the ${along} changes an outcome`}>
      <h3>
        {along === 'width' ? 'Widths' : 'Heights'} at which something changes{' '}
        <span className="quiet figures">{Math.max(0, stretches.length - 1)}</span>
      </h3>
      <ol>
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

/** A window of any size: dragged by its corner, with the exact sizes at which anything that is wrong comes or goes. */
export function FreeWindow() {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const view = useWorkbench((s) => s.view);
  const c = useChosenCase();
  const scene = useScene();
  const result = useCaseResult(c, documents);
  const isMeasured = useIsMeasured(documents);
  const stage = useRef<HTMLDivElement>(null);
  const room = useElementSize(stage);
  const size = useMemo(() => windowOf(view), [view]);
  const widths = useStretches('width', size.height);
  const heights = useStretches('height', size.width);
  const scale = Math.max(0.05, Math.min(room.width / RANGES.width.high, room.height / RANGES.height.high));
  const set = (next: Partial<typeof size>) => {
    const { width, height } = { ...size, ...next };
    const within = (along: Along, lu: number) =>
      Math.min(RANGES[along].high, Math.max(RANGES[along].low, lu));
    const text = sayWindow({ width: within('width', width), height: within('height', height) });
    store.setState({ view: { ...store.getState().view, window: text } });
  };
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
  const { height } = size;
  const strip = result &&
    isMeasured && {
      ratio: size.width / height,
      mark: markOf(result, scene),
      outcome: result.outcome,
      changes: widths.slice(1).map((s) => s.from / height),
      onRatio: (ratio: number) => set({ width: Math.round(ratio * height) }),
    };
  return (
    <section className="middle-view free-window" aria-label="Free window">
      {/* Room for what is known a moment later. */}
      {backgroundOf(scene) && <div className="strip-room">{strip && <ValleyStrip free={strip} />}</div>}
      <div className="valley-head">
        <span className="figures">
          Free window{' '}
          <b>
            {sayNumber(size.width)} × {sayNumber(size.height)} lu
          </b>
          , ratio {sayRatio(size.width / size.height)}
          {!isMeasured && ', being measured…'}
          {result && isMeasured && (
            <b className={`outcome-${result.outcome}`}>
              {' '}
              {OUTCOME_SHAPES[result.outcome]} {result.outcome}
            </b>
          )}
        </span>
        <BackToField />
      </div>
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
      <StretchBar
        label="Width"
        value={size.width}
        range={RANGES.width}
        stretches={widths}
        onChange={(width) => set({ width })}
      />
      <StretchBar
        label="Height"
        value={size.height}
        range={RANGES.height}
        stretches={heights}
        onChange={(height) => set({ height })}
      />
      <div className="window-lists">
        <Changes along="width" stretches={widths} onGo={(width) => set({ width })} />
        <Changes along="height" stretches={heights} onGo={(height) => set({ height })} />
      </div>
    </section>
  );
}

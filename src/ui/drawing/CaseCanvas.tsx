'use client';
import {
  createContext,
  useContext,
  useLayoutEffect,
  useRef,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { paintCanvas } from '@/render/canvas';
import { drawingOf } from '@/render/painter';
import type { PixelStore } from '@/render/pixel-store';
import type { Size } from '@/core/geometry/rect';
import type { RoundRect } from '@/core/screens/outline';
import type { CaseResult } from '@/core/survey/survey';
import { useWorkbench } from '../state/context';

const Context = createContext<PixelStore | null>(null);
export const PixelProvider = Context.Provider;

/** The pixels that drawings are made of; whoever asks is made anew when more are there. */
export function usePixels(): PixelStore {
  const store = useContext(Context);
  if (!store) throw new Error('Drawings need a store of pixels.');
  useSyncExternalStore(store.subscribe, store.version, () => 0);
  return store;
}

/** A path around all that a mask cuts off, to be filled by the even-odd rule. */
function veilOf({ rect: { x, y, width: w, height: h }, radius: r }: RoundRect, whole: Size): string {
  const arc = `a${r} ${r} 0 0 1`;
  const seen = `M${x + r} ${y}h${w - 2 * r}${arc} ${r} ${r}v${h - 2 * r}${arc} ${-r} ${r}h${2 * r - w}${arc} ${-r} ${-r}v${2 * r - h}${arc} ${r} ${-r}z`;
  return `M0 0H${whole.width}V${whole.height}H0z${seen}`;
}

interface Props {
  result: CaseResult;
  /** CSS px per lu */
  scale: number;
  /** lines over the drawing */
  children?: ReactNode;
}

/** A case as it is drawn, with its glass as a hairline around it. */
export function CaseCanvas({ result, scale, children }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const store = usePixels();
  const version = store.version();
  const fonts = useWorkbench((s) => s.fonts);
  const { glass } = result.outline;
  const { width, height } = result.regions.screen;
  // What a mask cuts off is seen through a veil.
  const isMasked = glass.rect.width < width || glass.rect.height < height;

  useLayoutEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (!canvas || !context) return;
    const ratio = window.devicePixelRatio;
    const drawing = drawingOf(result, { scale: scale * ratio, glass: !isMasked, fonts });
    // Setting a size empties a canvas and asks for new memory, also when it is the same.
    if (canvas.width !== drawing.size.width) canvas.width = drawing.size.width;
    if (canvas.height !== drawing.size.height) canvas.height = drawing.size.height;
    canvas.style.width = `${drawing.size.width / ratio}px`;
    canvas.style.height = `${drawing.size.height / ratio}px`;
    const complete = paintCanvas(context, drawing, store.pixels);
    canvas.dataset.complete = String(complete);
    canvas.dataset.scale = String(scale * ratio);
  }, [result, scale, store, version, fonts, isMasked]);

  return (
    <span className="glass" aria-hidden="true">
      {/* Of about its size before it is drawn, as on the page that the server makes. */}
      <canvas ref={ref} style={{ width: width * scale, height: height * scale }} />
      {children}
      <svg viewBox={`0 0 ${width} ${height}`} width="100%" height="100%">
        {isMasked && <path className="mask-veil" fillRule="evenodd" d={veilOf(glass, { width, height })} />}
        <rect
          {...glass.rect}
          rx={glass.radius}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
    </span>
  );
}

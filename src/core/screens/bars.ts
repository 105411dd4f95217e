import { bottom, fromSize, right, type Rect, type Side } from '../geometry/rect';
import type { Bars, BarSymbols } from './bar-rules';
import { resolveColour, type Appearance, type NamedValue } from '../values/values';
import type { RoundRect } from './outline';
import { shownBars, type ShownBar } from './regions';
import type { Turned } from './turn';

/** A bar of the system or of the app, as it is drawn over a scene; absolute on the screen, lu. */
export interface BarResult {
  kind: ShownBar['kind'];
  rect: Rect;
  /** `#rrggbb` or `#rrggbbaa`; `null` is see-through */
  colour: string | null;
  /** signs that stand for what the bar holds */
  signs: RoundRect[];
  /** colour of the signs */
  ink: string;
}

const INKS = { dark: '#1b1b1b', light: '#ffffff' } as const;
const inkOf = (symbols: BarSymbols | undefined, appearance: Appearance): string => {
  if (symbols === 'dark' || symbols === 'light') return INKS[symbols];
  return appearance === 'light' ? INKS.dark : INKS.light;
};

/** A bar along one side, `from` lu in from it. */
function along(side: Side, whole: Rect, from: number, depth: number): Rect {
  switch (side) {
    case 'top':
      return { x: whole.x, y: whole.y + from, width: whole.width, height: depth };
    case 'bottom':
      return { x: whole.x, y: bottom(whole) - from - depth, width: whole.width, height: depth };
    case 'left':
      return { x: whole.x + from, y: whole.y, width: depth, height: whole.height };
    case 'right':
      return { x: right(whole) - from - depth, y: whole.y, width: depth, height: whole.height };
  }
}

const pill = (x: number, y: number, width: number, height: number): RoundRect => ({
  rect: { x: x - width / 2, y: y - height / 2, width, height },
  radius: Math.min(width, height) / 2,
});

/** Signs as plain as can be: a line for the time and three dots; a line for a title; a line, or three dots, to go by. */
function signsOf({ kind, depth }: ShownBar, rect: Rect, bars: Bars, cornerRadius: number): RoundRect[] {
  const x = rect.x + rect.width / 2;
  const y = rect.y + rect.height / 2;
  if (kind === 'title') return [pill(rect.x + 16 + 60, y, 120, Math.min(10, depth / 3))];
  if (kind === 'status') {
    const off = Math.max(16, cornerRadius * 0.6);
    const dot = Math.min(7, depth / 3);
    const dots = [0, 1, 2].map((i) => pill(right(rect) - off - dot / 2 - i * dot * 1.8, y, dot, dot));
    return [pill(rect.x + off + 14, y, 28, dot), ...dots];
  }
  if (bars.navigation.style === 'gesture')
    return [pill(x, y, Math.min(140, rect.width * 0.34), Math.min(5, depth / 4))];
  const across = rect.width >= rect.height;
  const step = (across ? rect.width : rect.height) / 4;
  const dot = Math.min(12, depth / 4);
  return [-1, 0, 1].map((i) => pill(across ? x + i * step : x, across ? y : y + i * step, dot, dot));
}

const colourOf = (
  { colour }: Bars[ShownBar['kind']],
  appearance: Appearance,
  named: readonly NamedValue[],
) => (colour ? resolveColour(colour, appearance, named) : null);

/** Bars of a case as they are in another appearance. */
export const barsIn = (
  appearance: Appearance,
  list: readonly BarResult[],
  bars: Bars,
  named: readonly NamedValue[],
): BarResult[] =>
  list.map(({ kind, rect, signs }) => ({
    kind,
    rect,
    signs,
    colour: colourOf(bars[kind], appearance, named),
    ink: inkOf(bars[kind].symbols, appearance),
  }));

/** The bars of one case, as they lie over the scene. */
export function barsOf(
  turned: Turned,
  bars: Bars,
  appearance: Appearance,
  named: readonly NamedValue[],
): BarResult[] {
  const whole = fromSize(turned.size);
  const taken: Record<Side, number> = { left: 0, right: 0, top: 0, bottom: 0 };
  return shownBars(turned, bars).map((bar) => {
    const rect = along(bar.side, whole, taken[bar.side], bar.depth);
    taken[bar.side] += bar.depth;
    const signs = signsOf(bar, rect, bars, turned.screen.cornerRadius);
    return {
      kind: bar.kind,
      rect,
      signs,
      colour: colourOf(bars[bar.kind], appearance, named),
      ink: inkOf(bars[bar.kind].symbols, appearance),
    };
  });
}

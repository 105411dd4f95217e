/**
 * Easing functions as CSS writes them: how far a change has come at a share of its time.
 * Source: CSS Easing Functions 2 (linear(), cubic-bezier(), steps() and their keywords).
 */
export type Easing = (progress: number) => number;

const KEYWORDS: Record<string, string> = {
  ease: 'cubic-bezier(0.25, 0.1, 0.25, 1)',
  'ease-in': 'cubic-bezier(0.42, 0, 1, 1)',
  'ease-out': 'cubic-bezier(0, 0, 0.58, 1)',
  'ease-in-out': 'cubic-bezier(0.42, 0, 0.58, 1)',
  'step-start': 'steps(1, jump-start)',
  'step-end': 'steps(1, jump-end)',
};

/** The keywords, in the order in which they are offered. */
export const EASING_KEYWORDS = ['linear', ...Object.keys(KEYWORDS)] as const;

/** One coordinate of a Bézier curve from 0 to 1 with two inner points. */
const bezier = (a: number, b: number, t: number) =>
  3 * a * t * (1 - t) ** 2 + 3 * b * t ** 2 * (1 - t) + t ** 3;

/** The curve rises all the way in x, so that halving finds the place to the last bit. */
function cubicBezier([x1, y1, x2, y2]: readonly [number, number, number, number]): Easing {
  return (progress) => {
    if (progress <= 0) return 0;
    if (progress >= 1) return 1;
    let [low, high] = [0, 1];
    for (let i = 0; i < 52; i++) {
      const middle = (low + high) / 2;
      if (bezier(x1, x2, middle) < progress) low = middle;
      else high = middle;
    }
    return bezier(y1, y2, (low + high) / 2);
  };
}

const JUMPS: Record<string, { first: number; more: number }> = {
  'jump-start': { first: 1, more: 0 },
  start: { first: 1, more: 0 },
  'jump-end': { first: 0, more: 0 },
  end: { first: 0, more: 0 },
  'jump-none': { first: 0, more: -1 },
  'jump-both': { first: 1, more: 1 },
};

function steps(count: number, jump: string): Easing | null {
  const rule = JUMPS[jump];
  const rises = count + (rule?.more ?? 0);
  if (!rule || !Number.isInteger(count) || count < 1 || rises < 1) return null;
  return (progress) => {
    if (progress < 0) return 0;
    const step = Math.floor(progress * count) + rule.first;
    return Math.min(rises, Math.max(0, step)) / rises;
  };
}

interface Stop {
  at: number | null;
  value: number;
}

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i;
const numberOf = (text: string) => (NUMBER.test(text) ? Number(text) : NaN);

/** “0.5 25% 75%” is a value at two places; one without a place is spread between its neighbours. */
function stopsOf(text: string): Stop[] | null {
  const words = text.trim().split(/\s+/);
  const places = words.filter((w) => w.endsWith('%')).map((w) => numberOf(w.slice(0, -1)) / 100);
  const values = words.filter((w) => !w.endsWith('%')).map(numberOf);
  const [value] = values;
  if (values.length !== 1 || places.length > 2 || [...values, ...places].some(Number.isNaN)) return null;
  return places.length === 0 ? [{ at: null, value: value! }] : places.map((at) => ({ at, value: value! }));
}

/** Places of all stops: the ends at 0 and 1, none before the one in front of it, gaps evenly filled. */
function spread(stops: readonly Stop[]): { at: number; value: number }[] {
  const at = stops.map((s) => s.at);
  at[0] ??= 0;
  at[at.length - 1] ??= 1;
  let furthest = -Infinity;
  for (const [i, place] of at.entries()) if (place !== null) at[i] = furthest = Math.max(furthest, place);
  for (let i = 1; i < at.length; i++) {
    if (at[i] !== null) continue;
    const next = at.findIndex((place, k) => k > i && place !== null);
    const [from, to] = [at[i - 1]!, at[next]!];
    for (let k = i; k < next; k++) at[k] = from + ((to - from) * (k - i + 1)) / (next - i + 1);
  }
  return stops.map(({ value }, i) => ({ at: at[i]!, value }));
}

function linear(text: string): Easing | null {
  const parts = text.split(',').map(stopsOf);
  if (parts.includes(null)) return null;
  const stops = spread((parts as Stop[][]).flat());
  if (stops.length < 2) return null;
  return (progress) => {
    // The last stretch that begins at or before the place; before the first stop, the first stretch drawn out.
    const after = stops.findIndex((s) => s.at > progress);
    const i = Math.min(stops.length - 1, Math.max(1, after < 0 ? stops.length - 1 : after));
    const [a, b] = [stops[i - 1]!, stops[i]!];
    if (b.at === a.at) return b.value;
    return a.value + ((b.value - a.value) * (progress - a.at)) / (b.at - a.at);
  };
}

/** An easing function, or `null` where the text is none. */
export function easingOf(text: string): Easing | null {
  const plain = text.trim().toLowerCase();
  if (plain === 'linear') return (progress) => progress;
  const match = /^(linear|cubic-bezier|steps)\((.*)\)$/.exec(KEYWORDS[plain] ?? plain);
  if (!match) return null;
  const [, name, inner] = match as unknown as [string, string, string];
  if (name === 'linear') return linear(inner);
  const parts = inner.split(',').map((p) => p.trim());
  if (name === 'steps') return parts.length > 2 ? null : steps(numberOf(parts[0]!), parts[1] ?? 'end');
  const [x1, y1, x2, y2] = parts.map(numberOf);
  const points = [x1, y1, x2, y2] as [number, number, number, number];
  if (parts.length !== 4 || points.some(Number.isNaN)) return null;
  return [points[0], points[2]].every((x) => x >= 0 && x <= 1) ? cubicBezier(points) : null;
}

const LOOKS = 1000;

/** At which share of its time a change is first wholly there, 0..1; under 1 where an easing overshoots or jumps ahead. */
export function fullAt(ease: Easing): number {
  for (let i = 0; i < LOOKS; i++) if (ease(i / LOOKS) >= 1) return i / LOOKS;
  return 1;
}

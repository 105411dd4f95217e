/** Numbers that look random and are the same for the same seed. */
export interface Random {
  /** 0..1, without 1 */
  next: () => number;
  /** whole, both ends included */
  whole: (low: number, high: number) => number;
  /** to a tenth, both ends included */
  tenth: (low: number, high: number) => number;
  pick: <T>(list: readonly T[]) => T;
  chance: (share: number) => boolean;
  /** `#rrggbb` or `#rrggbbaa` */
  colour: (alpha?: number) => string;
}

/** Source: mulberry32, Tommy Ettinger, public domain. */
export function randomOf(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  const whole = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
  const byte = (value: number) => Math.round(value).toString(16).padStart(2, '0');
  return {
    next,
    whole,
    tenth: (low, high) => whole(low * 10, high * 10) / 10,
    pick: (list) => list[whole(0, list.length - 1)]!,
    chance: (share) => next() < share,
    colour: (alpha = 1) =>
      `#${byte(whole(0, 255))}${byte(whole(0, 255))}${byte(whole(0, 255))}${alpha < 1 ? byte(alpha * 255) : ''}`,
  };
}

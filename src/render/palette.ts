import type { Outcome } from '@/core/measure/judge';

/** The colours of paper, ink and outcomes, as `--name` of the look of the page; what stands alone has the same. */
export const PALETTE = {
  light: {
    ground: '#efebe1',
    sheet: '#faf7f0',
    raised: '#fffdf8',
    ink: '#1d2a2f',
    'ink-2': '#5a686c',
    line: '#d8d1c1',
    river: '#0e6a78',
    fail: '#ae3527',
    warn: '#8f5806',
    clear: '#446c40',
  },
  dark: {
    ground: '#161d20',
    sheet: '#1d262a',
    raised: '#263136',
    ink: '#ece6da',
    'ink-2': '#a9b3b3',
    line: '#3a474c',
    river: '#5fb9c4',
    fail: '#f0907f',
    warn: '#e9b765',
    clear: '#a5cf9b',
  },
} as const satisfies Record<'light' | 'dark', Record<string, string>>;

/** The colours of outcomes on paper. */
export const OUTCOME_COLOURS: Readonly<Record<Outcome, string>> = PALETTE.light;

import { sayArea, sayContrast, sayLength, sayNumber, sayRatio, sayShare, sayTimes } from '../words/numbers';

/** How values of a measure are said and typed. */
export interface Unit {
  /** a value with its unit: “65.3 %” */
  say: (value: number) => string;
  /** how much larger a value is, without its sign; its unit follows where `names` says so */
  sayBy: (amount: number) => string;
  names: boolean;
  /** `factor` times the value stands before its unit where it is typed */
  typed: { unit: string; factor: number };
  /** whether values are whole numbers, of which 0 is “none” */
  counts: boolean;
  /** a difference that an eye notices: by such steps, breaches of unlike measures are held against one another */
  step: number;
}

const unitOf = (
  unit: string,
  say: Unit['say'],
  { factor = 1, sayBy = sayNumber, names = true, counts = false, step = 1 } = {},
): Unit => ({ say, sayBy, names, typed: { unit, factor }, counts, step });

/** The units that measures have. */
export const UNITS = {
  share: unitOf('%', sayShare, { factor: 100, sayBy: sayRatio, step: 0.05 }),
  length: unitOf('lu', sayLength, { step: 4 }),
  area: unitOf('lu²', sayArea, { step: 16 }),
  times: unitOf('×', sayTimes, { sayBy: sayRatio, step: 0.25 }),
  contrast: unitOf(': 1', sayContrast, { names: false, step: 0.5 }),
  px: unitOf('px', (value) => `${sayNumber(value)} px`, { step: 0.5 }),
  count: unitOf('', String, { names: false, counts: true }),
} as const;

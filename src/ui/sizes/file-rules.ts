import type { FileRule } from '@/core/pictures/check';

/** What each finding on files is called, and how grave it is. */
export const FILE_RULES: Record<FileRule, { word: string; outcome: 'fail' | 'warn' }> = {
  missing: { word: 'missing', outcome: 'warn' },
  uneven: { word: 'uneven', outcome: 'warn' },
  undecided: { word: 'undecided', outcome: 'warn' },
  'too-small': { word: 'too small', outcome: 'fail' },
  'too-heavy': { word: 'too heavy', outcome: 'warn' },
  'wrong-profile': { word: 'wrong profile', outcome: 'warn' },
  'missing-dark': { word: 'light only', outcome: 'warn' },
  padding: { word: 'uneven padding', outcome: 'warn' },
};

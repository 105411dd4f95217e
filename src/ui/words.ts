import { FIT_LABELS, type FitPreset } from '@/core/fit/presets';
import { countCases } from '@/core/words/words';
import type { SurveyProgress } from '@/workers/surveying';
import type { Appearance } from '@/core/values/values';
import type { Case } from '@/core/screens/cases';
import type { CaseSummary } from '@/core/solve/summary';

export { OUTCOME_SHAPES } from '@/core/measure/words';
export { CUT_WORDS, sayFile } from '@/core/pictures/words';
export { caseName, caseSize, caseTurn, kindName, kindWord, ORIENTATION_LABELS } from '@/core/screens/words';
import { caseName } from '@/core/screens/words';

export const APPEARANCE_LABELS: Record<Appearance, string> = { light: 'Light', dark: 'Dark' };

/** Of a scene that shows nothing but grounds. */
export const NOTHING_TO_JUDGE = 'Nothing to judge yet: this scene shows no picture, text or panel.';

export { countCases } from '@/core/words/words';

/** How far a survey is: “measuring, 2 of 5 files read”, “measuring, 150 of 486 cases”. */
export const sayProgress = ({ doing, done, of }: SurveyProgress): string =>
  doing === 'reading' ? `measuring, ${done} of ${of} files read` : `measuring, ${done} of ${countCases(of)}`;

/** What is read out for a case: its name, its outcome and its figure. */
export function caseText(c: Case, summary: CaseSummary | undefined, layerName: string | undefined): string {
  if (!summary) return `${caseName(c)}: being measured`;
  const { headline, outcome } = summary;
  const figure = headline ? `, ${layerName ?? ''} ${headline.words}` : '';
  return `${caseName(c)}: ${outcome}${figure}`;
}

export const FIT_WORDS: Record<FitPreset, { label: string; title: string }> = {
  cover: { label: FIT_LABELS.cover, title: 'Fills the box and keeps the shape; what spills is cut' },
  contain: { label: FIT_LABELS.contain, title: 'Shows all and keeps the shape; leaves bars' },
  stretch: { label: FIT_LABELS.stretch, title: 'Fills both ways; changes the shape' },
  natural: { label: FIT_LABELS.natural, title: 'The file’s own size' },
  'scale-down': { label: FIT_LABELS['scale-down'], title: 'Natural size, but never larger than the box' },
  tile: { label: FIT_LABELS.tile, title: 'Natural size, repeated both ways' },
  'match-width': { label: FIT_LABELS['match-width'], title: 'As wide as the box; the height follows' },
  'match-height': { label: FIT_LABELS['match-height'], title: 'As high as the box; the width follows' },
};

import type { Screen } from '@/core/screens/screen';

/** What a part of the form takes: the screen as it is so far, and who hears of a change. */
export interface PartProps {
  screen: Screen;
  onChange: (next: Partial<Screen>) => void;
}

/** A form is saved as a whole: a single field commits nothing. */
export const nothing = () => {};

import { redo, undo } from '../state/edit';
import { withAppearance } from '../state/view';
import type { WorkbenchStore } from '../state/workbench';

/** What a key needs that works wherever the focus is. */
export interface KeyScope {
  store: WorkbenchStore;
  /** opens the list of keys */
  help: () => void;
}

/** A key, as it is explained and, where it works everywhere, as it is bound. */
export interface Key {
  /** as it is said */
  said: string;
  what: string;
  /** what is pressed, as the library of keys writes it */
  on?: readonly string[];
  run?: (scope: KeyScope) => void;
}

/** Every key of the workbench. Those without something to run belong to what has the focus, which answers to them itself. */
export const KEYS: readonly Key[] = [
  {
    said: 'Arrow keys, in a row of choices or a layer',
    what: 'go from one to the next; Tab goes on to what follows',
  },
  { said: 'Arrow keys, on a screen', what: 'go to the next screen in that direction' },
  { said: 'Home, End, on a screen', what: 'go to the first or the last screen' },
  { said: 'Enter, on a part of a sentence', what: 'change it' },
  { said: 'Arrow keys, in a number', what: 'step by 1; with Shift by 10, with Alt by 0.1' },
  { said: 'Arrow keys, on the point of a picture', what: 'move it by 1 %; with Shift by 10 %' },
  {
    said: 'Arrow keys, on a bound or a corner that is dragged',
    what: 'move it; with Shift or Page Up and Down further',
  },
  { said: 'Arrow keys, on the time of a launch', what: 'go by 10 ms; with Shift by 100' },
  { said: 'Page Up, Page Down, on the time of a launch', what: 'go to where something changes next' },
  { said: 'Escape', what: 'close what is open' },
  { said: 'Ctrl Z', what: 'undo', on: ['$mod+z'], run: ({ store }) => undo(store) },
  {
    said: 'Ctrl Shift Z or Ctrl Y',
    what: 'redo',
    on: ['$mod+Shift+z', '$mod+y'],
    run: ({ store }) => redo(store),
  },
  { said: 'Ctrl V', what: 'add a picture that was copied' },
  {
    said: 'D',
    what: 'light or dark',
    on: ['d', 'Shift+d'],
    run: ({ store }) => {
      const { view } = store.getState();
      store.setState({ view: withAppearance(view, view.appearance === 'light' ? 'dark' : 'light') });
    },
  },
  {
    said: 'G',
    what: 'guides on or off',
    on: ['g', 'Shift+g'],
    run: ({ store }) =>
      store.setState(({ view }) => ({ view: { ...view, guides: view.guides ? undefined : true } })),
  },
  // On some keyboards it takes Shift, on others not.
  { said: '?', what: 'this list', on: ['?', 'Shift+?'], run: ({ help }) => help() },
];

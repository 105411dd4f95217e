/** What a look on a real device takes, so that it shows what was built and not what was kept from before. */
export interface Check {
  id: string;
  what: string;
  why: string;
}

export const CHECKLIST: readonly Check[] = [
  {
    id: 'clear-first-window',
    what: 'Remove the app, restart the device and install the app anew.',
    why: 'A picture of the first window is kept by the system, and an old one is shown for a long time.',
  },
  {
    id: 'light-and-dark',
    what: 'Start it in the light and in the dark appearance.',
    why: 'The first window follows the system, not a setting inside the app.',
  },
  {
    id: 'portrait-and-landscape',
    what: 'Start it while the device is held upright, and while it is turned.',
    why: 'The first window is drawn in the orientation of the moment; what is pinned to an edge may stop short.',
  },
  {
    id: 'slow-storage',
    what: 'Start it on the slowest device that is supported, with its storage almost full.',
    why: 'Loading takes longer there; the splash has to last as long without a gap.',
  },
  {
    id: 'cold-and-warm',
    what: 'Start it after it was ended, and again while it is still in memory.',
    why: 'A warm start shows the first window for a moment only: a fade may be cut off.',
  },
  {
    id: 'from-elsewhere',
    what: 'Open it from a link and from a notification.',
    why: 'The app may come up at another screen, after the same first window.',
  },
  {
    id: 'split-window',
    what: 'Open it in half of the screen.',
    why: 'A box of a fixed size may be larger than the window.',
  },
  {
    id: 'less-motion',
    what: 'Start it with motion reduced.',
    why: 'A fade has to give way, and nothing may wait for it.',
  },
];

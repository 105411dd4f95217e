const MB = 1024 * 1024;

/** What one drawing may take, in one place. */
export const DRAWING = {
  /** of processor time without a step */
  deadlineMs: 10_000,
  /** of a file that is made of pixels, of which a large one may take its time */
  decodeMs: 30_000,
  /** of the encoding of a film, and of each of its pictures */
  filmMs: 30_000,
  /** by the clock a task may take so many times its deadline, on a machine that is busy elsewhere */
  busyTimes: 12,
  /** how often it is looked at what a task uses */
  watchMs: 100,
  /** after which a task lets others go first, and how far: as the system counts it, 0 is like everybody */
  longMs: 1500,
  longNice: 5,
  /** of the process that draws */
  memoryBytes: 1200 * MB,
  /** a process that holds more after a task is ended, so that it gives its memory back */
  keptBytes: 350 * MB,
  /** after which a process that has nothing to do is ended */
  idleMs: 30_000,
  /** at the same time */
  atOnce: 2,
  /** up to which a task is short: one of these is done beside the others when they keep it waiting for so long */
  short: 8_000_000,
  shortWaitMs: 500,
  /** from which on a task counts as large, and only one of its kind runs at a time: layers × px */
  large: 40_000_000,
  /** layers × px of one picture */
  most: 200_000_000,
  /** px of all pictures of a film, each counted once for itself and a tenth for each of its layers */
  mostOfFilm: 600_000_000,
  /** after which a further one is refused */
  mostWaiting: 200,
} as const;

/** With which a process says how it ended. */
export const OUT_OF_MEMORY = 97;

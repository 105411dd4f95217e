import type { TaskProgress } from '../progress';
import type { ToRead } from './read';
import type { ToSetUpright } from '../pictures/upright';

/** A task whose code is loaded when it is asked for: a process that starts for one does not wait for that of all others. */
const later =
  <Input extends unknown[], Result>(load: () => Promise<(...input: Input) => Promise<Result>>) =>
  async (...input: Input): Promise<Result> =>
    (await load())(...input);

/** What a process of its own is asked to do. `onStep` says that it goes on, and how far it is where that is known. */
export const TASKS = {
  examine: later(async () => (await import('./examine')).examine),
  examineFont: later(async () => (await import('../fonts/read')).examineFont),
  readArchive: later(async () => (await import('../archives/read')).readArchive),
  make: later(async () => (await import('./make')).make),
  inspect: later(async () => (await import('./inspect')).inspect),
  encode: later(async () => (await import('./encode')).encode),
  compare: later(async () => (await import('./compare')).compare),
  look: later(async () => (await import('./read')).look),
  read: async (file: ToRead) => (await import('./read')).read(file),
  paint: later(async () => (await import('./paint')).paint),
  film: later(async () => (await import('./paint')).film),
  review: later(async () => (await import('./review')).review),
  report: later(async () => (await import('./report')).report),
  contact: later(async () => (await import('./contact')).contact),
  icons: later(async () => (await import('./icons')).icons),
  telling: later(async () => (await import('./telling')).telling),
  since: later(async () => (await import('./since')).since),
  layOver: later(async () => (await import('./beside')).layOver),
  holdScreenshot: later(async () => (await import('./screenshot')).holdScreenshot),
  upright: async (asked: ToSetUpright) => (await import('../pictures/upright')).upright(asked),
} satisfies Record<string, (input: never, onStep: (progress?: TaskProgress) => void) => Promise<unknown>>;
export type TaskKind = keyof typeof TASKS;
export type TaskInput<K extends TaskKind> = Parameters<(typeof TASKS)[K]>[0];
export type TaskResult<K extends TaskKind> = Awaited<ReturnType<(typeof TASKS)[K]>>;

/** From the server to the process. */
export interface Order {
  kind: TaskKind;
  input: unknown;
  /** the folder of the store, from which files are read */
  store: string;
}

/** That a task goes on. */
export type StepReport = { type: 'step'; progress?: TaskProgress };

/** From the process to the server. `rss` is the memory that it holds afterwards, bytes. */
export type Report = { type: 'ready' } | StepReport | EndReport;

/** With which a task ends. */
export type EndReport =
  | { type: 'done'; value: unknown; rss: number }
  | { type: 'refused'; status: number; message: string; more: Record<string, unknown> }
  | { type: 'failed'; message: string; code?: string };

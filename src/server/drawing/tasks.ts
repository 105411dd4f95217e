import { layOver } from './beside';
import { compare } from './compare';
import { contact } from './contact';
import { encode } from './encode';
import { readArchive } from '../archives/read';
import { examineFont } from '../fonts/read';
import { examine } from './examine';
import { inspect } from './inspect';
import { icons } from './icons';
import { make } from './make';
import type { TaskProgress } from './progress';
import { film, paint } from './paint';
import { look, read, type ToRead } from './read';
import { report } from './report';
import { review } from './review';
import { holdScreenshot } from './screenshot';
import { since } from './since';
import { upright, type ToSetUpright } from './upright';
import { telling } from './telling';

/** What a process of its own is asked to do. `onStep` says that it goes on, and how far it is where that is known. */
export const TASKS = {
  examine,
  examineFont,
  readArchive,
  make,
  inspect,
  encode,
  compare,
  look,
  read: (file: ToRead) => read(file),
  paint,
  film,
  review,
  report,
  contact,
  icons,
  telling,
  since,
  layOver,
  holdScreenshot,
  upright: (asked: ToSetUpright) => upright(asked),
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

import { fork, type ChildProcess } from 'node:child_process';
import { setPriority } from 'node:os';
import path from 'node:path';
import { Problem } from '../problem';
import { productFolder, storeFolder } from '../settings';
import { DRAWING, OUT_OF_MEMORY } from './limits';
import type { EndReport, Order, StepReport, TaskInput, TaskKind, TaskResult } from './tasks';
import type { TaskProgress } from '../progress';
import { usageOf } from './usage';
import { shared } from '../process-wide';

/**
 * Why a task did not come to its end: it was called off, took too much of the processor or of memory, had no turn at the processor
 * for too long, or its process ended.
 */
export class TaskEnded extends Error {
  constructor(readonly reason: 'called off' | 'time' | 'busy' | 'memory' | 'lost') {
    super(`The task ended early: ${reason}.`);
    this.name = 'TaskEnded';
  }
}

/** Processes that have nothing to do, each with the clock after which it is ended. */
type Idle = { child: ChildProcess; clock: NodeJS.Timeout }[];
const idle = shared('idle', (): Idle => []);

/**
 * Memory that one thread gives back is used by the others, and the system gets it back early: read when a process starts.
 * Source: mallopt(3).
 */
const MEMORY = { MALLOC_ARENA_MAX: '2', MALLOC_TRIM_THRESHOLD_: '65536' };

/** What draws, as it was built where whoever started this process knows of it; otherwise its sources, which takes seconds to start. */
function program(): { file: string; execArgv: string[] } {
  const built = process.env.COULEE_DRAWING;
  if (built) return { file: built, execArgv: [] };
  const sources = path.join(/* turbopackIgnore: true */ productFolder(), 'src/server/drawing/child.ts');
  return { file: sources, execArgv: ['--import', 'tsx'] };
}

function start(): Promise<ChildProcess> {
  const { file, execArgv } = program();
  const child = fork(/* turbopackIgnore: true */ file, {
    cwd: productFolder(),
    execArgv,
    serialization: 'advanced',
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: { ...process.env, ...MEMORY, NODE_OPTIONS: '' },
  });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve(child));
    child.once('error', reject);
    child.once('exit', () => reject(new TaskEnded('lost')));
  });
}

/** One that waits, or a new one. */
async function taken(): Promise<ChildProcess> {
  for (;;) {
    const waiting = idle().pop();
    if (!waiting) return start();
    clearTimeout(waiting.clock);
    const { child } = waiting;
    if (child.exitCode !== null || child.signalCode !== null || !child.connected) continue;
    child.ref();
    child.channel?.ref();
    return child;
  }
}

/** Puts a process aside for the next task; it keeps nobody awake meanwhile. */
function putAside(child: ChildProcess): void {
  child.removeAllListeners();
  child.unref();
  child.channel?.unref();
  const clock = setTimeout(() => child.kill('SIGKILL'), DRAWING.idleMs).unref();
  idle().push({ child, clock });
}

export interface Terms {
  /** of processor time without a step, ms */
  deadlineMs: number;
  signal?: AbortSignal;
  /** hears how far it is */
  onProgress?: (progress: TaskProgress) => void;
}

/** What a report that ends a task comes to. @throws Problem, or the fault of the disk with its code */
function ended(report: EndReport): unknown {
  if (report.type === 'done') return report.value;
  if (report.type === 'refused') throw new Problem(report.status, report.message, report.more);
  throw Object.assign(new Error(report.message), { code: report.code });
}

/** What takes long lets everything else go first from then on. @returns whether the system did as it was told */
function letOthersFirst({ pid }: ChildProcess): boolean {
  try {
    setPriority(pid!, DRAWING.longNice);
    return true;
  } catch {
    // Some systems do not let it be said; then it only takes its share.
    return false;
  }
}

/**
 * Looks at what a process uses, again and again: a task that holds the processor cannot look at itself.
 * @returns ends the looking
 */
function watch(child: ChildProcess, deadlineMs: number, end: (reason: TaskEnded['reason']) => void) {
  const used = () => usageOf(child.pid!)?.cpuMs ?? null;
  let step = { at: Date.now(), cpuMs: used() };
  const look = () => {
    const now = usageOf(child.pid!);
    const passed = Date.now() - step.at;
    if (now && now.rssBytes > DRAWING.memoryBytes) return end('memory');
    // Where nobody says how much of the processor it had, the clock has to do.
    const worked = now && step.cpuMs !== null ? now.cpuMs - step.cpuMs : passed;
    if (worked > deadlineMs) end('time');
    else if (passed > deadlineMs * DRAWING.busyTimes) end('busy');
  };
  const clock = setInterval(look, DRAWING.watchMs);
  return {
    again: () => (step = { at: Date.now(), cpuMs: used() }),
    stop: () => clearInterval(clock),
  };
}

/** Ended by itself for want of memory: with its own code, or by its engine, which aborts. */
const isOutOfMemory = (code: number | null, signal: string | null) =>
  code === OUT_OF_MEMORY || signal === 'SIGABRT';

/** Sends the order and waits for its end; the process is killed when it is called off or its time is up. */
function carriedOut(
  child: ChildProcess,
  order: Order,
  { deadlineMs, signal, onProgress }: Terms,
): Promise<EndReport> {
  let watched: ReturnType<typeof watch> | undefined;
  let onAbort = () => {};
  const running = new Promise<EndReport>((resolve, reject) => {
    const end = (reason: TaskEnded['reason']) => {
      child.kill('SIGKILL');
      reject(new TaskEnded(reason));
    };
    onAbort = () => end('called off');
    watched = watch(child, deadlineMs, end);
    child.on('message', (report: StepReport | EndReport) => {
      if (report.type !== 'step') return resolve(report);
      watched?.again();
      if (report.progress) onProgress?.(report.progress);
    });
    child.once('exit', (code, by) => reject(new TaskEnded(isOutOfMemory(code, by) ? 'memory' : 'lost')));
    child.once('error', reject);
    signal?.addEventListener('abort', onAbort);
    child.send(order, (error) => error && reject(new TaskEnded('lost')));
  });
  return running.finally(() => {
    watched?.stop();
    signal?.removeEventListener('abort', onAbort);
  });
}

/**
 * Has a task done by a process of its own.
 * @throws TaskEnded when it does not come to its end; Problem where the input is to blame
 */
export async function inChild<K extends TaskKind>(
  kind: K,
  input: TaskInput<K>,
  terms: Terms,
): Promise<TaskResult<K>> {
  if (terms.signal?.aborted) throw new TaskEnded('called off');
  const child = await taken();
  let isLow = false;
  const long = setTimeout(() => (isLow = letOthersFirst(child)), DRAWING.longMs);
  let report: EndReport;
  try {
    report = await carriedOut(child, { kind, input, store: storeFolder() }, terms);
  } catch (error) {
    child.removeAllListeners();
    child.on('error', () => {});
    child.kill('SIGKILL');
    throw error;
  } finally {
    clearTimeout(long);
  }
  // What was put behind the others cannot be put in front of them again.
  if (isLow || (report.type === 'done' && report.rss > DRAWING.keptBytes)) child.kill('SIGKILL');
  else putAside(child);
  return ended(report) as TaskResult<K>;
}

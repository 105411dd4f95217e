import { EventEmitter } from 'node:events';
import { supervise } from '../../scripts/supervise.mjs';

/** A process that does nothing, with a clock of its own. */
function tried() {
  let now = 0;
  const started: EventEmitter[] = [];
  const said: string[] = [];
  const ends: number[] = [];
  const waiting: { run: () => void; ms: number }[] = [];
  const kills: string[] = [];
  const serving = supervise({
    launch: () => {
      const child = Object.assign(new EventEmitter(), { kill: (signal: string) => kills.push(signal) });
      started.push(child);
      return child;
    },
    say: (words: string) => said.push(words),
    onEnd: (code: number) => ends.push(code),
    now: () => now,
    wait: (run: () => void, ms: number) => waiting.push({ run, ms }),
  });
  const end = (code: number | null, signal: string | null = null) =>
    started.at(-1)!.emit('exit', code, signal);
  const pass = (ms: number) => (now += ms);
  return { serving, started, said, ends, waiting, kills, end, pass };
}

it('is started again when it ends, after pauses that grow, and says so', () => {
  const { serving, started, said, waiting, end } = tried();
  serving.isReady();
  for (const seconds of [1, 2, 4, 8, 16, 30, 30]) {
    end(null, 'SIGKILL');
    expect(said.at(-1)).toMatch(`ended by SIGKILL. It is started again in ${seconds} s`);
    expect(waiting.at(-1)!.ms).toBe(seconds * 1000);
    waiting.at(-1)!.run();
  }
  expect(started).toHaveLength(8);
});

it('begins with a short pause again once it has gone on for a while', () => {
  const { serving, waiting, end, pass } = tried();
  serving.isReady();
  end(1);
  waiting.at(-1)!.run();
  pass(61_000);
  end(1);
  expect(waiting.at(-1)!.ms).toBe(1000);
});

it('is not started again when it never was ready, or was stopped', () => {
  const never = tried();
  never.end(1);
  expect([never.ends, never.waiting]).toEqual([[1], []]);
  const stopped = tried();
  stopped.serving.isReady();
  stopped.serving.stop('SIGTERM');
  expect(stopped.kills).toEqual(['SIGTERM']);
  stopped.end(0);
  expect([stopped.ends, stopped.waiting]).toEqual([[0], []]);
});

it('does not come back when it is stopped in a pause', () => {
  const { serving, started, ends, waiting, end } = tried();
  serving.isReady();
  end(1);
  serving.stop('SIGTERM');
  waiting.at(-1)!.run();
  expect(started).toHaveLength(1);
  expect(ends[0]).toBe(0);
});

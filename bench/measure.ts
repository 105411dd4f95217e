import { cpus } from 'node:os';

const RUNS = 5;

/** Median of five runs of `work`, in ms, after one that warms up. */
export function medianMs(work: () => void): number {
  work();
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
}

const machine = { cpu: cpus()[0]?.model ?? 'unknown', cores: cpus().length, node: process.version };

/** One line of JSON for each figure, with the machine it was taken on. */
export const report = (name: string, unit: string, value: number, more: Record<string, unknown> = {}) =>
  console.log(JSON.stringify({ name, unit, value: Number(value.toPrecision(4)), ...more, machine }));

import { cpus } from 'node:os';

const RUNS = 5;

/** The middle of an odd number of values. */
export const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Runs before those that count, after which the machine code is as fast as it gets. */
const WARM_UPS = 20;

/** Median of five runs of `work`, in ms, after those that warm up. */
export function medianMs(work: () => void): number {
  for (let i = 0; i < WARM_UPS; i++) work();
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return median(times);
}

const machine = { cpu: cpus()[0]?.model ?? 'unknown', cores: cpus().length, node: process.version };

/** One line of JSON for each figure, with the machine it was taken on. */
export const report = (name: string, unit: string, value: number, more: Record<string, unknown> = {}) =>
  console.log(JSON.stringify({ name, unit, value: Number(value.toPrecision(4)), ...more, machine }));

import { expect } from '@playwright/test';
import { faults } from '../harness/faults';
import { fuzz } from '../harness/fuzz';
import { kill } from '../harness/kill';
import { load } from '../harness/load';
import { say, type Seen } from '../harness/report';
import { test } from './test';

/** A tenth of what the harness throws at the server when it is run by itself. */
const SEED = 7;
const RUNS: [string, () => Promise<Seen[]>][] = [
  ['it is killed', () => kill(SEED, 2)],
  ['inputs are wrong', () => fuzz(SEED, 150)],
  ['something is wrong with the store', () => faults()],
  ['fifty people work at the same time', () => load(SEED, 4)],
];

for (const [when, run] of RUNS)
  test(`what is promised of the server is kept when ${when}`, async () => {
    test.setTimeout(400_000);
    const seen = await run();
    expect(seen.length).toBeGreaterThan(0);
    expect(seen.filter((s) => !s.kept).map(say)).toEqual([]);
  });

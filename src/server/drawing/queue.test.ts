import fc from 'fast-check';
import { DRAWING } from './limits';
import { FairQueue, inTurn } from './queue';

interface Named {
  project: string;
  cost: number;
  name: string;
}

/** The order in which a queue gives its work away. */
async function order(turns: Named[]): Promise<string[]> {
  const queue = new FairQueue();
  for (const t of turns) queue.enqueue(() => Promise.resolve(t.name), t);
  const names = [];
  for (let work = queue.dequeue(); work; work = queue.dequeue()) names.push(String(await work()));
  return names;
}

describe('whose turn it is', () => {
  it('goes round among projects, however many tasks one of them has', async () => {
    const many = ['a1', 'a2', 'a3', 'a4'].map((name) => ({ project: 'a', cost: 0, name }));
    expect(await order([...many, { project: 'b', cost: 0, name: 'b1' }])).toEqual([
      'a1',
      'b1',
      'a2',
      'a3',
      'a4',
    ]);
  });

  it('is that of a small task first within a project, but a large one has its turn as well', async () => {
    const small = Array.from({ length: 30 }, (_, i) => ({ project: 'a', cost: 0, name: `s${i}` }));
    const names = await order([{ project: 'a', cost: 10e6, name: 'large' }, ...small]);
    expect(names[0]).toBe('s0');
    expect(names.indexOf('large')).toBe(9);
  });

  it('comes for everybody, once', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({ project: fc.constantFrom('a', 'b', 'c'), cost: fc.integer({ min: 0, max: 1e9 }) }),
        ),
        async (turns) => {
          const named = turns.map((t, i) => ({ ...t, name: `${i}` }));
          const names = await order(named);
          expect(names.toSorted()).toEqual(named.map((t) => t.name).toSorted());
        },
      ),
    ));
});

/** Work that goes on until it is let go. */
function held() {
  let letGo = () => {};
  const until = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  return { letGo, work: () => until };
}

it('lets a small task through while large ones are at work', async () => {
  const large = [held(), held()];
  const cost = DRAWING.large + 1;
  const running = large.map((h) => inTurn({ project: 'a', cost }, h.work));
  expect(await inTurn({ project: 'a', cost: 1 }, () => Promise.resolve('drawn'))).toBe('drawn');
  for (const h of large) h.letGo();
  await Promise.all(running);
});

it('does a short task beside others that keep it waiting, and no two of these', async () => {
  const slow = [held(), held()];
  const cost = DRAWING.short + 1;
  const running = slow.map((h) => inTurn({ project: 'a', cost }, h.work));
  const first = held();
  const short = inTurn({ project: 'a', cost: 1 }, first.work);
  let isDone = false;
  const next = inTurn({ project: 'b', cost: 1 }, () => Promise.resolve((isDone = true)));
  await new Promise((resolve) => setTimeout(resolve, DRAWING.shortWaitMs + 100));
  expect(isDone).toBe(false);
  first.letGo();
  await Promise.all([short, next]);
  expect(isDone).toBe(true);
  for (const h of slow) h.letGo();
  await Promise.all(running);
});

it('refuses what comes when too many wait, saying when to come again', async () => {
  const slow = held();
  const waiting = Array.from({ length: DRAWING.mostWaiting + DRAWING.atOnce }, () =>
    inTurn({ project: 'a', cost: DRAWING.short + 1 }, slow.work),
  );
  await expect(inTurn({ project: 'b', cost: 1 }, slow.work)).rejects.toMatchObject({
    status: 503,
    more: { retryAfter: 5 },
  });
  slow.letGo();
  await Promise.all(waiting);
});

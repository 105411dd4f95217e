import { createQueue, type Batch, type Waiting } from './queue';

const batch = (asks = false): Batch => ({ asks, taken: [] });
const waiting = (id: string, of: Batch): Waiting => ({
  path: id,
  file: null as unknown as File,
  batch: of,
  abort: new AbortController(),
  item: { id, name: id, state: 'waiting', share: 0 },
});

describe('files on their way', () => {
  it('go one after another, also those that come meanwhile, and each batch ends once', async () => {
    const order: string[] = [];
    const ended: Batch[] = [];
    const [first, second] = [batch(), batch()];
    let more = () => {};
    const queue = createQueue({
      importOne: async ({ item }) => {
        order.push(`${item.id} begins`);
        if (item.id === 'a') more();
        await Promise.resolve();
        order.push(`${item.id} ends`);
      },
      onFault: () => {},
      onBatch: (b) => ended.push(b),
    });
    more = () => void queue.add([waiting('c', second)]);
    await queue.add([waiting('a', first), waiting('b', first)]);
    expect(order).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
    expect(ended).toEqual([first, second]);
  });

  it('are called off one by one or all', async () => {
    const seen: Record<string, boolean> = {};
    const all = batch();
    const list = ['a', 'b', 'c'].map((id) => waiting(id, all));
    const queue = createQueue({
      importOne: ({ item, abort }) => {
        if (item.id === 'a') queue.cancel('b');
        if (item.id === 'b') queue.cancel();
        seen[item.id] = abort.signal.aborted;
        return Promise.resolve();
      },
      onFault: () => {},
      onBatch: () => {},
    });
    await queue.add(list);
    expect(seen).toEqual({ a: false, b: true, c: true });
  });

  it('go on after something unforeseen, which is told', async () => {
    const seen: string[] = [];
    const faults: string[] = [];
    let ended = 0;
    const all = batch();
    const queue = createQueue({
      importOne: ({ item }) => {
        seen.push(item.id);
        return item.id === 'a' ? Promise.reject(new Error('unforeseen')) : Promise.resolve();
      },
      onFault: ({ item }, error) => faults.push(`${item.id}: ${String(error)}`),
      onBatch: () => ended++,
    });
    await queue.add([waiting('a', all), waiting('b', all)]);
    expect(seen).toEqual(['a', 'b']);
    expect(faults).toEqual(['a: Error: unforeseen']);
    expect(ended).toBe(1);
  });
});

import { createSender } from './useSending';

/** A piece of work that ends when it is told to. */
function held() {
  let end: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => (end = resolve));
  return { end, ended };
}

describe('what is sent while something else is being sent', () => {
  it('waits, and is sent after it', async () => {
    const said: (string | null)[] = [];
    const sender = createSender((reading) => said.push(reading && reading.name));
    const first = held();
    const done: string[] = [];
    const all = sender.send({
      name: 'first',
      work: () => first.ended.then(() => void done.push('first')),
      onProblem: () => undefined,
    });
    void sender.send({
      name: 'second',
      work: () => Promise.resolve(void done.push('second')),
      onProblem: () => undefined,
    });
    expect(done).toEqual([]);
    first.end();
    await all;
    expect(done).toEqual(['first', 'second']);
    expect(said).toEqual(['first', null, 'second', null]);
  });

  it('is sent also where the one before it failed or was cancelled, and only a failure is said', async () => {
    const sender = createSender(() => undefined);
    const problems: string[] = [];
    const done: string[] = [];
    const onProblem = (message: string) => void problems.push(message);
    const cancelled = sender.send({
      name: 'cancelled',
      work: ({ signal }) =>
        new Promise((_, reject) => signal.addEventListener('abort', () => reject(new Error('called off')))),
      onProblem,
    });
    void sender.send({ name: 'failing', work: () => Promise.reject(new Error('no room')), onProblem });
    void sender.send({ name: 'last', work: () => Promise.resolve(void done.push('last')), onProblem });
    sender.cancel();
    await cancelled;
    expect(done).toEqual(['last']);
    expect(problems).toHaveLength(1);
  });
});

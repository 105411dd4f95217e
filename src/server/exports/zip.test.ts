import { buffer } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { zipOf, type Entry } from './zip';

const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Files that are made slowly: how many are being made, have been made, and have been let go of. */
function slowFiles(count: number, failing = -1) {
  const so = { making: 0, most: 0, made: 0, destroyed: 0 };
  const entries = Array.from({ length: count }, (_, i): Entry => ({
    path: `${i}.bin`,
    pack: false,
    content: async () => {
      so.most = Math.max(so.most, ++so.making);
      await after(5);
      so.making--;
      so.made++;
      if (i === failing) throw new Error(`${i} cannot be made`);
      const stream = Readable.from([Buffer.alloc(64 * 1024, i)]);
      stream.on('close', () => so.destroyed++);
      return stream;
    },
  }));
  return { so, entries };
}

describe('a ZIP', () => {
  it('has one file made while another is, and never a third', async () => {
    const { so, entries } = slowFiles(10);
    const done: number[] = [];
    await buffer(zipOf(entries, (n) => done.push(n)));
    expect(so).toMatchObject({ making: 0, most: 2, made: 10, destroyed: 10 });
    expect(done).toEqual(Array.from({ length: 10 }, (_, i) => i + 1));
  });

  it('is the same whatever takes how long, with texts between', async () => {
    const text: Entry = { path: 'a.json', content: Buffer.from('{}'), pack: true };
    const of = () => buffer(zipOf([text, ...slowFiles(4).entries, { ...text, path: 'b.json' }]));
    expect((await of()).equals(await of())).toBe(true);
  });

  it('ends with the fault of a file, and lets go of what was begun beyond it', async () => {
    const { so, entries } = slowFiles(6, 2);
    await expect(buffer(zipOf(entries))).rejects.toThrow('2 cannot be made');
    await after(40);
    expect(so.making).toBe(0);
    expect(so.made).toBeLessThan(6);
    expect(so.destroyed).toBe(so.made - 1);
  });

  it('that nobody reads on lets go of everything', async () => {
    const { so, entries } = slowFiles(6);
    const zip = zipOf(entries);
    await new Promise((resolve) => zip.once('data', resolve));
    zip.destroy();
    await after(60);
    expect(so.made).toBeLessThan(6);
    expect(so.destroyed).toBe(so.made);
  });
});

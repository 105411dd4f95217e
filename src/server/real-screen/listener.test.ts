import { request } from 'node:http';
import type { Reading } from '@/core/screens/measured';
import type { Shown } from '@/formats/real-screen/shown';
import { listen, type Listener } from './listener';
import { OPEN_MS, Visits } from './visits';

const HASH = 'a'.repeat(64);
const OTHER = 'b'.repeat(64);
const reading: Reading = {
  rotation: 0,
  screen: { width: 400, height: 800 },
  window: { width: 400, height: 800 },
  windowPx: { width: 800, height: 1600 },
  density: 2,
  insets: { top: 24, right: 0, bottom: 0, left: 0 },
};
const shown = (name: string, hash = HASH): Shown => ({
  name,
  files: [{ hash, widthPx: 10, heightPx: 10 }],
  pictures: [{ ms: 0, drawing: { size: { width: 800, height: 1600 }, commands: [] } }],
});

let now = 0;
let visits: Visits;
let listener: Listener;
let pauses: number[];
const previews: string[] = [];

beforeEach(async () => {
  now = 1000;
  pauses = [];
  previews.length = 0;
  visits = new Visits(() => now);
  listener = await listen(
    visits,
    {
      script: () => 'const end = "</script>";',
      preview: (hash, width) => {
        previews.push(`${hash}@${width}`);
        return Promise.resolve(Buffer.from('a preview'));
      },
    },
    {
      host: '127.0.0.1',
      port: 0,
      wait: (ms) => {
        pauses.push(ms);
        return Promise.resolve();
      },
    },
  );
});
afterEach(() => listener.close());

interface Answer {
  status: number;
  text: string;
  cookie: string | undefined;
}

/** Asks as any program could, also with a foreign name of the host. */
const ask = (
  method: string,
  path: string,
  { body, ...headers }: Record<string, string> = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const [host, port] = listener.own.split(':');
    const asked = request({ host, port, method, path, headers }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => (text += chunk.toString()));
      response.on('end', () =>
        resolve({
          status: response.statusCode!,
          text,
          cookie: response.headers['set-cookie']?.[0]?.split(';')[0],
        }),
      );
    });
    asked.on('error', reject);
    asked.end(body);
  });

const come = async (address = visits.newAddress()) => {
  const { cookie } = await ask('POST', `/${address}/come`);
  return { address, cookie: cookie! };
};

describe('the port of real screens', () => {
  it('lets one screen in by an address, which is dead for every other from then on', async () => {
    const address = visits.newAddress();
    const page = await ask('GET', `/${address}`);
    expect(page.status).toBe(200);
    expect(page.text).toContain(`data-address="${address}"`);
    // What stands in the script ends no element of the page.
    expect(page.text.match(/<\/script>/g)).toHaveLength(1);
    const { cookie } = await come(address);
    expect((await ask('GET', `/${address}`)).status).toBe(404);
    expect((await ask('POST', `/${address}/come`)).status).toBe(404);
    // The screen itself may load the page again.
    expect((await ask('GET', `/${address}`, { cookie })).status).toBe(200);
    expect((await ask('POST', `/${address}/come`, { cookie })).status).toBe(204);
    expect(visits.said()).toHaveLength(1);
  });

  it('is dead after ten minutes, for whoever has come as well', async () => {
    const address = visits.newAddress();
    const { address: used, cookie } = await come(address);
    const second = visits.newAddress();
    now += OPEN_MS - 1;
    expect((await ask('GET', `/${second}`)).status).toBe(200);
    now += 1;
    expect((await ask('GET', `/${second}`)).status).toBe(404);
    expect((await ask('POST', `/${second}/come`)).status).toBe(404);
    expect((await ask('GET', `/${used}`, { cookie })).status).toBe(404);
  });

  it('answers 404 to everything else, more slowly the more is tried', async () => {
    const address = visits.newAddress();
    const paths = [
      '/',
      '/projects',
      '/api/v1/health',
      '/api/v1/projects',
      '/_next/static/x.js',
      '/favicon.ico',
    ];
    for (const path of paths) expect((await ask('GET', path)).status).toBe(404);
    for (const method of ['PUT', 'DELETE', 'POST', 'PATCH', 'OPTIONS'])
      expect((await ask(method, `/${address}`)).status).toBe(404);
    const { cookie } = await come(address);
    for (const path of ['/shown/more', '/reading', `/files/${OTHER}/64`, '/files/../../etc', '/here'])
      expect((await ask('GET', `/${address}${path}`, { cookie })).status).toBe(404);
    expect(pauses.length).toBeGreaterThan(5);
    expect(pauses).toEqual(pauses.toSorted((a, b) => a - b));
    expect(pauses[1]).toBe(2 * pauses[0]!);
  });

  it('gives nothing to 200 guesses', async () => {
    const address = visits.newAddress();
    const guesses = Array.from(
      { length: 200 },
      (_, i) => `/${address.slice(0, -3)}${String(i).padStart(3, '0')}`,
    );
    for (const path of guesses) expect((await ask('GET', path)).status).toBe(404);
    expect(pauses).toHaveLength(195);
    expect(Math.max(...pauses)).toBe(5000);
    expect(visits.said()).toEqual([]);
    expect((await ask('GET', `/${address}`)).status).toBe(200);
  });

  it('answers under its own address alone, and takes nothing from pages of others', async () => {
    const address = visits.newAddress();
    expect((await ask('GET', `/${address}`, { host: 'other.example' })).status).toBe(404);
    expect((await ask('POST', `/${address}/come`, { origin: 'http://other.example' })).status).toBe(404);
    expect((await ask('POST', `/${address}/come`, { origin: `http://${listener.own}` })).status).toBe(204);
  });

  it('is no way in with the key of another screen', async () => {
    const one = await come();
    const other = await come();
    expect((await ask('GET', `/${one.address}`, { cookie: other.cookie })).status).toBe(404);
    expect(visits.said()).toHaveLength(2);
  });

  it('lets no more in than four', async () => {
    for (let i = 0; i < 4; i++) await come();
    const address = visits.newAddress();
    expect((await ask('POST', `/${address}/come`)).status).toBe(404);
    expect(visits.isFull).toBe(true);
  });

  it('lets another in for one that has been away for a minute, and keeps those that are there', async () => {
    const stays = await come();
    void ask('GET', `/${stays.address}/shown`, { cookie: stays.cookie });
    while (!visits.said()[0]!.connected) await new Promise((r) => setImmediate(r));
    const goes = await come();
    for (let i = 0; i < 2; i++) await come();
    now += 59_000;
    expect(visits.isFull).toBe(true);
    now += 1000;
    expect(visits.isFull).toBe(false);
    await come();
    expect(visits.said()).toHaveLength(4);
    expect((await ask('GET', `/${stays.address}`, { cookie: stays.cookie })).status).toBe(200);
    expect((await ask('GET', `/${goes.address}`, { cookie: goes.cookie })).status).toBe(404);
  });

  it('takes what was read, and nothing that is none', async () => {
    const { address, cookie } = await come();
    const path = `/${address}/reading`;
    expect((await ask('POST', path, { cookie, body: JSON.stringify(reading) })).status).toBe(204);
    const said = JSON.stringify(visits.said());
    for (const body of ['', 'no', '{}', JSON.stringify({ ...reading, density: -1 }), 'x'.repeat(20_000)])
      expect((await ask('POST', path, { cookie, body })).status).toBe(422);
    expect((await ask('POST', path, { body: JSON.stringify(reading) })).status).toBe(404);
    expect(JSON.stringify(visits.said())).toBe(said);
    expect(visits.said()[0]).toMatchObject({ readings: [reading], now: reading, connected: false });
  });

  it('sends what is shown, gives the files of that alone, and says when it ends', async () => {
    const { address, cookie } = await come();
    const { id } = visits.said()[0]!;
    const visit = visits.visit(id)!;
    visit.show(shown('Splash'));
    const followed = ask('GET', `/${address}/shown`, { cookie });
    const file = (hash: string) => ask('GET', `/${address}/files/${hash}/64`, { cookie });
    expect(await file(HASH)).toMatchObject({ status: 200, text: 'a preview' });
    expect((await file(OTHER)).status).toBe(404);
    while (!visits.said()[0]!.connected) await new Promise((r) => setImmediate(r));
    visit.show(shown('Later', OTHER));
    // What was shown just before may still be on its way.
    expect((await file(HASH)).status).toBe(200);
    visit.show(shown('Latest', OTHER));
    expect((await file(HASH)).status).toBe(404);
    expect(visits.sendAway(id)).toBe(true);
    const { text } = await followed;
    const names = [...text.matchAll(/^data: (\{.*\})$/gm)].map(
      ([, json]) => (JSON.parse(json!) as Shown).name,
    );
    expect(names).toEqual(['Splash', 'Later', 'Latest']);
    expect(text).toMatch(/event: end\ndata: \n\n$/);
    expect((await ask('GET', `/${address}`, { cookie })).status).toBe(404);
    expect(previews).toEqual([`${HASH}@64`, `${HASH}@64`]);
  });

  it('ends everything when it is closed', async () => {
    const { address, cookie } = await come();
    const followed = ask('GET', `/${address}/shown`, { cookie });
    while (!visits.said()[0]!.connected) await new Promise((r) => setImmediate(r));
    visits.close();
    expect((await followed).text).toContain('event: end');
    expect(visits.said()).toEqual([]);
    expect((await ask('GET', `/${address}`, { cookie })).status).toBe(404);
  });
});

import { once } from 'node:events';
import { createServer, type AddressInfo } from 'node:net';
import { filesOf } from '@/core/project/documents';
import { RealScreens } from '@/formats/real-screen/shown';
import { createProject, loadProject } from '../services/projects';
import { narrowedDemo } from '../testing/narrowed';
import { ownStore } from '../testing/store';
import { networks } from './networks';
import { letRealScreenIn, realScreens, sendAway, showThere, switchOff } from './real-screens';

ownStore('the demo');
const P = 'larkmoor-ferries';
const OTHER = 'another';
const NONE = 'c'.repeat(64);

beforeAll(async () => {
  process.env.SCREEN_HOST = '127.0.0.1';
  narrowedDemo();
  const { documents } = loadProject(P);
  createProject({ ...documents, project: { ...documents.project, id: OTHER, name: 'Another' } });
});
afterEach(() => {
  switchOff(P);
  switchOff(OTHER);
});

const on = (screens: RealScreens) => (screens.on ? screens : fail(screens));
const fail = (screens: RealScreens): never => {
  throw new Error(`It is off: ${JSON.stringify(screens)}`);
};

/** Comes by an address as a browser would. @returns the id that the desk knows it by */
async function come(address: string): Promise<string> {
  expect((await fetch(`${address}/come`, { method: 'POST' })).status).toBe(204);
  return on(realScreens(P)).visitors.at(-1)!.id;
}

const shown = (hash: string) => ({
  name: 'Splash',
  files: [{ hash, widthPx: 10, heightPx: 10 }],
  pictures: [{ ms: 0, drawing: { size: { width: 1, height: 1 }, commands: [] } }],
});

describe('real screens', () => {
  it('are let in by nobody until somebody switches that on, and by no address once it is off', async () => {
    expect(realScreens(P)).toEqual({ on: false, networks: ['127.0.0.1'] });
    const { address, until } = on(await letRealScreenIn(P));
    expect(Date.parse(until) - Date.now()).toBeGreaterThan(9 * 60_000);
    expect(Date.parse(until) - Date.now()).toBeLessThanOrEqual(10 * 60_000);
    await come(address!);
    expect(on(realScreens(P)).address).toBeNull();
    switchOff(P);
    expect(realScreens(P).on).toBe(false);
    await expect(fetch(address!)).rejects.toThrow();
  });

  it('get a new address beside those that are there, and none of the old one', async () => {
    const first = on(await letRealScreenIn(P)).address!;
    const id = await come(on(await letRealScreenIn(P)).address!);
    expect((await fetch(first)).status).toBe(404);
    const { visitors, address } = on(await letRealScreenIn(P));
    expect(visitors.map((v) => v.id)).toEqual([id]);
    expect(new URL(address!).origin).toBe(new URL(first).origin);
    sendAway(P, id);
    expect(on(realScreens(P)).visitors).toEqual([]);
    expect(() => sendAway(P, id)).toThrow(/not there any more/);
  });

  it('are of one project at a time', async () => {
    const { address } = on(await letRealScreenIn(P));
    await letRealScreenIn(OTHER);
    expect(realScreens(P).on).toBe(false);
    await expect(fetch(address!)).rejects.toThrow();
    switchOff(P);
    expect(realScreens(OTHER).on).toBe(true);
  });

  it('are shown files of the project, and of no other', async () => {
    const id = await come(on(await letRealScreenIn(P)).address!);
    const [hash] = filesOf(loadProject(P).documents.project.pictures);
    expect(() => showThere(P, id, shown(hash!))).not.toThrow();
    // A second time nothing is looked up for it; what is strange still is.
    expect(() => showThere(P, id, shown(hash!))).not.toThrow();
    expect(() => showThere(P, id, shown(NONE))).toThrow(/not here/);
    expect(() => showThere(P, id, shown(NONE))).toThrow(/not here/);
    expect(() => showThere(OTHER, id, shown(hash!))).toThrow(/not there any more/);
    expect(() => showThere(P, 'nobody', shown(hash!))).toThrow(/not there any more/);
  });

  it('come in a network of this machine, on a port that is free', async () => {
    await expect(letRealScreenIn(P, '203.0.113.9')).rejects.toThrow(/no address 203\.0\.113\.9/);
    const taken = createServer().listen(0, '127.0.0.1');
    await once(taken, 'listening');
    process.env.SCREEN_PORT = String((taken.address() as AddressInfo).port);
    try {
      await expect(letRealScreenIn(P)).rejects.toThrow(/No port could be opened/);
    } finally {
      delete process.env.SCREEN_PORT;
      taken.close();
    }
    await expect(letRealScreenIn('nothing')).rejects.toThrow(/not here/);
  });

  it('are offered the addresses of this machine that others reach', () => {
    delete process.env.SCREEN_HOST;
    try {
      for (const address of networks()) expect(address).toMatch(/^(?!127\.|169\.254\.)\d+\.\d+\.\d+\.\d+$/);
    } finally {
      process.env.SCREEN_HOST = '127.0.0.1';
    }
  });
});

import type { Change } from '../src/core/patch/change';
import type { Operation } from '../src/core/patch/patch';
import { screensOf } from '../src/server/catalogue';
import { copyDemo, read, save } from './client';
import { isFine, meanwhile, sayMeanwhile } from './meanwhile';
import { quantile, seen, type Seen } from './report';
import { withServer, type Served } from './server';

const SCENES = 490;
const SCREENS = 2000;
const CHANGES = 20;

/** Saves a change that has to be taken. @throws Error with what the server says of it */
async function saved(address: string, at: { id: string; revision: number }, change: Change): Promise<void> {
  const { status, said } = await save(address, at, change);
  if (status !== 200) throw new Error(said);
}

/** Operations of one step: each is undone by the one at the same place from the end. */
async function step(address: string, id: string, patch: Operation[], inverse: Operation[]): Promise<void> {
  const { revision } = await read(address, id);
  const change = { id: crypto.randomUUID(), patch, inverse: inverse.toReversed() };
  await saved(address, { id, revision }, change);
}

/** Adds copies of its first scene to a project. */
async function addScenes(address: string, id: string): Promise<void> {
  for (let from = 0; from < SCENES; from += 70) {
    const { documents } = await read(address, id);
    const scene = documents.scenes[documents.project.scenes[0]!]!;
    const count = documents.project.scenes.length;
    const ids = Array.from({ length: Math.min(70, SCENES - from) }, (_, i) => `more-${from + i}`);
    await step(
      address,
      id,
      ids.flatMap((of): Operation[] => [
        { op: 'add', path: `/scenes/${of}`, value: { ...scene, id: of, name: `Scene ${of}` } },
        { op: 'add', path: '/project/scenes/-', value: of },
      ]),
      ids.flatMap((of, i): Operation[] => [
        { op: 'remove', path: `/scenes/${of}` },
        { op: 'remove', path: `/project/scenes/${count + i}` },
      ]),
    );
  }
}

/** Adds screens of its own to a project, each a little larger than the one before. */
async function addScreens(address: string, id: string): Promise<void> {
  const { documents } = await read(address, id);
  const like = screensOf(documents.project).find((s) => s.kind === 'phone')!;
  const count = documents.project.screens.length;
  const list = Array.from({ length: SCREENS }, (_, i) => {
    const px = { width: like.framebufferPx.width + i, height: like.framebufferPx.height + i };
    const size = { width: Math.round(px.width / like.density), height: Math.round(px.height / like.density) };
    return { ...like, id: `own-${i}`, label: `Screen ${i}`, ...size, framebufferPx: px, panelPx: px };
  });
  await step(
    address,
    id,
    list.map((value) => ({ op: 'add', path: '/project/screens/-', value })),
    list.map((_, i) => ({ op: 'remove', path: `/project/screens/${count + i}` })),
  );
}

/** Changes a margin over and over. @returns how long each took, ms */
async function margins({ address }: Served, id: string): Promise<number[]> {
  const stored = await read(address, id);
  const { documents } = stored;
  const scene = documents.project.scenes[0]!;
  const { left } = documents.scenes[scene]!.margin;
  const path = `/scenes/${scene}/margin/left`;
  const valueOf = (n: number) => (n === 0 ? left : { value: n, unit: 'lu' });
  let { revision } = stored;
  const took: number[] = [];
  for (let n = 1; n <= CHANGES; n++) {
    const change: Change = {
      id: crypto.randomUUID(),
      patch: [{ op: 'replace', path, value: valueOf(n) }],
      inverse: [{ op: 'replace', path, value: valueOf(n - 1) }],
    };
    const asked = performance.now();
    await saved(address, { id, revision }, change);
    took.push(performance.now() - asked);
    revision++;
  }
  return took;
}

const project = (what: string, grow: (address: string, id: string) => Promise<void>) =>
  withServer(async (served) => {
    const id = await copyDemo(served.address);
    await grow(served.address, id);
    let took: number[] = [];
    const during = await meanwhile(served, async () => {
      took = await margins(served, id);
    });
    const said = `p50 ${Math.round(quantile(took, 0.5))} ms, worst ${Math.round(Math.max(...took))} ms`;
    return seen(
      `a margin is changed in a project of ${what}`,
      isFine(during),
      `${said}; ${sayMeanwhile(during)}`,
    );
  });

/** Projects that are as large as they may become. */
export const big = async (): Promise<Seen[]> => [
  await project(`${SCENES} more scenes`, addScenes),
  await project(`${SCREENS} screens of its own`, addScreens),
];

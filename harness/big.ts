import type { Operation } from '../src/core/patch/patch';
import { screensOf } from '../src/server/catalogue';
import { ask, copyDemo, read } from './client';
import { isFine, meanwhile, sayMeanwhile } from './meanwhile';
import { quantile, seen, type Seen } from './report';
import { withServer, type Served } from './server';

const SCENES = 490;
const SCREENS = 2000;
const CHANGES = 20;

/** Operations of one step: each is undone by the one at the same place from the end. */
async function step(address: string, id: string, patch: Operation[], inverse: Operation[]): Promise<number> {
  const { revision } = await read(address, id);
  const change = { id: crypto.randomUUID(), patch, inverse: inverse.toReversed() };
  const headers = { 'if-match': `"${revision}"` };
  const answer = await ask(address, 'PATCH', `/api/v1/projects/${id}`, change, headers);
  if (!answer.ok) throw new Error(await answer.text());
  await answer.arrayBuffer();
  return answer.status;
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
  const { documents } = await read(address, id);
  const scene = documents.project.scenes[0]!;
  const { left } = documents.scenes[scene]!.margin;
  const path = `/scenes/${scene}/margin/left`;
  const valueOf = (n: number) => (n === 0 ? left : { value: n, unit: 'lu' });
  let { revision } = await read(address, id);
  const took: number[] = [];
  for (let n = 1; n <= CHANGES; n++) {
    const change = {
      id: crypto.randomUUID(),
      patch: [{ op: 'replace', path, value: valueOf(n) }],
      inverse: [{ op: 'replace', path, value: valueOf(n - 1) }],
    };
    const asked = performance.now();
    const answer = await ask(address, 'PATCH', `/api/v1/projects/${id}`, change, {
      'if-match': `"${revision}"`,
    });
    if (!answer.ok) throw new Error(await answer.text());
    await answer.arrayBuffer();
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

import { and, eq } from 'drizzle-orm';
import { changeBetween } from '@/core/patch/change';
import { SCHEMA_VERSION } from '@/core/project/project';
import { DEMO_PROJECT, demoDocuments } from '../../../demo/documents';
import { getDb } from '../db/client';
import { documents as rows, history, projects } from '../db/schema';
import { storeFolder } from '../settings';
import { fillScreen } from '@/core/placing/presets';
import type { Layer } from '@/core/scene/scene';
import { ownStore } from '../testing/store';
import { createProject, loadProject } from './projects';
import { documentsAt, listRevisions } from './revisions';
import { saveChange } from './save';
import { upgradeProjects } from './upgrade';

ownStore();

const noFiles = demoDocuments(() => []);
/** Without pictures, so that no file has to be kept. */
const documents = {
  project: { ...noFiles.project, pictures: [], launches: [], scenes: ['sign-in'] },
  scenes: {
    'sign-in': {
      ...noFiles.scenes['sign-in']!,
      layers: noFiles.scenes['sign-in']!.layers.flatMap((l): Layer[] => {
        if (l.kind === 'ground') return [l];
        return l.kind === 'panel' ? [{ ...l, placing: fillScreen() }] : [];
      }),
    },
  },
};

/** Writes a row as an older version of the product left it. */
function rewrite(kind: 'project' | 'scene', change: (body: string) => string): void {
  const at = and(eq(rows.projectId, DEMO_PROJECT), eq(rows.kind, kind));
  const { body } = getDb().select().from(rows).where(at).get()!;
  getDb()
    .update(rows)
    .set({ body: change(body) })
    .where(at)
    .run();
}

it('documents of an older version are brought up to date at the start, as a step of their history', async () => {
  createProject(documents);
  const changed = structuredClone(documents);
  changed.project.name = 'Renamed';
  saveChange(DEMO_PROJECT, 1, changeBetween('change-1', documents, changed)!);
  rewrite('project', (body) => body.replace(`"schema":${SCHEMA_VERSION}`, '"schema":1'));
  // A shape beside two given extents, which version 1 allowed.
  const length =
    '{"kind":"middle","region":"safe","shift":{"value":0,"unit":"lu"},"extent":{"kind":"length","length":{"value":40,"unit":"lu"}}}';
  rewrite('scene', (body) => {
    const scene = JSON.parse(body) as { layers: { kind: string; placing?: unknown }[] };
    const panel = scene.layers.find((l) => l.kind === 'panel')!;
    panel.placing = {
      x: JSON.parse(length) as unknown,
      y: JSON.parse(length) as unknown,
      ratio: { value: 2, strict: true },
    };
    return JSON.stringify(scene);
  });

  expect(await upgradeProjects(storeFolder())).toEqual([]);
  const { revision, documents: now } = loadProject(DEMO_PROJECT);
  expect(revision).toBe(3);
  expect(now.project).toMatchObject({ schema: SCHEMA_VERSION, name: 'Renamed' });
  const panel = now.scenes['sign-in']!.layers.find((l) => l.kind === 'panel');
  expect(panel?.kind === 'panel' && panel.placing).toEqual({
    x: JSON.parse(length) as unknown,
    y: JSON.parse(length) as unknown,
  });
  // Further back everything is read as well, and saving goes on.
  expect(documentsAt(DEMO_PROJECT, 1).project.name).toBe('Larkmoor Ferries');
  const next = structuredClone(now);
  next.project.name = 'Again';
  expect(saveChange(DEMO_PROJECT, 3, changeBetween('change-2', now, next)!)).toEqual({ revision: 4 });
  expect(await upgradeProjects(storeFolder())).toEqual([]);
  expect(loadProject(DEMO_PROJECT).revision).toBe(4);
});

it('what cannot be read is named and left as it is', async () => {
  rewrite('project', () => '{"schema":"none"}');
  const [problem] = await upgradeProjects(storeFolder());
  expect(problem).toMatch(/^Again: /);
  const { name } = getDb().select().from(projects).where(eq(projects.id, DEMO_PROJECT)).get()!;
  expect(name).toBe('Again');
});

it('steps that were saved without a name get one from what they changed, once', async () => {
  const id = 'named-later';
  const start = { ...documents, project: { ...documents.project, id } };
  createProject(start);
  const renamed = structuredClone(start);
  renamed.project.name = 'Renamed';
  saveChange(id, 1, changeBetween('change-a', start, renamed)!);
  const without = structuredClone(renamed);
  without.scenes['sign-in']!.layers.pop();
  const gone = renamed.scenes['sign-in']!.layers.at(-1)!.name;
  saveChange(id, 2, {
    ...changeBetween('change-b', renamed, without)!,
    step: { command: 'x', name: 'said' },
  });
  const named = () => listRevisions(id).map((r) => r.step);
  expect(named()).toEqual(['said', 'change the name of the project']);
  getDb().update(history).set({ step: null }).where(eq(history.projectId, id)).run();
  await upgradeProjects(storeFolder());
  expect(named()).toEqual([`delete ${gone}`, 'change the name of the project']);
});

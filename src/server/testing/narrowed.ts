import { changeBetween } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { seedDemo } from '../seed';
import { loadProject } from '../services/projects';
import { saveChange } from '../services/save';

const OWN = ['system-window', 'winter-splash'];

/** One scene and the launch of the demo on the few screens of one ratio, which are judged in a moment. */
export function narrowed({ project, scenes }: Documents): Documents {
  const used = OWN.flatMap((id) =>
    scenes[id]!.layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])),
  );
  return {
    project: {
      ...project,
      ratios: { low: 0.46, high: 0.47 },
      scenes: OWN,
      pictures: project.pictures.filter((p) => used.includes(p.id)),
      accepted: [],
      launches: project.launches!.map((l) => ({ ...l, stages: l.stages.slice(0, 2) })),
    },
    scenes: Object.fromEntries(OWN.map((id) => [id, scenes[id]!])),
  };
}

/** Seeds the demo, as little of it as is judged in a moment. */
export async function narrowedDemo(): Promise<void> {
  await seedDemo();
  const { revision, documents } = loadProject('larkmoor-ferries');
  saveChange(
    'larkmoor-ferries',
    revision,
    changeBetween(crypto.randomUUID(), documents, narrowed(documents))!,
  );
}

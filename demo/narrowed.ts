import type { Documents } from '../src/core/project/documents';

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

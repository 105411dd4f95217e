import type { Picture } from '@/core/pictures/picture';
import { listProjects, loadProject, type ProjectSummary } from './projects';

/** What the start page shows of a project. */
export interface ProjectCard extends ProjectSummary {
  scenes: { id: string; name: string }[];
  pictures: Picture[];
}

const MOST_PICTURES = 5;

export function projectCards(): ProjectCard[] {
  return listProjects().map((summary) => {
    const { project, scenes } = loadProject(summary.id).documents;
    return {
      ...summary,
      scenes: project.scenes.map((id) => ({ id, name: scenes[id]!.name })),
      pictures: project.pictures.slice(0, MOST_PICTURES),
    };
  });
}

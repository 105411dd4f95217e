import { z } from 'zod';
import type { Picture } from '@/core/pictures/picture';
import { NewerSchema } from '@/core/scene/migrate';
import { describe } from '../problem';
import { listProjects, loadProject, type ProjectSummary } from './projects';

/** What the start page shows of a project. */
export interface ProjectCard extends ProjectSummary {
  scenes: { id: string; name: string }[];
  pictures: Picture[];
  /** why its documents cannot be read, in words; it can then only be saved as it is, or put away */
  unreadable?: string;
}

const MOST_PICTURES = 5;

/** What is wrong with documents that cannot be read. @throws whatever has nothing to do with them */
function whyUnreadable(error: unknown): string {
  if (error instanceof NewerSchema) return error.message;
  if (error instanceof z.ZodError) return `Its documents are damaged: ${describe(error)}`;
  if (error instanceof SyntaxError || error instanceof TypeError)
    return 'Its documents are damaged: they are not whole JSON.';
  throw error;
}

/** All projects. One whose documents cannot be read keeps no other from being opened. */
export function projectCards(): ProjectCard[] {
  return listProjects().map((summary) => {
    try {
      const { project, scenes } = loadProject(summary.id).documents;
      return {
        ...summary,
        scenes: project.scenes.flatMap((id) => (scenes[id] ? [{ id, name: scenes[id].name }] : [])),
        pictures: project.pictures.slice(0, MOST_PICTURES),
      };
    } catch (error) {
      return { ...summary, scenes: [], pictures: [], unreadable: whyUnreadable(error) };
    }
  });
}

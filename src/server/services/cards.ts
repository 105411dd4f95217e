import { DEMO_PROJECT, DEMO_SCENE } from '../../../demo/documents';
import type { Picture } from '@/core/pictures/picture';
import { lastSignedOff } from './kept-sign-offs';
import { listProjects, loadProject, type ProjectSummary } from './projects';
import { whyUnreadable } from './stored';

/** What the start page shows of a project. */
export interface ProjectCard extends ProjectSummary {
  scenes: { id: string; name: string }[];
  pictures: Picture[];
  /** the id of its last sign-off; `null` where nobody has signed it off */
  signedOff: string | null;
  /** why its documents cannot be read, in words; it can then only be saved as it is, or put away */
  unreadable?: string;
}

/** The scene of the demo that shows what goes wrong; `null` once it was deleted. */
export function demoShown(cards: readonly ProjectCard[]) {
  const demo = cards.find((c) => c.id === DEMO_PROJECT);
  const scene = demo?.scenes.find((s) => s.id === DEMO_SCENE);
  return demo && scene
    ? { project: demo.id, projectName: demo.name, scene: scene.id, sceneName: scene.name }
    : null;
}

const MOST_PICTURES = 5;

/** All projects. One whose documents cannot be read keeps no other from being opened. */
export function projectCards(): ProjectCard[] {
  return listProjects().map((summary) => {
    try {
      const { project, scenes } = loadProject(summary.id).documents;
      return {
        ...summary,
        scenes: project.scenes.flatMap((id) => (scenes[id] ? [{ id, name: scenes[id].name }] : [])),
        pictures: project.pictures.slice(0, MOST_PICTURES),
        signedOff: lastSignedOff(summary.id),
      };
    } catch (error) {
      const unreadable = whyUnreadable(error);
      if (unreadable === null) throw error;
      return { ...summary, scenes: [], pictures: [], signedOff: null, unreadable };
    }
  });
}

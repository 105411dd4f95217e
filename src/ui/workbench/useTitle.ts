'use client';
import { useEffect } from 'react';
import { useWorkbench } from '../state/context';
import { titleOf } from './title';

/** Says in the title of the page what is looked at: a window among others is found by it. */
export function useTitle(): void {
  const project = useWorkbench((s) => s.documents.project.name);
  const scene = useWorkbench((s) => s.documents.scenes[s.sceneId]?.name);
  const lens = useWorkbench((s) => s.view.lens);
  useEffect(() => {
    document.title = titleOf(project, scene, lens);
  }, [scene, lens, project]);
}

'use client';
import { useEffect } from 'react';
import { LENSES } from '../state/lenses';
import { useWorkbench } from '../state/context';

/** Says in the title of the page what is looked at: a window among others is found by it. */
export function useTitle(): void {
  const project = useWorkbench((s) => s.documents.project.name);
  const scene = useWorkbench((s) => s.documents.scenes[s.sceneId]?.name);
  const lens = useWorkbench((s) => s.view.lens);
  const { label } = LENSES.find((l) => l.id === lens)!;
  useEffect(() => {
    document.title = [scene, label, project, 'Coulee'].filter(Boolean).join(' · ');
  }, [scene, label, project]);
}

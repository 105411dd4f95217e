'use client';
import { PageTitle } from '../parts/PageTitle';
import { useWorkbench } from '../state/context';
import { labelOf } from '../state/lenses';

/** Says in the title of the page what is looked at: a window among others is found by it. */
export function Title() {
  const project = useWorkbench((s) => s.documents.project.name);
  const scene = useWorkbench((s) => s.documents.scenes[s.sceneId]?.name);
  const lens = useWorkbench((s) => s.view.lens);
  return <PageTitle of={[scene, labelOf(lens), project]} />;
}

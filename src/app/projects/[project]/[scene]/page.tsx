import { notFound } from 'next/navigation';
import { screensOf } from '@/server/catalogue';
import { Problem } from '@/server/problem';
import { loadProject } from '@/server/services/projects';
import { readView } from '@/ui/state/view';
import { Workbench } from '@/ui/workbench/Workbench';

interface Props {
  params: Promise<{ project: string; scene: string }>;
  searchParams: Promise<Record<string, unknown>>;
}

function load(id: string) {
  try {
    return loadProject(id);
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  }
}

export default async function ScenePage({ params, searchParams }: Props) {
  const { project, scene } = await params;
  const stored = load(project);
  if (!stored?.documents.scenes[scene]) notFound();
  const screens = screensOf(stored.documents.project);
  const view = readView(await searchParams);
  return <Workbench key={`${project}/${scene}`} start={{ ...stored, sceneId: scene, screens, view }} />;
}

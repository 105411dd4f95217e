import { redirect } from 'next/navigation';
import { listProjects, loadProject } from '@/server/services/projects';

export default function Start() {
  const first = listProjects()[0];
  if (!first) return <main className="p-4">There is no project in this store.</main>;
  const { scenes } = loadProject(first.id).documents.project;
  redirect(`/projects/${first.id}/${scenes.find((s) => s === 'winter-splash') ?? scenes[0]}`);
}

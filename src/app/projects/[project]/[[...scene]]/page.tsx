import { cookies } from 'next/headers';
import { notFound } from 'next/navigation';
import { screensOf } from '@/server/catalogue';
import { Problem } from '@/server/problem';
import { loadProject, recentChanges } from '@/server/services/projects';
import { readView } from '@/ui/state/view';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';
import { Workbench } from '@/ui/workbench/Workbench';

interface Props {
  params: Promise<{ project: string; scene?: string[] }>;
  searchParams: Promise<Record<string, unknown>>;
}

function load(id: string) {
  try {
    return { ...loadProject(id), arrived: recentChanges(id) };
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  }
}

/** A project, open on the scene of the address, or on its first one. */
export default async function ProjectPage({ params, searchParams }: Props) {
  const { project, scene: path = [] } = await params;
  const stored = load(project);
  if (!stored || path.length > 1) notFound();
  const { scenes, project: document } = stored.documents;
  const [asked] = path;
  if (asked !== undefined && !scenes[asked]) notFound();
  const sceneId = asked ?? document.scenes[0] ?? '';
  const view = readView(await searchParams);
  const start = { ...stored, sceneId, screens: screensOf(document), view };
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  return <Workbench key={project} start={start} theme={theme} />;
}

import { addressOf } from '@/formats/api/operation';
import { rawProject } from '@/formats/api/projects';
import { cookies } from 'next/headers';
import { notFound } from 'next/navigation';
import type { SignOff } from '@/core/review/sign-off';
import { sceneWith } from '@/core/project/documents';
import { catalogue } from '@/server/catalogue';
import { Problem } from '@/server/problem';
import { loadSignOff } from '@/server/services/sign-offs';
import { buildSource, loadProject, recentChanges } from '@/server/services/projects';
import { stored, whyUnreadable } from '@/server/services/stored';
import { StoreFault } from '@/ui/start/StoreFault';
import { HINTS_COOKIE, readHints } from '@/ui/hints/hints';
import { readView } from '@/ui/state/view';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';
import { Workbench } from '@/ui/workbench/Workbench';

interface Props {
  params: Promise<{ project: string; scene?: string[] }>;
  searchParams: Promise<Record<string, unknown>>;
}

type Loaded = ReturnType<typeof loadProject> & { arrived: string[] };

/** A project as it is stored; `null` when there is none; else why it cannot be read. */
function load(id: string): { value: Loaded | null } | { fault: string; unreadable: boolean } {
  try {
    const read = stored(() => ({ ...loadProject(id), arrived: recentChanges(id) }));
    return 'fault' in read ? { ...read, unreadable: false } : read;
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return { value: null };
    const why = whyUnreadable(error);
    if (why === null) throw error;
    return { fault: why, unreadable: true };
  }
}

type Signed = Pick<SignOff, 'id' | 'by' | 'at'>;
type Wanted = Loaded & { signed: Signed | null };

/** A project as it was signed off, where the address asks for that; else as it is. `null` where there is no such sign-off. */
async function asAsked(saved: Loaded, id: string | undefined): Promise<Wanted | null | { fault: string }> {
  if (id === undefined) return { ...saved, signed: null };
  try {
    const { documents, revision, by, at } = await loadSignOff(saved.documents.project.id, id);
    return { documents, revision, arrived: [], signed: { id, by, at } };
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    return error.status === 404 ? null : { fault: error.message };
  }
}

/** The scene that is opened: that of the address, or the first; `null` where there is none of that name. */
function sceneIn({ documents, signed }: Wanted, asked: string | undefined): string | null {
  if (asked !== undefined && sceneWith(documents, asked)) return asked;
  // A scene that came later was not there when it was signed off.
  return asked === undefined || signed ? (documents.project.scenes[0] ?? '') : null;
}

/** A project, open on the scene of the address, or on its first one. */
export default async function ProjectPage({ params, searchParams }: Props) {
  const { project, scene: path = [] } = await params;
  const address = `/projects/${project}`;
  const read = load(project);
  if ('fault' in read) {
    const { fault, unreadable } = read;
    const title = unreadable ? 'This project cannot be read' : 'The store cannot be used';
    const raw = unreadable ? addressOf(rawProject, { project }) : undefined;
    return <StoreFault title={title} words={fault} address={address} raw={raw} />;
  }
  if (!read.value || path.length > 1) notFound();
  const view = readView(await searchParams);
  const saved = await asAsked(read.value, view.signed);
  if (saved === null) notFound();
  if ('fault' in saved)
    return <StoreFault title="This sign-off cannot be trusted" words={saved.fault} address={address} />;
  const sceneId = sceneIn(saved, path[0]);
  if (sceneId === null) notFound();
  const kept = await cookies();
  const hintsClosed = readHints(kept.get(HINTS_COOKIE)?.value);
  const source = buildSource(project);
  const start = { ...saved, sceneId, catalogue, view, hintsClosed, source };
  const theme = readTheme(kept.get(THEME_COOKIE)?.value);
  return <Workbench key={`${project} ${view.signed}`} start={start} theme={theme} />;
}

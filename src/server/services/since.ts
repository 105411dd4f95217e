import { screensFor } from '@/core/icons/slots';
import { sceneWith, type Documents } from '@/core/project/documents';
import type { SHOWN, Since } from '@/core/since/schema';
import { findCase } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import type { Drawing } from '@/render/drawing';
import { drawingOf } from '@/render/painter';
import { knownScreens } from '../catalogue';
import { costOf, LARGEST, refuseTooLarge } from '../drawing/cost';
import { drawn } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { fontsFor } from '../fonts/fonts';
import { notFound } from '../problem';
import { loadProject, revisionOf } from './projects';
import { toReview } from './review';
import { loadSignOff } from './sign-offs';

/** What was compared last, by project and sign-off, and of which revision. */
const known = new Map<string, { revision: number; said: Promise<Since> }>();
const MOST_KNOWN = 50;

/**
 * What has changed in a project since a sign-off; each state of it is compared once.
 * @throws Problem 404; 409 for a sign-off that is not as it was signed
 */
export async function sinceSignOff(projectId: string, id: string): Promise<Since> {
  // Held against its seal each time, whatever is known.
  const signOff = await loadSignOff(projectId, id);
  const key = `${projectId} ${id}`;
  const before = known.get(key);
  if (before?.revision === revisionOf(projectId)) return before.said;
  const input = await toReview(projectId);
  const said = drawn(
    {
      kind: 'since',
      input: { ...input, signOff },
      cost: LARGEST,
      deadlineMs: DRAWING.decodeMs,
      name: 'This comparison',
    },
    { project: projectId },
  ).then(({ since }) => since);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, { revision: input.revision, said });
  // What failed is asked for again.
  said.catch(() => known.delete(key));
  return said;
}

export interface CaseSince {
  projectId: string;
  signOffId: string;
  sceneId: string;
  caseId: string;
  show: (typeof SHOWN)[number];
  /** px per lu; the screen’s own density when absent */
  scale?: number;
  /** of the request */
  signal?: AbortSignal;
}

const LARGEST_SIDE_PX = 4096;

type State = { documents: Documents; screens: readonly Screen[] };

/** @throws Problem 404 where there was or is no such scene or case, 422 for a size out of range */
function drawingIn({ documents, screens }: State, { sceneId, caseId, scale }: CaseSince): Drawing {
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw notFound('This scene');
  const found = findCase(caseId, screensFor(scene, documents.project, screens));
  if (!found) throw notFound('This case');
  const fonts = fontsFor(documents);
  const result = surveyCase(surveyInput(documents, scene, { fonts }), found);
  const drawing = drawingOf(result, { scale: scale ?? found.screen.density, glass: true, fonts });
  refuseTooLarge(drawing, LARGEST_SIDE_PX);
  return drawing;
}

/** A case as it was signed off, as it is now, or now with the px marked that differ, as PNG. @throws Problem */
export async function caseSince(asked: CaseSince): Promise<Buffer> {
  const { projectId, signOffId, show, signal } = asked;
  const by = { project: projectId, signal };
  const signOff = await loadSignOff(projectId, signOffId);
  const { documents } = loadProject(projectId);
  const before = () => drawingIn(signOff, asked);
  const after = () => drawingIn({ documents, screens: knownScreens(documents.project) }, asked);
  if (show === 'difference') {
    const input = { before: before(), after: after() };
    const cost = costOf(input.before) + costOf(input.after);
    return drawn({ kind: 'layOver', input, cost, name: 'This difference' }, by);
  }
  const drawing = show === 'then' ? before() : after();
  return drawn({ kind: 'paint', input: drawing, cost: costOf(drawing), name: 'This case' }, by);
}

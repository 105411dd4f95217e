import { readFileSync } from 'node:fs';
import { onlyScene } from '@/core/project/scenes';
import { openSignOff, type SignOff } from '@/core/review/sign-off';
import { sceneWith } from '@/core/project/documents';
import { comparing } from '@/render/since';
import { isFile, sceneOf, targetOf, type ProjectAsked } from './asked';
import { Refusal, type Opened } from './opened';

/** The text of the sign-off that is meant: the last one, one by its id or the beginning of it, or a file. @throws Refusal */
function textOf({ signOffs }: Opened, wanted: string): string {
  const found =
    wanted === 'last' ? signOffs.at(-1) : signOffs.find((s) => wanted.length >= 6 && s.id.startsWith(wanted));
  if (found) return found.text;
  if (isFile(wanted)) return readFileSync(wanted, 'utf8');
  const all = signOffs.map((s) => s.id).join(', ');
  throw new Refusal(
    signOffs.length === 0
      ? `There is no sign-off “${wanted}”: nobody has signed this project off yet. Sign it off on its page Ship, then export it again.`
      : `There is no sign-off “${wanted}”. Say last, the file of one, or one of these ids: ${all}.`,
  );
}

/** A sign-off of nothing but what is asked for; it is judged again then. */
function narrowedTo(signOff: SignOff, opened: Opened, asked: ProjectAsked): SignOff {
  if (asked.scene === undefined && asked.target === undefined) return signOff;
  const ids = new Set(targetOf(opened, asked.target).screens.map((s) => s.id));
  const scene = asked.scene === undefined ? null : sceneOf(opened, asked.scene).id;
  if (scene !== null && !sceneWith(signOff.documents, scene))
    throw new Refusal(`The scene “${asked.scene}” was not there when this was signed off.`);
  return {
    ...signOff,
    documents: scene === null ? signOff.documents : onlyScene(signOff.documents, scene),
    screens: asked.target === undefined ? signOff.screens : signOff.screens.filter((s) => ids.has(s.id)),
    review: null,
  };
}

/** The last sign-off of a project, of nothing but what is asked for; `null` where there is none, or it has nothing of that. */
export function lastSigned(opened: Opened, asked: ProjectAsked) {
  const last = opened.signOffs.at(-1);
  if (!last) return null;
  const signOff = openSignOff(last.text);
  const scene = asked.scene === undefined ? null : sceneOf(opened, asked.scene).id;
  if (scene !== null && !sceneWith(signOff.documents, scene)) return null;
  const narrowed = narrowedTo(signOff, opened, asked);
  return { signOff: narrowed, host: opened.hostOf(narrowed.documents) };
}

/**
 * The steps that compare a project with a sign-off of it.
 * @param opened the whole of it @param wanted as much of it as is asked for
 * @throws Refusal; SignOffFault that names what of it is not as it was signed
 */
export async function against(what: string, opened: Opened, wanted: Opened, asked: ProjectAsked) {
  const signOff = openSignOff(textOf(opened, what));
  if (signOff.documents.project.id !== opened.documents.project.id)
    throw new Refusal(
      `This sign-off is of another project, “${signOff.documents.project.name}”. Name one of “${opened.documents.project.name}”.`,
    );
  const narrowed = narrowedTo(signOff, opened, asked);
  return comparing(narrowed, wanted, { then: opened.hostOf(narrowed.documents), now: wanted.host });
}

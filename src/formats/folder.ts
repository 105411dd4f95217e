import { z } from 'zod';
import { filesOfProject, idTwice, type Documents } from '@/core/project/documents';
import { readDocuments } from '@/core/project/migrate';
import { Hash } from '@/core/pictures/picture';
import { filesOfSignOff, type KeptSignOff } from '@/core/review/sign-off';
import { sha256Of } from '@/core/review/digest';
import { PRODUCT_VERSION } from '@/core/review/version';
import { HEADER_FILE } from './folder-names';

/** Of the folder form, and of a ZIP that holds the same; a reader refuses another one. */
const FOLDER_FORMAT = 'project-folder/2';

export const PROJECT_FILE = 'project.json';
const FILES_FILE = 'files.json';
const signOffFile = (id: string) => `sign-offs/${id}.json`;
export const sceneFile = (id: string) => `scenes/${encodeURIComponent(id)}.json`;

const Header = z.object({
  format: z.literal(FOLDER_FORMAT),
  version: z.string(),
  revision: z.int().nonnegative(),
  /** their ids, in the order in which they were signed; none when absent */
  signOffs: z.array(z.uuid()).max(1000).optional(),
  /** of all other documents, in an archive: SHA-256, in hexadecimal */
  digest: Hash.optional(),
});

/** Where each file lies in the folder, by its hash. */
const Files = z.record(Hash, z.string().min(1).max(400));

const text = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`;

/**
 * The documents of a project as text files, by their paths in the folder: one a document, each in its own order, so that a
 * change of one word is a change of one line.
 * @param places where each file lies, by its hash
 */
export function documentFiles(
  { project, scenes }: Documents,
  revision: number,
  places: ReadonlyMap<string, string>,
  signOffs: readonly KeptSignOff[] = [],
): Map<string, string> {
  const header: z.infer<typeof Header> = {
    format: FOLDER_FORMAT,
    version: PRODUCT_VERSION,
    revision,
    ...(signOffs.length > 0 && { signOffs: signOffs.map((s) => s.id) }),
  };
  const byPlace = [...places].toSorted(([, a], [, b]) => (a < b ? -1 : 1));
  return new Map([
    [HEADER_FILE, text(header)],
    [PROJECT_FILE, text(project)],
    [FILES_FILE, text(Object.fromEntries(byPlace))],
    ...project.scenes.map((id) => [sceneFile(id), text(scenes[id])] as const),
    ...signOffs.map((s) => [signOffFile(s.id), s.text] as const),
  ]);
}

/** Of documents by their paths, in the order of these: SHA-256 of each path and text, with a zero byte after each. */
function digestOfFiles(files: ReadonlyMap<string, string>): string {
  const others = [...files].filter(([path]) => path !== HEADER_FILE).toSorted(([a], [b]) => (a < b ? -1 : 1));
  return sha256Of(others.map(([path, body]) => `${path}\0${body}\0`).join(''));
}

/** Documents of a project with their digest in the header, for what is taken along whole: one that was changed on the way is known. */
export function sealed(files: ReadonlyMap<string, string>): Map<string, string> {
  const header = JSON.parse(files.get(HEADER_FILE)!) as z.infer<typeof Header>;
  return new Map([...files, [HEADER_FILE, text({ ...header, digest: digestOfFiles(files) })]]);
}

/**
 * The documents that a folder is made of, as far as its header and its project name them; whether they can be read is not looked at.
 * @param header of `coulee.json` @param project of `project.json`
 */
export function documentNames(header: unknown, project: unknown): string[] {
  const { data: named } = z.object({ scenes: z.array(z.string()) }).safeParse(project);
  const { data: own } = Header.safeParse(header);
  return [FILES_FILE, ...(named?.scenes ?? []).map(sceneFile), ...(own?.signOffs ?? []).map(signOffFile)];
}

/** A folder that cannot be read as a project, with what is wrong with which of its files. */
export class FolderFault extends Error {
  constructor(file: string, why: string) {
    super(`${file}: ${why}`);
    this.name = 'FolderFault';
  }
}

/** A project as it lies in a folder. */
export interface ReadFolder {
  documents: Documents;
  revision: number;
  /** where each file lies, by its hash */
  places: ReadonlyMap<string, string>;
  /** in the order in which they were signed; whether each is as it was signed is not looked at */
  signOffs: readonly KeptSignOff[];
}

/** The hashes of all fonts that documents and sign-offs write with. */
export const fontHashesOf = (documents: Documents, signOffs: readonly KeptSignOff[] = []): string[] => [
  ...new Set([
    ...(documents.project.fonts ?? []).map((f) => f.hash),
    ...signOffs.flatMap((s) => filesOfSignOff(s.text).fonts),
  ]),
];

/** The hashes of everything that documents, and sign-offs of them, are drawn with, and of their screenshots. */
export const hashesOf = (documents: Documents, signOffs: readonly KeptSignOff[] = []): string[] => [
  ...new Set([
    ...filesOfProject(documents.project),
    ...signOffs.flatMap((s) => filesOfSignOff(s.text).pictures),
    ...fontHashesOf(documents, signOffs),
  ]),
];

/** @throws FolderFault where the place of a file is not said */
function checkPlaces(
  documents: Documents,
  signOffs: readonly KeptSignOff[],
  places: ReadonlyMap<string, string>,
): void {
  const missing = hashesOf(documents, signOffs).find((hash) => !places.has(hash));
  if (missing)
    throw new FolderFault(FILES_FILE, `it does not say where the file ${missing.slice(0, 12)}… lies.`);
}

/**
 * The project in a folder.
 * @param read the text of a file by its path in the folder; `null` where there is none
 * @throws FolderFault, NewerSchema, ZodError
 */
export function readFolder(read: (file: string) => string | null): ReadFolder {
  const bodies = new Map<string, string>();
  const bodyOf = (file: string): string => {
    const body = read(file);
    if (body === null) throw new FolderFault(file, 'it is missing.');
    bodies.set(file, body);
    return body;
  };
  const json = (file: string): unknown => {
    const body = bodyOf(file);
    try {
      return JSON.parse(body);
    } catch {
      throw new FolderFault(file, 'it is not JSON.');
    }
  };
  const header = Header.safeParse(json(HEADER_FILE));
  if (!header.success)
    throw new FolderFault(HEADER_FILE, `it is not that of a folder of this form, “${FOLDER_FORMAT}”.`);
  const project = json(PROJECT_FILE);
  const listed = z.object({ scenes: z.array(z.string()) }).safeParse(project);
  if (!listed.success) throw new FolderFault(PROJECT_FILE, 'it lists no scenes.');
  const scenes = Object.fromEntries(listed.data.scenes.map((id) => [id, json(sceneFile(id))]));
  const documents = readDocuments({ project, scenes });
  const twice = idTwice(documents);
  if (twice) throw new FolderFault(PROJECT_FILE, twice);
  const files = Files.safeParse(json(FILES_FILE));
  if (!files.success) throw new FolderFault(FILES_FILE, 'it does not say where each file lies.');
  const places = new Map(Object.entries(files.data));
  const { revision, signOffs: signed = [], digest } = header.data;
  const signOffs = signed.map((id) => ({ id, text: bodyOf(signOffFile(id)) }));
  checkPlaces(documents, signOffs, places);
  if (digest !== undefined && digest !== digestOfFiles(bodies))
    throw new FolderFault(
      HEADER_FILE,
      'the documents are not those that were packed with it. Where somebody has changed them on purpose, take “digest” out of it.',
    );
  return { documents, revision, places, signOffs };
}

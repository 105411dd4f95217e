import { z } from 'zod';
import type { Documents } from '@/core/project/documents';
import { readDocuments } from '@/core/project/migrate';
import { PRODUCT_VERSION } from '@/core/review/version';

/** Of the folder form; a reader refuses another one. */
const FOLDER_FORMAT = 'project-folder/1';

/** By which a folder is known. */
export const HEADER_FILE = 'coulee.json';
export const PROJECT_FILE = 'project.json';
export const sceneFile = (id: string) => `scenes/${encodeURIComponent(id)}.json`;

/** Where the files of pictures, and imported fonts, lie: each under its hash, with an ending for whoever looks at it. */
export const FILE_FOLDERS = { pictures: 'pictures', fonts: 'fonts' } as const;

const Header = z.object({
  format: z.literal(FOLDER_FORMAT),
  version: z.string(),
  revision: z.int().nonnegative(),
});

const text = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`;

/** The documents of a project as text files, by their paths in the folder. */
export function documentFiles({ project, scenes }: Documents, revision: number): Map<string, string> {
  const header: z.infer<typeof Header> = { format: FOLDER_FORMAT, version: PRODUCT_VERSION, revision };
  return new Map([
    [HEADER_FILE, text(header)],
    [PROJECT_FILE, text(project)],
    ...project.scenes.map((id) => [sceneFile(id), text(scenes[id])] as const),
  ]);
}

/** A folder that cannot be read as a project, with what is wrong with which of its files. */
export class FolderFault extends Error {
  constructor(file: string, why: string) {
    super(`${file}: ${why}`);
    this.name = 'FolderFault';
  }
}

/**
 * The project in a folder.
 * @param read the text of a file by its path in the folder; `null` where there is none
 * @throws FolderFault, NewerSchema, ZodError
 */
export function readFolder(read: (file: string) => string | null): {
  documents: Documents;
  revision: number;
} {
  const json = (file: string): unknown => {
    const body = read(file);
    if (body === null) throw new FolderFault(file, 'it is missing.');
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
  return { documents: readDocuments({ project, scenes }), revision: header.data.revision };
}

import type { Project } from '@/core/project/project';
import { fileStem } from './text/file-name';

const COMMAND = 'npm exec --offline -- coulee';
/** A line that goes on below. */
const lines = (...parts: string[]) => parts.filter(Boolean).join(' \\\n  ');

/** A word of a line as a shell reads it. Source: POSIX, Shell Command Language, §2.2.2. */
const quoted = (word: string): string =>
  /^[\w./-]+$/.test(word) ? word : `'${word.replaceAll("'", String.raw`'\''`)}'`;

/** Where a project is kept, as the lines of a build name it. */
export interface BuildSource {
  /** the folder of the store, as it is named from the folder of the product */
  store: string;
  /** names and ids of the other projects there */
  otherNames: readonly string[];
}

/** What a project is called on the command line: its name, or its id where others are called so or a program would read an option. */
const projectWord = ({ id, name }: Pick<Project, 'id' | 'name'>, { otherNames }: BuildSource): string =>
  otherNames.includes(name) || name.startsWith('-') ? id : name;

/**
 * The lines that bring a project into a folder and judge it in a build, as they are typed in the folder of the product.
 * @param target for which screens, as `screenTargets` calls them
 */
export function buildLines(project: Pick<Project, 'id' | 'name'>, target: string, source: BuildSource) {
  const { name } = project;
  const folder = fileStem(name);
  const only = target === 'all' ? '' : `--target ${quoted(target)}`;
  return {
    exported: lines(
      `${COMMAND} export`,
      `--store ${quoted(source.store)}`,
      `--project ${quoted(projectWord(project, source))}`,
      `--out ${quoted(folder)}`,
    ),
    check: lines(
      `${COMMAND} check`,
      quoted(folder),
      only,
      '--fail-on fail --as junit',
      `--out ${quoted(`${folder}.xml`)}`,
    ),
  };
}

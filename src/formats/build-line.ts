import type { Project } from '@/core/project/project';
import { fileStem } from './file-name';

const COMMAND = 'npm exec --offline -- coulee';
/** A line that goes on below. */
const lines = (...parts: string[]) => parts.filter(Boolean).join(' \\\n  ');

/** A word of a line as a shell reads it. Source: POSIX, Shell Command Language, §2.2.2. */
const quoted = (word: string): string =>
  /^[\w./-]+$/.test(word) ? word : `'${word.replaceAll("'", String.raw`'\''`)}'`;

/**
 * The lines that bring a project into a folder and judge it in a build, as they are typed.
 * @param target for which screens, as `screenTargets` calls them
 */
export function buildLines({ id, name }: Pick<Project, 'id' | 'name'>, target: string) {
  const folder = fileStem(name);
  const only = target === 'all' ? '' : `--target ${quoted(target)}`;
  return {
    exported: lines(
      `${COMMAND} export`,
      '--store ./store',
      `--project ${quoted(id)}`,
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

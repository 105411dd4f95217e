'use client';
import { useWorkbench } from '../state/context';
import { namesOfFiles } from '@/core/project/file-names';

const MOST_NAMED = 4;

/** Says which files of the project the store has lost: they can still be seen, but not be made anew. */
export function LostFiles() {
  const lost = useWorkbench((s) => s.lost);
  const project = useWorkbench((s) => s.documents.project);
  const names = namesOfFiles(project, lost);
  if (names.length === 0) return null;
  const more = names.length - MOST_NAMED;
  return (
    <p className="lost-files" role="alert">
      {names.length === 1 ? 'A file is' : `${names.length} files are`} missing from the store, or damaged:{' '}
      {names.slice(0, MOST_NAMED).join(', ')}
      {more > 0 && ` and ${more} more`}. Import {names.length === 1 ? 'it' : 'them'} again, by dropping the
      same files here: they are then put back as they were.
    </p>
  );
}

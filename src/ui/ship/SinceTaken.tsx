'use client';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { countOf } from '@/core/words/words';
import type { OutFile } from '@/formats/files/names';
import { useWorkbench } from '../state/context';
import { changedSince, keepFilesTaken, readFilesTaken } from './files-taken';

/**
 * Which files are taken along: all, or those that have changed since that was done last.
 * @returns those that are taken, the same list where it is all; and what keeps that they were
 */
export function useSinceTaken(files: readonly OutFile[]) {
  const project = useWorkbench((s) => s.documents.project.id);
  const [before, setBefore] = useState(() => readFilesTaken(project));
  const [isOnly, setIsOnly] = useState(false);
  const changed = before && changedSince(files, before);
  const keep = () => {
    keepFilesTaken(project, files, new Date());
    setBefore(readFilesTaken(project));
  };
  return {
    at: before?.at ?? null,
    changed,
    isOnly,
    setIsOnly,
    taken: isOnly && changed ? changed : files,
    keep,
  };
}

/** “29 November, 02:14”, where somebody is. */
const sayDay = (at: string): string =>
  new Date(at).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
  });

type Since = Pick<ReturnType<typeof useSinceTaken>, 'at' | 'changed' | 'isOnly' | 'setIsOnly'>;

/** Whether only what has changed is taken along; nothing where nothing was taken before. */
export function OnlyChanged({ at, changed, isOnly, setIsOnly }: Since) {
  if (at === null || !changed) return null;
  return (
    <Form.Check
      type="checkbox"
      id="files-changed"
      label={`only what has changed since they were taken along on ${sayDay(at)}: ${countOf(changed.length, 'file')}`}
      checked={isOnly}
      onChange={(e) => setIsOnly(e.target.checked)}
    />
  );
}

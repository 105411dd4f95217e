'use client';
import { useEffect, useState } from 'react';
import { fileFacts } from '@/formats/api/files';
import { DEFAULT_PATTERN, type FileFacts } from '@/formats/files/names';
import { ask, messageOf } from '../api';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** What the store knows of the files of the project as it was saved last; `null` until then. */
function useFileFacts(): FileFacts | null {
  const store = useWorkbenchStore();
  const stored = useWorkbench((s) => s.stored.project);
  const [facts, setFacts] = useState<FileFacts | null>(null);
  useEffect(() => {
    let ended = false;
    ask(fileFacts, { project: stored.id }).then(
      (answer) => !ended && setFacts(answer),
      (error: unknown) =>
        !ended && store.setState({ message: `The files could not be listed. ${messageOf(error)}` }),
    );
    return () => {
      ended = true;
    };
  }, [store, stored.id, stored.pictures]);
  return facts;
}

/** How files that are taken along are named, and what is known of them. */
export interface FileNaming {
  pattern: string;
  setPattern: (pattern: string) => void;
  facts: FileFacts | null;
}

/** The usual pattern, until it is changed. */
export function useFileNaming(): FileNaming {
  const [pattern, setPattern] = useState(DEFAULT_PATTERN);
  return { pattern, setPattern, facts: useFileFacts() };
}

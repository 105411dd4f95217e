'use client';
import { useCallback, useEffect, useState } from 'react';
import type { AnswerOf } from '@/formats/api/operation';
import * as api from '@/formats/api/sign-offs';
import { newId } from '@/workers/new-id';
import { ask, messageOf } from '../api';
import { resultOf, useJob } from '../parts/useJob';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useLook } from '../state/look';

export type Listed = AnswerOf<typeof api.listSignOffs>[number];

/** The sign-offs of the project, the latest first, `null` until they are there; and the way to sign off. */
export function useSignOffs() {
  const store = useWorkbenchStore();
  const look = useLook();
  const project = useWorkbench((s) => s.documents.project.id);
  const [list, setList] = useState<Listed[] | null>(null);
  const { job, begin, callOff } = useJob();
  const load = useCallback(
    () =>
      ask(api.listSignOffs, { project }).then(setList, (error: unknown) =>
        store.setState({ message: `The sign-offs could not be read. ${messageOf(error)}` }),
      ),
    [project, store],
  );
  useEffect(() => void load(), [load]);
  const sign = async (by: string, why: string): Promise<boolean> => {
    const { revision } = store.getState();
    const options = { id: newId(), by, why, revision };
    const signed = await begin('The sign-off', { kind: 'sign-off', options }, async (made) => {
      resultOf(made);
      await load();
    });
    if (signed) look({ since: options.id });
    return signed;
  };
  return { list, job, sign, callOff };
}

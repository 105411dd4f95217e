'use client';
import { statistics } from '@/formats/api/files';
import { useEffect, useState } from 'react';
import { Statistics } from '@/core/pixels/statistics';
import { ask } from '../api';

const known = new Map<string, Statistics>();
const asked = new Map<string, Promise<void>>();

/** Each file is asked about once; one that the server cannot say anything of is left out. */
function learn(hash: string): Promise<void> {
  const answer =
    asked.get(hash) ??
    ask(statistics, { hash }).then(
      (found) => void known.set(hash, found),
      () => void asked.delete(hash),
    );
  asked.set(hash, answer);
  return answer;
}

const pick = (hashes: readonly string[]) =>
  new Map(hashes.flatMap((hash) => (known.has(hash) ? [[hash, known.get(hash)!] as const] : [])));

interface Answered {
  /** the files that were asked about */
  key: string;
  found: ReadonlyMap<string, Statistics>;
}

function useAnswered(hashes: readonly string[]): { found: ReadonlyMap<string, Statistics>; isAll: boolean } {
  const key = hashes.join(' ');
  const [{ key: answered, found }, setAnswered] = useState<Answered>(() => ({
    key: hashes.every((hash) => known.has(hash)) ? key : '',
    found: pick(hashes),
  }));
  useEffect(() => {
    let ended = false;
    const list = key.split(' ').filter(Boolean);
    void Promise.all(list.map(learn)).then(() => {
      if (!ended) setAnswered({ key, found: pick(list) });
    });
    return () => {
      ended = true;
    };
  }, [key]);
  return { found, isAll: answered === key };
}

/** What the pixels of some files say; those that are not known yet follow. */
export const useStatistics = (hashes: readonly string[]): ReadonlyMap<string, Statistics> =>
  useAnswered(hashes).found;

/** What the pixels of several files say, by hash; `null` until each was asked about. */
export function useAllStatistics(hashes: readonly string[]): ReadonlyMap<string, Statistics> | null {
  const { found, isAll } = useAnswered(hashes);
  return isAll ? found : null;
}

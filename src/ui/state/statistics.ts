'use client';
import { useEffect, useState } from 'react';
import { Statistics } from '@/core/pixels/statistics';
import { request } from '../api';

const known = new Map<string, Statistics>();
const asked = new Map<string, Promise<void>>();

/** Each file is asked about once; one that the server cannot say anything of is left out. */
function ask(hash: string): Promise<void> {
  const answer =
    asked.get(hash) ??
    request<unknown>('GET', `/api/pictures/${hash}/statistics`).then(
      (json) => void known.set(hash, Statistics.parse(json)),
      () => void asked.delete(hash),
    );
  asked.set(hash, answer);
  return answer;
}

const pick = (hashes: readonly string[]) =>
  new Map(hashes.flatMap((hash) => (known.has(hash) ? [[hash, known.get(hash)!] as const] : [])));

/** What the pixels of some files say; those that are not known yet follow. */
export function useStatistics(hashes: readonly string[]): ReadonlyMap<string, Statistics> {
  const key = hashes.join(' ');
  const [found, setFound] = useState(() => pick(hashes));
  useEffect(() => {
    let ended = false;
    const list = key.split(' ').filter(Boolean);
    void Promise.all(list.map(ask)).then(() => {
      if (!ended) setFound(pick(list));
    });
    return () => {
      ended = true;
    };
  }, [key]);
  return found;
}

import type { OutFile } from '@/formats/files/names';
import { changedSince } from './files-taken';

const file = (path: string, hash: string) => ({ path, hash }) as OutFile;

it('files have changed that are new, or have another content under their name', () => {
  const before = { at: '2026-11-29T00:00:00.000Z', files: { 'a.png': '1', 'b.png': '2', 'gone.png': '3' } };
  const now = [file('a.png', '1'), file('b.png', '9'), file('c.png', '2')];
  expect(changedSince(now, before).map((f) => f.path)).toEqual(['b.png', 'c.png']);
  expect(changedSince([], before)).toEqual([]);
});

import { existsSync, mkdirSync, utimesSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { storeFolder } from '../settings';
import { sweep } from './sweep';
import { ownStore } from '../testing/store';

ownStore();

const DAY_S = 86_400;

/** A file in a folder of the store, so many days old. */
function lying(folder: string, name: string, days: number): string {
  const file = path.join(storeFolder(), folder, name);
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, 'bytes');
  const at = Date.now() / 1000 - days * DAY_S;
  utimesSync(file, at, at);
  return file;
}

it('lets go of what a server that was ended has half written, and of results that are a day old', async () => {
  const gone = [
    lying('results', '1.a.part', 0),
    lying('pictures/ab', `${'ab'.repeat(32)}.1.a.part`, 0),
    lying('previews/ab', `${'ab'.repeat(32)}.64.1.a.part`, 0),
    lying('results', 'old', 2),
    lying('pictures/cd', 'cd'.repeat(32), 2),
  ];
  const kept = [lying('results', 'new', 0), lying('pictures/ef', 'ef'.repeat(32), 0)];
  await sweep();
  expect(gone.filter(existsSync)).toEqual([]);
  expect(kept.filter((file) => !existsSync(file))).toEqual([]);
});

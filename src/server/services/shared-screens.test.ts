import { eq } from 'drizzle-orm';
import { firstOwn } from '@/core/screens/own';
import { getDb } from '../db/client';
import { sharedScreens } from '../db/schema';
import { ownStore } from '../testing/store';
import { listShared, share, unshare } from './shared-screens';

ownStore();

const till = { ...firstOwn('own-till'), label: 'Till' };

describe('screens that are shared', () => {
  it('are there for every project, each once, as they were shared last', () => {
    expect(listShared()).toEqual([]);
    share(till);
    share({ ...firstOwn('own-desk'), label: 'Desk' });
    share({ ...till, label: 'Till at the pier' });
    expect(listShared().map((s) => s.label)).toEqual(['Till at the pier', 'Desk']);
    expect(listShared()[0]).toEqual({ ...till, label: 'Till at the pier' });
  });

  it('are read as an earlier version kept them, with what it did not know', () => {
    const body = JSON.stringify({ ...till, origin: 'custom', shop: 'pier' });
    getDb().update(sharedScreens).set({ body }).where(eq(sharedScreens.id, till.id)).run();
    expect(listShared()[0]!.extensions).toEqual({ shop: 'pier' });
    share(till);
  });

  it('are not shared any more once that is ended', () => {
    unshare('own-desk');
    expect(listShared().map((s) => s.id)).toEqual(['own-till']);
    expect(() => unshare('own-desk')).toThrow(/not here/);
  });
});

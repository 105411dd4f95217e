import { asc, eq } from 'drizzle-orm';
import { withUnnamedKept } from '@/core/project/unnamed';
import { Screen } from '@/core/screens/screen';
import { getDb } from '../db/client';
import { sharedScreens } from '../db/schema';
import { notFound, Problem } from '../problem';

const MOST = 1000;

/** The screens that are shared among all projects of the store, in the order in which they came. */
export const listShared = (): Screen[] =>
  getDb()
    .select()
    .from(sharedScreens)
    .orderBy(asc(sharedScreens.sharedAt), asc(sharedScreens.id))
    .all()
    .map(({ body }) => Screen.parse(withUnnamedKept(Screen, JSON.parse(body))));

/** Shares a screen, in place of the one of its id. @throws Problem 409 where there are too many */
export function share(screen: Screen): void {
  const db = getDb();
  const others = listShared().filter((s) => s.id !== screen.id).length;
  if (others >= MOST)
    throw new Problem(409, `${MOST} screens are shared already. End the sharing of some that nobody needs.`);
  const body = JSON.stringify({ ...screen, origin: 'custom' } satisfies Screen);
  db.insert(sharedScreens)
    .values({ id: screen.id, body, sharedAt: new Date().toISOString() })
    .onConflictDoUpdate({ target: sharedScreens.id, set: { body } })
    .run();
}

/** @throws Problem 404 where it is not shared */
export function unshare(id: string): void {
  const { changes } = getDb().delete(sharedScreens).where(eq(sharedScreens.id, id)).run();
  if (changes === 0) throw notFound('That screen');
}

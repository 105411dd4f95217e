import { health } from '@/formats/api/door';
import { ask, enter, leave } from './api';
import { door, fetchInside, letIn } from './session';

/** A server that answers as it is told, in order; the last answer over and over. */
function serve(...statuses: number[]) {
  const asked: string[] = [];
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    asked.push(`${init?.method ?? 'GET'} ${path}`);
    const status = statuses.length > 1 ? statuses.shift()! : statuses[0]!;
    const body = JSON.stringify(status < 400 ? { ok: true } : { detail: 'Enter the passphrase.' });
    return Promise.resolve({ ok: status < 400, status, text: () => Promise.resolve(body) });
  }) as never;
  return asked;
}
const settle = () => new Promise((resolve) => setTimeout(resolve));
const waiting = () => door.getState().waiting.length;

it('what is asked after the session has ended waits for the passphrase, and is asked again', async () => {
  const asked = serve(401, 401, 200);
  const answers = Promise.all([fetchInside('/api/a'), ask(health, {})]);
  await settle();
  expect(waiting()).toBe(2);
  letIn();
  expect(waiting()).toBe(0);
  const [first, second] = await answers;
  expect([first.status, second]).toEqual([200, { ok: true }]);
  expect(asked).toEqual(['GET /api/a', 'GET /api/v1/health', 'GET /api/a', 'GET /api/v1/health']);
});

it('a wrong passphrase and the end of a session wait for nobody', async () => {
  serve(401);
  await expect(enter('wrong')).rejects.toMatchObject({ status: 401, message: 'Enter the passphrase.' });
  const asked = serve(204);
  await leave();
  expect(asked).toEqual(['DELETE /api/v1/session']);
  expect(waiting()).toBe(0);
});

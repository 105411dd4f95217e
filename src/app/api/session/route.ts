import { stringifySetCookie } from 'cookie';
import { z } from 'zod';
import { endSession, isPassphrase, newSession, SESSION_COOKIE, sessionOf } from '@/server/access';
import { tryPassphrase } from '@/server/guesses';
import { Problem } from '@/server/problem';
import { readJson, respond } from '../respond';

const Entry = z.object({ passphrase: z.string().max(1000) });

const answer = (value: string, maxAge: number) =>
  new Response(null, {
    status: 204,
    headers: {
      'set-cookie': stringifySetCookie({
        name: SESSION_COOKIE,
        value,
        maxAge,
        path: '/',
        httpOnly: true,
        sameSite: 'strict',
      }),
    },
  });

/** Exchanges the passphrase for a session. After some wrong ones it is only tried from time to time. */
export const POST = (request: Request) =>
  respond(
    request,
    async () => {
      const { passphrase } = await readJson(request, Entry);
      const tried = tryPassphrase();
      const right = isPassphrase(passphrase);
      tried(right);
      if (!right) throw new Problem(401, 'That is not the passphrase of this server.');
      const { value, maxAge } = newSession();
      return answer(value, maxAge);
    },
    true,
  );

/** Ends the session. */
export const DELETE = (request: Request) =>
  respond(
    request,
    () => {
      endSession(sessionOf(request));
      return answer('', 0);
    },
    true,
  );

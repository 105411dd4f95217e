import { stringifySetCookie } from 'cookie';
import { enter, leave } from '@/formats/api/door';
import { endSession, isPassphrase, newSession, SESSION_COOKIE, sessionOf } from '@/server/access';
import { ADDRESS_HEADER } from '@/server/client-address';
import { tryPassphrase } from '@/server/guesses';
import { Problem } from '@/server/problem';
import { done, serve } from '../../serve';

const answer = (value: string, maxAge: number) =>
  done({
    'set-cookie': stringifySetCookie({
      name: SESSION_COOKIE,
      value,
      maxAge,
      path: '/',
      httpOnly: true,
      sameSite: 'strict',
    }),
  });

/** After some wrong ones from an address the passphrase is only tried from time to time. */
export const POST = serve(enter, ({ request, body }) => {
  const tried = tryPassphrase(request.headers.get(ADDRESS_HEADER) ?? '');
  const right = isPassphrase(body.passphrase);
  tried(right);
  if (!right) throw new Problem(401, 'That is not the passphrase of this server.');
  const { value, maxAge } = newSession();
  return answer(value, maxAge);
});

export const DELETE = serve(leave, ({ request }) => {
  endSession(sessionOf(request));
  return answer('', 0);
});

import { z } from 'zod';
import { isPassphrase, newSession, SESSION_COOKIE } from '@/server/access';
import { Problem } from '@/server/problem';
import { readJson, respond } from '../respond';

const Entry = z.object({ passphrase: z.string().max(1000) });
const PAUSE_MS = 700;

/** Exchanges the passphrase for a session; a wrong one is answered late, so that guessing takes long. */
export const POST = (request: Request) =>
  respond(
    request,
    async () => {
      const { passphrase } = await readJson(request, Entry);
      if (!isPassphrase(passphrase)) {
        await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
        throw new Problem(401, 'That is not the passphrase of this server.');
      }
      const { value, maxAge } = newSession();
      const cookie = `${SESSION_COOKIE}=${value}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${maxAge}`;
      return new Response(null, { status: 204, headers: { 'set-cookie': cookie } });
    },
    true,
  );

import { NextResponse, type NextRequest } from 'next/server';
import { isKnownHost, isSession, needsPassphrase, SESSION_COOKIE } from '@/server/access';

function policy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development';
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' ${development ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    // Popper and the charts place their parts by style attributes.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const ENTER = '/enter';

/** The doors of the pages: the host, the passphrase, and a Content-Security-Policy with a nonce for each page. */
export function proxy(request: NextRequest) {
  if (!isKnownHost(request.headers.get('host'))) {
    return new NextResponse('This server only answers under its own address, such as 127.0.0.1.', {
      status: 421,
    });
  }
  const { pathname, search } = request.nextUrl;
  const inside = !needsPassphrase() || isSession(request.cookies.get(SESSION_COOKIE)?.value);
  if (!inside && pathname !== ENTER) {
    const door = new URL(ENTER, request.url);
    if (pathname !== '/') door.searchParams.set('to', pathname + search);
    return NextResponse.redirect(door);
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy(nonce));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy(nonce));
  return response;
}

// Not the API: bodies of requests that pass through here are cut at 10 MB.
export const config = { matcher: [{ source: '/((?!api|_next/static|_next/image|icon.svg).*)' }] };

import { NextResponse, type NextRequest } from 'next/server';

/**
 * A strict Content-Security-Policy for every page: scripts only with the page's own nonce, nothing from elsewhere.
 * Style attributes are allowed, since drawings are placed with them; style sheets and style elements are not.
 */
export function proxy(request: NextRequest) {
  const { pathname } = request.nextUrl;
  if (pathname.startsWith('/api/')) return refuseForeign(request) ?? NextResponse.next();
  // An address that cannot be read is none of ours.
  if (!isReadable(pathname)) return NextResponse.rewrite(new URL('/_not-found', request.url), { status: 404 });
  const nonce = btoa(crypto.randomUUID());
  const policy = [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src-elem 'self' 'nonce-${nonce}'`,
    `style-src-attr 'unsafe-inline'`,
    `img-src 'self' blob: data:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'none'`,
    `frame-ancestors 'none'`,
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  return response;
}

/**
 * The doors for scripts serve this application's own pages and programs on this machine, not the pages of others: a browser says where
 * a page came from, and a page from elsewhere can't send JSON without asking first.
 */
function refuseForeign({ method, headers, nextUrl }: NextRequest): NextResponse | null {
  const refuse = (status: number, code: string, at: string, found: string, expected: string) =>
    NextResponse.json({ ok: false, problems: [{ code, at, found, expected }] }, { status });
  const [origin, host, from] = [headers.get('origin'), headers.get('host'), headers.get('sec-fetch-site')];
  if (origin !== null && hostOf(origin) !== host) return refuse(403, 'door/foreign', 'origin', origin, `a page of ${host}`);
  if (from !== null && from !== 'same-origin' && from !== 'none') return refuse(403, 'door/foreign', 'sec-fetch-site', from, 'same-origin');
  const type = headers.get('content-type') ?? '';
  // What is handed over is sealed before it comes here: bytes.
  const wanted = nextUrl.pathname === '/api/handover' ? 'application/octet-stream' : 'application/json';
  if (/^(POST|PATCH|PUT)$/.test(method) && type.split(';')[0]!.trim().toLowerCase() !== wanted)
    return refuse(415, 'door/not-json', 'content-type', type, wanted);
  return null;
}

function isReadable(pathname: string): boolean {
  try {
    return !decodeURIComponent(pathname).includes('\0');
  } catch {
    return false;
  }
}

const hostOf = (origin: string): string | null => (URL.canParse(origin) ? new URL(origin).host : null);

export const config = { matcher: [{ source: '/((?!_next/static|_next/image|icon.svg|icons/|manifest.webmanifest|sw.js).*)' }] };

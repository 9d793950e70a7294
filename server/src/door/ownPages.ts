import type { NextFunction, Request, Response } from 'express';
import type { IncomingHttpHeaders, IncomingMessage } from 'node:http';

/** How a browser on this machine names it. */
export const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Lets in only what was asked for under a name of ours and, where a page sent it, by a page of ours. A page elsewhere can
 * point its own name at this machine, and then its requests look as if they came from here.
 */
export function onlyOwnPages(names: readonly string[]) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const why = whyNotOwn(request.headers, names);
    if (why) refuse(response, why.path, why.message);
    else next();
  };
}

/** What makes a request another page's; null where it is one of ours, or a program's. */
export function whyNotOwn(
  { host = '', origin }: IncomingHttpHeaders,
  names: readonly string[],
): { path: 'host' | 'origin'; message: string } | null {
  const known = new Set(names.map((name) => name.toLowerCase()));
  if (!known.has(nameOf(host))) return { path: 'host', message: `“${host}” is not a name of this Olvet` };
  if (origin === undefined || hostOf(origin) === host) return null;
  return { path: 'origin', message: 'a page of another address sent this' };
}

const LOOPBACK_ADDRESSES = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** Asked from this machine, by one of its own names. */
export function isAtThisMachine({ socket, headers }: IncomingMessage): boolean {
  return LOOPBACK_ADDRESSES.has(socket.remoteAddress ?? '') && LOOPBACK_NAMES.includes(nameOf(headers.host ?? ''));
}

/** Without the port. */
function nameOf(host: string): string {
  return host.toLowerCase().replace(/:\d+$/, '');
}

/** Behind a proxy that serves HTTPS the scheme is another, the host the same. */
function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}

function refuse(response: Response, path: string, message: string): void {
  const body = {
    ...{ type: 'about:blank', title: 'Not from here', status: 403 },
    detail: 'Open Olvet at the address it printed when it was started.',
    errors: [{ path, message }],
  };
  response.status(403).type('application/problem+json').send(JSON.stringify(body));
}

import type { NextFunction, Request, Response } from 'express';

/** How a browser on this machine names it. */
export const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Lets in only what was asked for under a name of ours and, where a page sent it, by a page of ours. A page elsewhere can
 * point its own name at this machine, and then its requests look as if they came from here.
 */
export function onlyOwnPages(names: readonly string[]) {
  const known = new Set(names.map((name) => name.toLowerCase()));
  return (request: Request, response: Response, next: NextFunction): void => {
    const { host = '', origin } = request.headers;
    if (!known.has(nameOf(host))) return refuse(response, 'host', `“${host}” is not a name of this Olvet`);
    if (origin !== undefined && hostOf(origin) !== host) {
      return refuse(response, 'origin', 'a page of another address sent this');
    }
    next();
  };
}

const LOOPBACK_ADDRESSES = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** Asked from this machine, by one of its own names. */
export function isAtThisMachine({ socket, headers }: Request): boolean {
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

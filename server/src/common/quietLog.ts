import type { Options } from 'pino-http';

interface Failure {
  type?: string;
  message?: string;
  stack?: string;
  code?: string;
  parent?: { code?: string; table?: string; constraint?: string };
}

/**
 * What is logged of a request and of a failure. Cookies and keys stay out, and so does what people wrote: the database's
 * errors carry the statement with all its values.
 */
export function quietLog(level: string): Options {
  return {
    level,
    redact: { paths: ['req.headers.cookie', 'req.headers.authorization', 'res.headers["set-cookie"]'], remove: true },
    serializers: {
      err: ({ type, message, stack, code, parent }: Failure) => ({
        type,
        // The database's own messages quote values.
        message: parent ? undefined : message,
        where: stack?.split('\n').filter((line) => line.startsWith('    at ')),
        code: code ?? parent?.code,
        table: parent?.table,
        constraint: parent?.constraint,
      }),
    },
  };
}

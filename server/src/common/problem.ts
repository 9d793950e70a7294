import type { FieldError } from '@olvet/core';

/**
 * What a service throws when a request cannot be honoured. Only the filter knows HTTP; the kind decides the status.
 */
export class Problem extends Error {
  constructor(
    readonly kind: 'invalid' | 'not-found' | 'conflict' | 'busy' | 'not-let-in',
    message: string,
    readonly errors: FieldError[] = [],
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

export function notFound(what: string): Problem {
  return new Problem('not-found', `There is no ${what} with this id in this shop.`);
}

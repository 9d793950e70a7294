import { BadRequestException, ValidationPipe, type Type } from '@nestjs/common';
import type { FieldError } from '@olvet/core';
import type { ValidationError } from 'class-validator';

/** Checks a body or query against its DTO; unknown fields are refused by name. */
export function validated(expectedType: Type<unknown>, options: { query?: boolean } = {}): ValidationPipe {
  return new ValidationPipe({
    expectedType,
    transform: true,
    // Query strings are text by nature; a JSON body must hold numbers as numbers.
    transformOptions: { enableImplicitConversion: options.query ?? false, exposeUnsetFields: false },
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
    exceptionFactory: (errors) => {
      const fields = errors.flatMap((error) => fieldErrors(error, ''));
      return new BadRequestException({
        message: 'This cannot be taken as it is.',
        errors: fields,
      });
    },
  });
}

function fieldErrors(error: ValidationError, prefix: string): FieldError[] {
  const isIndex = /^\d+$/.test(error.property);
  const path = isIndex ? `${prefix}[${error.property}]` : prefix ? `${prefix}.${error.property}` : error.property;
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    path,
    message: rule === 'whitelistValidation' ? 'is not a field here' : message,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => fieldErrors(child, path))];
}

import { applyDecorators } from '@nestjs/common';
import { ApiProperty, type ApiPropertyOptions } from '@nestjs/swagger';
import { methodErrors, METHODS, methodSchema } from '@olvet/core';
import { registerDecorator } from 'class-validator';
import { z } from 'zod';

/** The core's own schema is the one truth about what a method is. */
export const METHOD_SCHEMA = schemaOfMethod() as ApiPropertyOptions & object;

function schemaOfMethod(): object {
  const { $schema: _, ...schema } = z.toJSONSchema(methodSchema, { target: 'openapi-3.0' });
  return { ...schema, example: METHODS[0] };
}

/** A whole method object. */
export function MethodField(): PropertyDecorator {
  return applyDecorators(ApiProperty(METHOD_SCHEMA), (target: object, property: string | symbol) =>
    registerDecorator({
      name: 'isMethod',
      target: target.constructor,
      propertyName: String(property),
      validator: {
        validate: (value: unknown) => methodErrors(value).length === 0,
        defaultMessage: (args) =>
          methodErrors(args?.value)
            .map(({ path, message }) => (path === '' ? message : `${path}: ${message}`))
            .join('; '),
      },
    }),
  );
}

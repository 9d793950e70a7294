import type { OpenAPIObject } from '@nestjs/swagger';
import type { FieldError } from '@olvet/core';
import { bodyOf } from '../common/problem.filter';

interface Operation {
  requestBody?: object;
  parameters?: { in: string }[];
  responses: Record<string, object>;
}

const METHODS = ['get', 'put', 'post'] as const;

/** What may go wrong, and with which operations. */
const REFUSALS: { status: number; description: string; where: (operation: Operation) => boolean }[] = [
  {
    status: 400,
    description: 'A field is missing, unknown or outside its limits',
    where: ({ requestBody, parameters = [] }) => requestBody !== undefined || parameters.length > 0,
  },
  { status: 401, description: 'Asked over the network by a tablet that was not let in', where: () => true },
  {
    status: 404,
    description: 'There is nothing with this id',
    where: ({ parameters = [] }) => parameters.some(({ in: place }) => place === 'path'),
  },
  {
    status: 409,
    description: 'Changed by somebody else since the revision you saw: load it again, then repeat your change',
    where: ({ requestBody, parameters = [] }) => requestBody !== undefined && parameters.length > 0,
  },
  {
    status: 422,
    description: 'Each field is right, but not together',
    where: ({ requestBody }) => Boolean(requestBody),
  },
  { status: 503, description: 'Busy: ask again after Retry-After seconds', where: () => true },
];

const EXAMPLES: Record<number, [detail: string, errors: FieldError[]]> = {
  400: ['This cannot be taken as it is.', [{ path: 'doseGrams', message: 'must be between 1 and 60' }]],
  401: ['This device was not let in.', []],
  404: ['There is no grinder with this id in this shop.', []],
  409: [
    'Someone else changed this grinder in the meantime.',
    [{ path: 'revision', message: 'is 1, but this was changed since (now 2): load it again, then repeat your change' }],
  ],
  422: [
    'This grinder has no such setting.',
    [{ path: 'grind', message: 'must be between 0 and 40, the scale of Lefty' }],
  ],
  503: ['The database does not answer in time. Nothing was saved; try again in a moment.', []],
};

const PROBLEM = {
  type: 'object',
  description: 'RFC 9457',
  required: ['type', 'title', 'status', 'detail', 'errors'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    errors: {
      type: 'array',
      items: {
        type: 'object',
        required: ['path', 'message'],
        properties: {
          path: { type: 'string', description: 'The field, like `recipe.grind` or `seen[0].sign`' },
          message: { type: 'string' },
        },
      },
    },
  },
};

/** Every operation says how it refuses. */
export function addAnswers(document: OpenAPIObject): void {
  const components = (document.components ??= {});
  const schema = { $ref: '#/components/schemas/Problem' };
  components.schemas = { ...components.schemas, Problem: PROBLEM as object };
  components.responses = Object.fromEntries(
    REFUSALS.map(({ status, description }) => [
      `Refused${status}`,
      { description, content: { 'application/problem+json': { schema, example: exampleOf(status) } } },
    ]),
  );
  for (const path of Object.values(document.paths)) {
    for (const method of METHODS) {
      const operation = path[method] as Operation | undefined;
      if (!operation) continue;
      for (const { status, where } of REFUSALS) {
        if (where(operation)) operation.responses[status] ??= { $ref: `#/components/responses/Refused${status}` };
      }
    }
  }
}

function exampleOf(status: number): object {
  return bodyOf(status, ...EXAMPLES[status]!);
}

import type { OpenAPIObject } from '@nestjs/swagger';

interface Schema {
  $ref?: string;
  allOf?: Schema[];
  anyOf?: Schema[];
  nullable?: boolean;
  description?: string;
  properties?: Record<string, Schema>;
}

const NULL = { type: 'string', nullable: true, enum: [null] } as Schema;

/** The generator writes a reference that may be null as `allOf` of one with a bare `nullable`, which means nothing. */
export function sayNullable(document: OpenAPIObject): void {
  for (const schema of Object.values((document.components?.schemas ?? {}) as Record<string, Schema>)) {
    for (const [name, property] of Object.entries(schema.properties ?? {})) {
      const [only, ...more] = property.allOf ?? [];
      if (!only || more.length > 0) continue;
      const { allOf: _allOf, nullable, ...rest } = property;
      schema.properties![name] = nullable ? { ...rest, anyOf: [only, NULL] } : only;
    }
  }
}

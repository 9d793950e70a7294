import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { CorrectionView } from './corrections.dto';

/** As many as anybody corrects in one go; the next ones come once these are done. */
const MOST_LISTED = 50;

interface Rule {
  kind: CorrectionView['kind'];
  path: string;
  message: string;
  expression: string;
  columns: string[];
}

/** Rows that break a rule younger than they are. The rules are the database's own, so the list cannot differ from them. */
@Injectable()
export class CorrectionsService {
  constructor(private readonly sequelize: Sequelize) {}

  async list(shopId: string): Promise<CorrectionView[]> {
    const rules = await this.rules();
    const found: CorrectionView[] = [];
    for (const rule of rules) {
      if (found.length >= MOST_LISTED) break;
      found.push(...(await this.broken(shopId, rule)));
    }
    return found.slice(0, MOST_LISTED);
  }

  private rules(): Promise<Rule[]> {
    return this.sequelize.query<Rule>(
      `SELECT conrelid::regclass::text AS "kind", substring(conname FROM 'possible_(.*)') AS "path",
              coalesce(obj_description(oid, 'pg_constraint'), 'cannot be right') AS "message",
              pg_get_expr(conbin, conrelid) AS "expression",
              ARRAY(SELECT attname::text FROM pg_attribute WHERE attrelid = conrelid AND attnum > 0) AS "columns"
       FROM pg_constraint WHERE contype = 'c' AND NOT convalidated AND conname LIKE 'possible\\_%'
         AND connamespace = 'public'::regnamespace ORDER BY 1, 2`,
      { type: QueryTypes.SELECT },
    );
  }

  private broken(shopId: string, { kind, path, message, expression, columns }: Rule): Promise<CorrectionView[]> {
    const first = (...names: string[]): string => {
      const name = names.find((column) => columns.includes(column));
      return name === undefined ? 'NULL' : `"${name}"::text`;
    };
    const owner = columns.includes('shopId') ? '"shopId"' : '"id"';
    return this.sequelize.query<CorrectionView>(
      `SELECT :kind AS "kind", "id", :path AS "path", :message AS "message",
              ${first('name', 'pulledAt', 'openedOn')} AS "name", ${first('runId', 'coffeeId')} AS "within"
       FROM ${kind} WHERE ${owner} = :shopId AND NOT (${expression}) LIMIT ${MOST_LISTED}`,
      { replacements: { shopId, kind, path, message }, type: QueryTypes.SELECT },
    );
  }
}

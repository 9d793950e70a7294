import type { Type } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { ChoiceField, IdField, NumberField } from './fields';

/** What every write may carry: the revision its author last saw. */
export class RevisionDto {
  @NumberField({
    min: 0,
    max: 1e9,
    integer: true,
    optional: true,
    description: 'The revision you last saw; leave out for a new row.',
  })
  revision?: number | null;
}

/** What every stored row shows of itself. */
export class RowView {
  @ApiProperty({ format: 'uuid' }) id!: string;
  @ApiProperty() revision!: number;
  @ApiProperty({ description: 'First name of whoever wrote it last; empty where nobody said so' }) changedBy!: string;
  @ApiProperty({ format: 'date-time' }) createdAt!: string;
  @ApiProperty({ format: 'date-time' }) updatedAt!: string;
}

export class PageQuery {
  @NumberField({ min: 1, max: 1e6, integer: true, optional: true })
  page?: number;

  @NumberField({ min: 1, max: 200, integer: true, optional: true })
  pageSize?: number;
}

export const ROW_STATES = ['in-use', 'over'] as const;

export class ListQuery extends PageQuery {
  @ChoiceField({ of: ROW_STATES, name: 'RowState', optional: true, description: 'Retired and finished rows are over' })
  state?: (typeof ROW_STATES)[number];

  @IdField({ optional: true })
  coffeeId?: string;

  @IdField({ optional: true })
  stationId?: string;

  @IdField({ optional: true })
  runId?: string;

  @IdField({ optional: true })
  grinderId?: string;

  @IdField({ optional: true })
  basketId?: string;
}

export interface Page<T> {
  items: T[];
  total: number;
  page: number;
  pageSize: number;
}

/** The class of a page of `view`s, for the OpenAPI document. */
export function pageOf<T>(view: Type<T>, name: string): Type<Page<T>> {
  class PageView {
    @ApiProperty({ type: [view] }) items!: T[];
    @ApiProperty() total!: number;
    @ApiProperty() page!: number;
    @ApiProperty() pageSize!: number;
  }
  Object.defineProperty(PageView, 'name', { value: name });
  return PageView;
}

import { ApiProperty } from '@nestjs/swagger';
import {
  DATE_ORDERS,
  DECIMALS,
  DELIMITERS,
  MATCH_COLUMNS,
  MATCH_TABLES,
  ROASTS,
  type Match,
  type Roast,
} from '@olvet/core';
import { ChoiceField, IdField, PartField, TextField } from '../common/fields';
import { PageQuery, RowView } from '../common/rows';
import { IMPORT_STATES, type ImportState } from './import.entity';
import { OUTCOMES, type Outcome } from './outcomes';
import { TABLES } from './tables';

const TARGETS = [...new Set([...MATCH_COLUMNS.shots, ...MATCH_COLUMNS.coffees])];
const MOST_COLUMNS = 300;

export class MatchedColumnDto {
  @TextField({ max: 200, description: 'As the first line of the file says' })
  header!: string;

  @ChoiceField({ of: TARGETS, name: 'MatchTarget', optional: true, description: 'null leaves the column out' })
  column?: string | null;
}

export class MatchDto {
  @ChoiceField({ of: MATCH_TABLES, name: 'MatchTable' })
  table!: Match['table'];

  @ChoiceField({ of: DELIMITERS, name: 'Delimiter' })
  delimiter!: Match['delimiter'];

  @ChoiceField({ of: DECIMALS, name: 'DecimalMark' })
  decimal!: Match['decimal'];

  @ChoiceField({ of: DATE_ORDERS, name: 'DateOrder' })
  dates!: Match['dates'];

  @PartField(() => MatchedColumnDto, { many: true, maxItems: MOST_COLUMNS })
  columns!: MatchedColumnDto[];

  @IdField({ optional: true, description: 'Where its shots were pulled, for rows that do not say it' })
  stationId?: string | null;

  @ChoiceField({
    ...{ of: ROASTS, name: 'Roast', optional: true },
    description: 'Coffees that are not on the shelf are put there with this roast; null refuses their rows',
  })
  newRoast?: Roast | null;
}

/** How files with these columns were read last. */
export class RememberedMatchView extends RowView {
  @ApiProperty({ type: [String] }) headers!: string[];
  @ApiProperty({ type: MatchDto }) match!: MatchDto;
}

export class ImportTableView {
  @ApiProperty({ enum: [...TABLES.map(({ name }) => name), 'shot_traces'], enumName: 'TransferTable' }) table!: string;
  @ApiProperty({ description: 'Rows that would come in' }) fresh!: number;
  @ApiProperty({ description: 'Rows that are here already' }) here!: number;
  @ApiProperty({ description: 'Rows that are here in another form, which stays' }) differing!: number;
  @ApiProperty({ description: 'Rows that cannot come in' }) refused!: number;
}

export class ImportView extends RowView {
  @ApiProperty() fileName!: string;
  @ApiProperty({ enum: IMPORT_STATES, enumName: 'ImportState' }) state!: ImportState;
  @ApiProperty({ type: 'integer' }) rowsRead!: number;
  @ApiProperty({ type: [ImportTableView] }) tables!: ImportTableView[];
  @ApiProperty({ type: [String], description: 'Files that are of no table' }) notRead!: string[];
  @ApiProperty({ type: String, nullable: true, description: 'Why it cannot be read or taken' }) problem!: string | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) takenAt!: string | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) takenBackAt!: string | null;
  @ApiProperty({ type: String, format: 'date-time', nullable: true, description: 'Until when it can be taken back' })
  takeBackUntil!: string | null;
}

export class ImportRowsQuery extends PageQuery {
  @ChoiceField({ of: OUTCOMES, name: 'ImportOutcome', optional: true })
  outcome?: Outcome;
}

export class ImportErrorView {
  @ApiProperty() path!: string;
  @ApiProperty() message!: string;
}

export class ImportRowView {
  @ApiProperty({ type: 'integer' }) seq!: number;
  @ApiProperty() file!: string;
  @ApiProperty({ type: 'integer', description: 'Line of the file' }) line!: number;
  @ApiProperty({ enum: OUTCOMES, enumName: 'ImportOutcome' }) outcome!: Outcome;
  @ApiProperty({ type: [ImportErrorView] }) errors!: ImportErrorView[];
}

export class ChangedRowsView {
  @ApiProperty({ enum: [...TABLES.map(({ name }) => name), 'shot_traces'], enumName: 'TransferTable' }) table!: string;
  @ApiProperty({ type: 'integer' }) rows!: number;
}

/** What stands in the way of taking an import back, and what goes with it. */
export class SinceImportView {
  @ApiProperty({ type: [ChangedRowsView], description: 'Changed here since: they go, too' }) edited!: ChangedRowsView[];
  @ApiProperty({
    type: [ChangedRowsView],
    description: 'Written since on what it brought: nothing can be taken back while they stand',
  })
  hungOn!: ChangedRowsView[];
}

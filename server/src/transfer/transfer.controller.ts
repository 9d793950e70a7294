import {
  Body,
  Controller,
  Get,
  Param,
  ParseUUIDPipe,
  Put,
  Query,
  Res,
  UploadedFiles,
  UseInterceptors,
} from '@nestjs/common';
import { FilesInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiOkResponse, ApiOperation, ApiParam, ApiProduces } from '@nestjs/swagger';
import type { Response } from 'express';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { Problem } from '../common/problem';
import { ListQuery, pageOf, type Page } from '../common/rows';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import {
  ImportRowsQuery,
  ImportRowView,
  ImportView,
  MatchDto,
  RememberedMatchView,
  SinceImportView,
} from './import.dto';
import { matchOf, TransferService } from './transfer.service';

/** A million shots as CSV are 300 MB. */
const MOST_BYTES = 2 * 1024 ** 3;
const MOST_FILES = 60;

const ImportPage = pageOf(ImportView, 'ImportPage');
const ImportRowPage = pageOf(ImportRowView, 'ImportRowPage');
const MatchPage = pageOf(RememberedMatchView, 'RememberedMatchPage');

/** A file as multer leaves it on disk. */
interface Upload {
  path: string;
  originalname: string;
}

const checkMatch = validated(MatchDto);

@Controller('export')
export class ExportsController {
  constructor(private readonly transfer: TransferService) {}

  @Get('shop.zip')
  @ApiOperation({ operationId: 'exportShop', summary: 'Read the whole shop as one ZIP of CSV files' })
  @ApiProduces('application/zip')
  @ApiOkResponse({ schema: { type: 'string', format: 'binary' } })
  async shop(@CurrentShop() shopId: string, @Res() response: Response): Promise<void> {
    send(response, await this.transfer.zip(shopId), 'shop.zip');
  }

  @Get('tables/:file')
  @ApiOperation({ operationId: 'exportTable', summary: 'Read one table as CSV or as JSON' })
  @ApiParam({ name: 'file', description: 'The table and its form: shots.csv, shots.json', example: 'shots.csv' })
  @ApiProduces('text/csv', 'application/json')
  @ApiOkResponse({ schema: { type: 'string' } })
  async table(@CurrentShop() shopId: string, @Param('file') file: string, @Res() response: Response): Promise<void> {
    send(response, await this.transfer.table(shopId, file), file);
  }

  @Get('cards/:file')
  @ApiOperation({ operationId: 'exportCard', summary: 'Read a card as Markdown or as schema.org Recipe (JSON-LD)' })
  @ApiParam({ name: 'file', description: 'The card and its form: {id}.md, {id}.jsonld' })
  @ApiProduces('text/markdown', 'application/ld+json')
  @ApiOkResponse({ schema: { type: 'string' } })
  async card(@CurrentShop() shopId: string, @Param('file') file: string, @Res() response: Response): Promise<void> {
    const { name, type, text } = await this.transfer.card(shopId, file);
    response.type(type).attachment(name).send(text);
  }
}

/** Sent as a file to keep, then removed here. */
function send(response: Response, path: string, name: string): void {
  // Errors of a line that was cut are nobody's.
  response.type(name).download(path, name, { dotfiles: 'allow' }, () => void rm(path, { force: true }));
}

@Controller('imports')
export class ImportsController {
  constructor(private readonly transfer: TransferService) {}

  @Get()
  @ApiOperation({ operationId: 'listImports', summary: 'List what was brought in from files' })
  @ApiOkResponse({ type: ImportPage })
  list(
    @CurrentShop() shopId: string,
    @Query(validated(ListQuery, { query: true })) query: ListQuery,
  ): Promise<Page<ImportView>> {
    return this.transfer.list(shopId, query);
  }

  @Get(':id')
  @ApiOperation({ operationId: 'getImport', summary: 'Read what a file would bring, or brought' })
  @ApiOkResponse({ type: ImportView })
  get(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<ImportView> {
    return this.transfer.get(shopId, id);
  }

  @Get(':id/rows')
  @ApiOperation({ operationId: 'listImportRows', summary: 'List the rows of a file with what becomes of each' })
  @ApiOkResponse({ type: ImportRowPage })
  rows(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(ImportRowsQuery, { query: true })) query: ImportRowsQuery,
  ): Promise<Page<ImportRowView>> {
    return this.transfer.rows(shopId, id, query);
  }

  @Get(':id/since')
  @ApiOperation({ operationId: 'getSinceImport', summary: 'Read what was changed here since a file was taken' })
  @ApiOkResponse({ type: SinceImportView })
  since(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<SinceImportView> {
    return this.transfer.since(shopId, id);
  }

  @Put(':id')
  @UseInterceptors(
    FilesInterceptor('files', MOST_FILES, {
      dest: tmpdir(),
      limits: { fileSize: MOST_BYTES, fields: 1, fieldSize: 100_000 },
      ...({ defParamCharset: 'utf8' } as object),
    }),
  )
  @ApiConsumes('multipart/form-data')
  @ApiOperation({
    operationId: 'putImport',
    summary: 'Bring files to be read',
    description: 'A ZIP of a shop, or CSV or JSON files named after their table. Nothing of the shop changes by it.',
  })
  @ApiBody({
    schema: {
      type: 'object',
      properties: {
        files: { type: 'array', items: { type: 'string', format: 'binary' } },
        match: { type: 'string', description: 'A MatchDto as JSON, for one CSV of another house' },
      },
      required: ['files'],
    },
  })
  @ApiOkResponse({ type: ImportView })
  async bring(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @UploadedFiles() uploads: Upload[] | undefined,
    @Body() body: { match?: unknown } | undefined,
  ): Promise<ImportView> {
    const files = uploads ?? [];
    try {
      if (files.length === 0)
        throw new Problem('invalid', 'No file was sent.', [{ path: 'files', message: 'must hold a file' }]);
      const match = await readMatch(body?.match);
      const given = files.map(({ path, originalname }) => ({
        path,
        name: plainName(originalname),
        match: match && matchOf(match),
      }));
      return await this.transfer.bring(shopId, id, given, match);
    } catch (error) {
      await Promise.all(files.map(({ path }) => rm(path, { force: true })));
      throw error;
    }
  }

  @Put(':id/taken')
  @ApiOperation({ operationId: 'takeImport', summary: 'Take what is new in a file that was read' })
  @ApiOkResponse({ type: ImportView })
  take(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<ImportView> {
    return this.transfer.take(shopId, id);
  }

  @Put(':id/taken-back')
  @ApiOperation({ operationId: 'takeBackImport', summary: 'Take back, as a whole, what a file brought' })
  @ApiOkResponse({ type: ImportView })
  takeBack(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<ImportView> {
    return this.transfer.takeBack(shopId, id);
  }
}

@Controller('import-matches')
export class ImportMatchesController {
  constructor(private readonly transfer: TransferService) {}

  @Get()
  @ApiOperation({ operationId: 'listImportMatches', summary: 'List how files of other houses were read before' })
  @ApiOkResponse({ type: MatchPage })
  list(
    @CurrentShop() shopId: string,
    @Query(validated(ListQuery, { query: true })) query: ListQuery,
  ): Promise<Page<RememberedMatchView>> {
    return this.transfer.matches(shopId, query);
  }
}

/** A name is shown and stored: control characters have no place in it. */
const plainName = (name: string): string => name.replace(/\p{Cc}/gu, ' ').trim();

async function readMatch(text: unknown): Promise<MatchDto | null> {
  if (text === undefined || text === '') return null;
  let value: unknown;
  try {
    value = JSON.parse(String(text));
  } catch {
    throw new Problem('invalid', 'The match cannot be read.', [{ path: 'match', message: 'must be JSON' }]);
  }
  return checkMatch.transform(value, { type: 'body', metatype: MatchDto }) as Promise<MatchDto>;
}

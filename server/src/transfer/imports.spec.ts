import fc from 'fast-check';
import { stringify } from 'csv-stringify/sync';
import { buffer } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { v7 } from 'uuid';
import { ZipFile } from 'yazl';
import { furnish, shotBody, testHouse, type Furnished } from '../testing/testHouse';
import { cellOf, escapeFormula, readCell, unescapeFormula } from './cells';
import { recordsOf, Unreadable } from './rowsIn';
import type { ImportRowView, ImportView } from './import.dto';

const house = testHouse();
let ids: Furnished;
beforeAll(async () => {
  ids = await furnish(house, ' imports');
});

async function bring(content: string | Buffer, name: string, match?: object, id = v7()): Promise<ImportView> {
  const request = house.api.put(`/api/imports/${id}`).attach('files', Buffer.from(content), name);
  if (match) request.field('match', JSON.stringify(match));
  let view = (await request.expect(200)).body as ImportView;
  while (view.state === 'reading' || view.state === 'taking') view = await house.get<ImportView>(`imports/${id}`);
  return view;
}

const refused = async ({ id }: ImportView): Promise<ImportRowView[]> =>
  (await house.get<{ items: ImportRowView[] }>(`imports/${id}/rows`, { outcome: 'refused' })).items;

const take = async ({ id }: ImportView): Promise<ImportView> =>
  (await house.put(`imports/${id}/taken`, {}).expect(200)).body as ImportView;

function zipOf(files: Record<string, string>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  return buffer(zip.outputStream as Readable);
}
const MANIFEST = JSON.stringify({ format: 'olvet.shop/1' });

describe('a file that is brought', () => {
  it('changes nothing until it is taken, then all of it, and is taken back whole', async () => {
    const csv = 'name,roast,notes\r\nGull Rock,medium,"=1+1, sweet"\r\nPale Buoy,light,\r\n';
    const view = await bring(csv, 'coffees.csv');
    expect(view).toMatchObject({ state: 'read', tables: [{ table: 'coffees', fresh: 2, here: 0, refused: 0 }] });
    const names = async (): Promise<string[]> =>
      (await house.get<{ items: { name: string }[] }>('coffees')).items.map(({ name }) => name);
    expect(await names()).not.toContain('Gull Rock');
    expect(await take(view)).toMatchObject({ state: 'taken' });
    expect(await names()).toEqual(expect.arrayContaining(['Gull Rock', 'Pale Buoy']));
    expect(await bring(csv, 'coffees.csv')).toMatchObject({ tables: [{ fresh: 0, here: 2 }] });
    await house.put(`imports/${view.id}/taken-back`, {}).expect(200);
    expect(await names()).not.toContain('Gull Rock');
    await house.put(`imports/${view.id}/taken`, {}).expect(409);
  });

  it('is read where an older Olvet wrote it: without the tables and columns of today', async () => {
    const baskets = `id,name,nominal_g,min_g,max_g\r\n${v7()},14 g old,14,13,15\r\n`;
    const zip = await zipOf({ 'olvet.json': MANIFEST, 'baskets.csv': baskets, 'cards/any.md': '# A card' });
    const view = await bring(zip, 'shop.zip');
    expect(view).toMatchObject({ state: 'read', notRead: [], tables: [{ table: 'baskets', fresh: 1, refused: 0 }] });
    expect(await take(view)).toMatchObject({ state: 'taken' });
    const { items } = await house.get<{ items: { name: string; shape: string }[] }>('baskets');
    expect(items.find(({ name }) => name === '14 g old')).toMatchObject({ shape: 'straight' });
  });

  it('says row by row what is wrong and leaves those out', async () => {
    const view = await bring(
      'name,roast,altitude_m\r\nGood,medium,1200\r\nBad,burnt,1200\r\nHigh,light,90000\r\n,dark,1\r\nShort,dark\r\nWord,dark,high\r\n',
      'coffees.csv',
    );
    expect(view.tables).toMatchObject([{ fresh: 1, refused: 5 }]);
    const rows = await refused(view);
    expect(rows.map(({ line, errors }) => [line, errors[0]!.path])).toEqual([
      [3, 'roast'],
      [4, 'altitudeM'],
      [5, 'name'],
      [6, ''],
      [7, 'altitude_m'],
    ]);
  });

  it('refuses shots of a station that is neither here nor in the file', async () => {
    const row = (stationId: string): string => `${stationId},2026-03-01T08:00:00Z,18,36,29,pump-on,12\r\n`;
    const head = 'station_id,pulled_at,dose_g,yield_g,time_s,timer,grind\r\n';
    const view = await bring(head + row(ids.stationId) + row(v7()), 'shots.csv');
    expect(view.tables).toMatchObject([{ table: 'shots', fresh: 1, refused: 1 }]);
    expect((await refused(view))[0]).toMatchObject({ line: 3, errors: [{ path: 'stationId' }] });
  });

  it('keeps what was written on it since, and says so', async () => {
    const bowl = 'id,name,roast\r\n';
    const coffeeId = v7();
    const view = await take(await bring(`${bowl}${coffeeId},Lantern Blend,medium\r\n`, 'coffees.csv'));
    await house.put(`bags/${v7()}`, { coffeeId, weightGrams: 250 }).expect(200);
    const coffee = await house.get(`coffees/${coffeeId}`);
    await house
      .put(`coffees/${coffeeId}`, {
        name: 'Lantern',
        roast: 'medium',
        revision: (coffee as { revision: number }).revision,
      })
      .expect(200);
    expect(await house.get(`imports/${view.id}/since`)).toEqual({
      edited: [{ table: 'coffees', rows: 1 }],
      hungOn: [{ table: 'bags', rows: 1 }],
    });
    await house.put(`imports/${view.id}/taken-back`, {}).expect(409);
  });

  it.each<[string, () => Promise<Buffer | string> | Buffer | string, string]>([
    ['is of no table', () => 'a,b\r\n1,2\r\n', 'figures.csv'],
    ['has a column that is none', () => 'name,roast,stars\r\n', 'coffees.csv'],
    ['is empty', () => '', 'coffees.csv'],
    ['is another encoding', () => Buffer.from([0x6e, 0x61, 0x6d, 0x65, 0x0a, 0xe9, 0x0a]), 'coffees.csv'],
    ['is UTF-16', () => Buffer.from('\ufeffname,roast\n', 'utf16le'), 'coffees.csv'],
    ['has a quote without an end', () => 'name,roast\r\n"Gull,dark\r\n', 'coffees.csv'],
    ['is a ZIP cut off', async () => (await zipOf({ 'olvet.json': MANIFEST })).subarray(0, 60), 'shop.zip'],
    ['is a ZIP of something else', () => zipOf({ 'notes.txt': 'x' }), 'shop.zip'],
    ['is of a format to come', () => zipOf({ 'olvet.json': '{"format":"olvet.shop/9"}' }), 'shop.zip'],
    [
      'unpacks to far more',
      () => zipOf({ 'olvet.json': MANIFEST, 'shots.csv': '0'.repeat(40 * 1024 ** 2) }),
      'shop.zip',
    ],
    [
      'has a path in a name',
      async () => renamed(await zipOf({ 'olvet.json': MANIFEST, 'aa/bb/c': 'x' }), 'aa/bb/c', '../../c'),
      'shop.zip',
    ],
  ])('is refused in words where it %s', async (_, content, name) => {
    const view = await bring(await content(), name);
    expect(view).toMatchObject({ state: 'unreadable', tables: [] });
    expect(view.problem).toMatch(/\w+ .*[.]$/);
    await house.put(`imports/${view.id}/taken`, {}).expect(409);
  });

  it('says after a day that it must be sent again', async () => {
    const view = await bring('name,roast\r\nOld Rope,dark\r\n', 'coffees.csv');
    await house.sequelize.query(
      `UPDATE imports SET "createdAt" = now() - interval '25 hours' WHERE "id" = '${view.id}'`,
    );
    await bring('name,roast\r\n', 'coffees.csv');
    expect(await house.get(`imports/${view.id}`)).toMatchObject({ state: 'unreadable' });
    await house.put(`imports/${view.id}/taken`, {}).expect(409);
  });

  it('asks for a file', async () => {
    await house.put(`imports/${v7()}`, {}).expect(422);
  });
});

/** The same bytes with another name of the same length: no writer makes such a ZIP. */
const renamed = (zip: Buffer, from: string, to: string): Buffer =>
  Buffer.from(zip.toString('latin1').replaceAll(from, to), 'latin1');

describe('a file of another house', () => {
  const lines = [
    '\ufeffDatum;Bohne;Mahlgrad;Dosis (g);Ertrag;Zeit;Note;Egal',
    '03.02.2026 08:15;Kap Nord;11,5;18,1 g;36,4;0:28;7;x',
    '04.02.2026;Kap Nord;11,5;18,0;36,0;29,5;;x',
    '31.02.2026;Kap Nord;11,5;18,0;36,0;29,5;;x',
    '05.02.2026 09:00;Saltmarsh imports;12;18;1.200,0;30;8;x',
  ];
  const headers = ['Datum', 'Bohne', 'Mahlgrad', 'Dosis (g)', 'Ertrag', 'Zeit', 'Note', 'Egal'];
  const columns = ['pulled_at', 'coffee', 'grind', 'dose_g', 'yield_g', 'time_s', 'overall', null];
  const match = (newRoast: string | null) => ({
    ...{ table: 'shots', delimiter: ';', decimal: ',', dates: 'dmy', stationId: ids.stationId, newRoast },
    columns: headers.map((header, i) => ({ header, column: columns[i] })),
  });

  it('is read by what its columns were said to be, which is remembered', async () => {
    const view = await bring(lines.join('\n'), 'log.csv', match('medium'));
    expect(view.problem).toBeNull();
    expect(view.tables).toMatchObject([
      { table: 'coffees', fresh: 1 },
      { table: 'shots', fresh: 2, refused: 2 },
      { table: 'tastings', fresh: 1 },
    ]);
    expect((await refused(view)).map(({ line, errors }) => [line, errors[0]!.path])).toEqual([
      [4, 'pulled_at'],
      [5, 'yieldGrams'],
      [5, 'shotId'],
    ]);
    await take(view);
    const { items } = await house.get<{ items: Record<string, unknown>[] }>('shots', { stationId: ids.stationId });
    expect(items.filter(({ pulledAt }) => String(pulledAt).startsWith('2026-02'))).toMatchObject([
      { hourKnown: false, timeSeconds: 29.5, doseGrams: 18 },
      { hourKnown: true, timeSeconds: 28, doseGrams: 18.1, grind: 11.5, kind: 'service' },
    ]);
    const again = await bring(lines.join('\n'), 'log.csv', match('medium'));
    expect(again.tables.map(({ fresh }) => fresh)).toEqual([0, 0]);
    const { items: known } = await house.get<{ items: { headers: string[] }[] }>('import-matches');
    expect(known.map((each) => each.headers)).toEqual([headers]);
  });

  it('refuses coffees nobody knows where none are to be added', async () => {
    const view = await bring(lines.join('\n').replaceAll('Kap Nord', 'Kap Süd'), 'log.csv', match(null));
    expect((await refused(view)).filter(({ errors }) => errors[0]!.path === 'coffee')).toHaveLength(2);
  });
});

describe('every reader', () => {
  it('takes away the mark that makes a formula harmless, whatever the text', () => {
    fc.assert(fc.property(fc.string(), (text) => unescapeFormula(escapeFormula(text)) === text));
    const risky = fc.tuple(fc.constantFrom('=', '+', '-', '@', '\t', '\r'), fc.string()).map((parts) => parts.join(''));
    fc.assert(fc.property(risky, (text) => !/^[=+\-@\t\r]/.test(escapeFormula(text))));
  });

  it('reads numbers back as they were', () => {
    const column = { header: 'dose_g', name: 'doseGrams', kind: 'number', isRequired: false } as const;
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
        const cell = cellOf(String(value), column);
        expect(readCell(cell, column)).toEqual({ value: Number(String(value)) });
      }),
    );
  });

  it('reads the records that were written', async () => {
    const cell = fc.string({ unit: 'grapheme' }).filter((text) => !text.includes('\u0000'));
    const table = fc
      .integer({ min: 2, max: 5 })
      .chain((n) => fc.array(fc.array(cell, { minLength: n, maxLength: n }), { minLength: 1, maxLength: 6 }));
    await fc.assert(
      fc.asyncProperty(table, async (rows) => {
        const text = stringify([['a', 'b', 'c', 'd', 'e'].slice(0, rows[0]!.length), ...rows], {
          record_delimiter: 'windows',
        });
        const read: string[][] = [];
        for await (const { cells } of recordsOf(Readable.from([Buffer.from(text)]))) read.push(cells);
        expect(read.slice(1)).toEqual(rows);
      }),
      { numRuns: 40 },
    );
  });

  it('never crashes on random bytes', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), async (bytes) => {
        try {
          for await (const record of recordsOf(Readable.from([Buffer.from(bytes)])))
            expect(record.cells.length).toBeGreaterThan(0);
        } catch (error) {
          expect(error).toBeInstanceOf(Unreadable);
        }
      }),
    );
    const prefixed = fc.tuple(
      fc.constantFrom('', 'PK\u0003\u0004', 'name,roast\n', '['),
      fc.uint8Array({ maxLength: 300 }),
    );
    await fc.assert(
      fc.asyncProperty(
        prefixed,
        fc.constantFrom('coffees.csv', 'coffees.json', 'shop.zip'),
        async ([start, rest], name) => {
          const view = await bring(Buffer.concat([Buffer.from(start, 'latin1'), Buffer.from(rest)]), name);
          expect(['read', 'unreadable']).toContain(view.state);
          expect(view.problem ?? '').not.toBe('It could not be read. Send it again.');
        },
      ),
      { numRuns: 25 },
    );
  });
});

it('leaves as CSV and as JSON, with nobody’s secrets', async () => {
  await house.put(`shots/${v7()}`, shotBody(ids, { note: '=HYPERLINK("x")' })).expect(200);
  const { text, headers } = await house.api.get('/api/export/tables/shots.csv').expect(200);
  expect(headers['content-disposition']).toContain('shots.csv');
  expect(text.split('\r\n')[0]).toMatch(/^id,.*,dose_g,.*,yield_g,.*,station,coffee,balance,/);
  expect(text).toContain(`"'=HYPERLINK(""x"")"`);
  const { body } = await house.api.get('/api/export/tables/coffees.json').expect(200);
  expect((body as { name: string }[]).map(({ name }) => name)).toContain('Saltmarsh imports');
  await house.api.get('/api/export/tables/tablets.csv').expect(404);
  await house.api.get('/api/export/tables/devices.json').expect(404);
});

import type { OpenAPIObject } from '@nestjs/swagger';
import { sample } from 'openapi-sampler';

/** Values of the made-up shop, by the name of the field; other fields show the first that their schema allows. */
const VALUES: Record<string, unknown> = {
  name: 'Saltmarsh',
  coffeeName: 'Saltmarsh',
  stationName: 'Left bar',
  grinderName: 'Lefty',
  machineName: 'Twin',
  basketName: '18 g',
  methodName: 'Balance walk',
  methodId: 'balance-walk',
  person: 'Ines',
  pulledBy: 'Ines',
  changedBy: 'Oda',
  setBy: 'Oda',
  hour: '08:12',
  currency: 'EUR',
  timeZone: 'Europe/Lisbon',
  doseGrams: 18.1,
  yieldGrams: 36.8,
  timeSeconds: 28.5,
  temperatureC: 93,
  grind: 14,
  startGrind: 14,
  weightGrams: 1000,
  nominalGrams: 18,
  minGrams: 16,
  maxGrams: 20,
  purgeGrams: 12,
  revision: 1,
  roastedOn: '2026-02-20',
  openedOn: '2026-03-01',
  day: '2026-03-01',
  warmUpMinutes: 25,
  pumpBar: 9,
  altitudeM: 1600,
  arabicaPercent: 100,
  middleSeconds: 30,
  tdsPercent: 8.5,
  firstDripSeconds: 6,
  grindSeconds: 4.5,
  priceCents: 3200,
  cupGrams: [18.2, 18.6],
  checkTimes: ['12:00', '15:00'],
  assumed: [],
  deviceIds: [],
  looks: [],
  ownerName: 'Ines',
};
/** The same where a schema means something else by the name. */
const OF_SCHEMA: Record<string, Record<string, unknown>> = {
  SecondsWindowDto: { min: 27, max: 33 },
  TemperatureScaleDto: { min: 88, max: 97, step: 0.5 },
  GrinderDto: { name: 'Lefty', min: 0, max: 40, step: 0.5 },
  MachineDto: { name: 'Twin' },
  BasketDto: { name: '18 g' },
  StationDto: { name: 'Left bar' },
  DeviceDto: { name: 'Drip tray scale' },
  BarScaleDto: { name: 'Drip tray scale' },
  ShopDto: { name: 'Lantern Quay' },
  EnterDto: { name: 'Left bar tablet' },
};
/** Ends of things, and what stands in for a scale: an example is of one in use, and weighed. */
const OPEN = ['yieldMl', 'retiredAt', 'finishedAt', 'removedAt', 'endedAt', 'to'];
const INSTANT = '2026-03-01T06:43:00.000Z';
const ID = '0195512e-7a00-7000-8000-000000000001';

interface Schema {
  type?: string;
  format?: string;
  nullable?: boolean;
  example?: unknown;
  properties?: Record<string, Schema>;
  items?: Schema;
}

interface Content {
  schema?: Schema;
  example?: unknown;
}

/** One example for every body and answer, put together from its fields. */
export function addExamples(document: OpenAPIObject): void {
  for (const [of, schema] of Object.entries((document.components?.schemas ?? {}) as Record<string, Schema>)) {
    const own = OF_SCHEMA[of] ?? OF_SCHEMA[of.replace(/View$/, 'Dto')];
    for (const [name, property] of Object.entries(schema.properties ?? {})) giveValue(name, property, own?.[name]);
  }
  for (const content of contentsOf(document)) {
    if (content.schema && content.example === undefined) {
      content.example = sample(content.schema as never, { quiet: true }, document);
    }
  }
}

function giveValue(name: string, property: Schema, own: unknown): void {
  if (property.example !== undefined) return;
  if (own !== undefined) property.example = own;
  else if (property.nullable && OPEN.includes(name)) property.example = null;
  else if (property.format === 'date-time') property.example = INSTANT;
  else if (property.format === 'uuid') property.example = ID;
  else if (name in VALUES && isOf(VALUES[name], property.type)) property.example = VALUES[name];
}

function isOf(value: unknown, type: string | undefined): boolean {
  return type === (Array.isArray(value) ? 'array' : typeof value) || (type === 'integer' && Number.isInteger(value));
}

function contentsOf(document: OpenAPIObject): Content[] {
  return Object.values(document.paths).flatMap((path) =>
    [path.get, path.put, path.post].flatMap((operation) => {
      if (!operation) return [];
      const bodies = [operation.requestBody, ...Object.values(operation.responses)];
      return bodies.flatMap((body) => Object.values((body as { content?: Record<string, Content> })?.content ?? {}));
    }),
  );
}

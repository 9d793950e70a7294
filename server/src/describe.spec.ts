import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { v7 } from 'uuid';
import { describeApi } from './description/document';
import { testHouse } from './testing/testHouse';

const house = testHouse();

interface Documented {
  paths: Record<string, { put?: { requestBody?: { content: Record<string, { example: object }> } } }>;
}

it('is described by docs/openapi.json, from which the page’s client is generated', () => {
  const now = JSON.parse(JSON.stringify(describeApi(house.app))) as unknown;
  // On a difference: npm run api:generate
  expect(JSON.parse(readFileSync(resolve(__dirname, '../../docs/openapi.json'), 'utf8'))).toEqual(now);
});

it('takes every example of the document as a body, as far as what it refers to is there', async () => {
  const { paths } = describeApi(house.app) as unknown as Documented;
  const answers: Record<string, number> = {};
  for (const [path, { put }] of Object.entries(paths)) {
    const example = put?.requestBody?.content['application/json']?.example;
    if (!example) continue;
    const at = path
      .replace('/api/', '')
      .replace('{person}', 'Ines')
      .replaceAll(/\{\w+\}/g, () => v7());
    answers[path] = (await house.put(at, example)).status;
  }
  const statuses = Object.entries(answers);
  expect(statuses.filter(([, status]) => ![200, 204, 404, 409, 422].includes(status))).toEqual([]);
  expect(statuses.filter(([, status]) => status < 300).length).toBeGreaterThanOrEqual(7);
});

import { pino } from 'pino';
import { Sequelize } from 'sequelize';
import { quietLog } from './quietLog';

const logged = (what: object): string => {
  const lines: string[] = [];
  const { redact, serializers } = quietLog('info');
  pino({ redact, serializers }, { write: (line: string) => lines.push(line) }).error(what, 'A request failed');
  return lines.join('');
};

describe('the log', () => {
  it('holds no cookies and no keys', () => {
    const headers = { cookie: 'olvet_tablet=secret', authorization: 'Bearer secret', host: 'localhost' };
    const line = logged({ req: { headers }, res: { headers: { 'set-cookie': 'secret' } } });
    expect(line).not.toContain('secret');
    expect(line).toContain('localhost');
  });

  it('holds no statement of the database and none of its values', async () => {
    const address = process.env.TEST_DATABASE_URL!;
    const sequelize = new Sequelize(address, { logging: false });
    const error: unknown = await sequelize
      .query(`SELECT 'a secret note'::integer, :note`, { replacements: { note: 'a secret note' } })
      .catch((failure: unknown) => failure);
    await sequelize.close();
    const line = logged({ err: error });
    expect(line).not.toContain('secret');
    expect(line).toContain('22P02');
  });
});

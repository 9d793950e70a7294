import { Intake, MOST_PER_SECOND, readDeviceLine, readOlvetLine, writeLine, type DeviceReport } from '.';

const hello = {
  type: 'hello',
  protocol: 'olvet.device/1',
  key: '0123456789abcdef',
  kind: 'scale',
  name: 'Bench scale',
  unit: 'g',
  capabilities: ['tare'],
  session: 'a',
  oldest: 1,
};
const grams = (seq: number, ms: number, value = 1): DeviceReport => ({
  ...{ type: 'reading', seq, ms, values: { grams: value } },
});

describe('a line of a device', () => {
  const wrong = (change: object): string => {
    const read = readDeviceLine(JSON.stringify({ ...hello, ...change }));
    return read.ok ? 'ok' : read.error;
  };

  it('is read as it was written', () => {
    const read = readDeviceLine(JSON.stringify(hello));
    expect(read).toEqual({ ok: true, message: hello });
    if (read.ok) expect(readDeviceLine(writeLine(read.message))).toEqual(read);
  });

  it.each([
    ['unit', { unit: 'oz' }],
    ['capabilities[0]', { capabilities: ['grind'] }],
    ['kind', { kind: 'kettle' }],
    ['key', { key: 'short' }],
    ['name', { name: ' ' }],
    ['secret', { secret: 1 }],
  ])('names the field that is wrong: %s', (field, change) => {
    expect(wrong(change)).toContain(field.replace(/\[0\]/, ''));
  });

  it.each(['', '{', '[]', 'null', '1', '"hello"', `"${'x'.repeat(5000)}"`, '{"type":"reading","seq":1,"ms":0}'])(
    'is refused in words where it is garbage: %.20s',
    (line) => {
      const read = readDeviceLine(line);
      expect(read.ok).toBe(false);
    },
  );

  it('leaves out what a later Olvet says', () => {
    expect(readOlvetLine('{"type":"got","seq":4,"more":true}')).toEqual({ ok: true, message: { type: 'got', seq: 4 } });
  });
});

describe('the intake', () => {
  it('takes every report once, however often it is repeated', () => {
    const intake = new Intake('scale');
    const sent = [grams(1, 0), grams(2, 50), grams(1, 0), grams(2, 50), grams(3, 100)];
    expect(sent.map((report) => intake.take(report, 0).is)).toEqual(['new', 'new', 'known', 'known', 'new']);
    expect(intake.next).toBe(4);
  });

  it('refuses a clock that runs backwards and figures no scale can show', () => {
    const intake = new Intake('scale');
    intake.take(grams(1, 1000), 0);
    expect(intake.take(grams(2, 900), 0)).toMatchObject({ is: 'bad' });
    expect(intake.take(grams(3, 1100, 1e6), 0)).toMatchObject({ is: 'bad' });
    expect(intake.take({ type: 'reading', seq: 4, ms: 1200, values: { bar: 9 } }, 0)).toMatchObject({ is: 'bad' });
    expect(intake.take(grams(5, 1300), 0)).toEqual({ is: 'new' });
  });

  it('lets ten thousand a second through at no more than a scale needs, and gives up on them', () => {
    const intake = new Intake('scale');
    const seconds = 100;
    let taken = 0;
    for (let i = 0; i < 10_000 * seconds && !intake.isHopeless; i += 1) {
      if (intake.take(grams(i + 1, i / 10), i / 10_000).is === 'new') taken += 1;
    }
    expect(intake.isHopeless).toBe(true);
    expect(taken).toBeLessThan(6000 + 2 * MOST_PER_SECOND);
  });

  it('takes a minute of a fast scale at once after a break', () => {
    const intake = new Intake('scale');
    const repeated = Array.from({ length: 1200 }, (_, i) => intake.take(grams(i + 1, 50 * i), 0).is);
    expect(new Set(repeated)).toEqual(new Set(['new']));
  });
});

import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { dtoOf, furnish, testHouse, shotBody, type Furnished } from '../testing/testHouse';

const house = testHouse();

/** Events of the feed by their summary, long lines unfolded (RFC 5545 §3.1). */
async function events(): Promise<Map<string, string>> {
  const { text } = await house.api.get('/api/calendar.ics').expect(200);
  const blocks = text.replaceAll('\r\n ', '').split('BEGIN:VEVENT').slice(1);
  return new Map(blocks.map((block) => [/SUMMARY:(.*)\r/.exec(block)![1]!, block]));
}
const day = (daysAgo: number): string => dayjs().subtract(daysAgo, 'day').format('YYYY-MM-DD');
const stamp = (daysAhead: number): string => dayjs().add(daysAhead, 'day').format('YYYYMMDD');
const bag = (ids: Furnished, change: object) =>
  house.put(`bags/${v7()}`, { coffeeId: ids.coffeeId, weightGrams: 500, ...change }).expect(200);

describe('the calendar', () => {
  it('switches a machine on as long before opening as it takes to warm up', async () => {
    const ids = await furnish(house, ' warm');
    const machine = dtoOf(await house.get(`machines/${ids.machineId}`));
    await house.put(`machines/${ids.machineId}`, { ...machine, warmUpMinutes: 45 }).expect(200);
    const event = (await events()).get('Switch on Twin warm')!;
    expect(event).toMatch(/DTSTART:\d{8}T061500\r/);
    expect(event).toMatch(/DTEND:\d{8}T070000\r/);
    expect(event).toContain('RRULE:FREQ=DAILY');
  });

  it('forgets a machine no station uses', async () => {
    await house.put(`machines/${v7()}`, { name: 'Spare' }).expect(200);
    expect([...(await events()).keys()]).not.toContain('Switch on Spare');
  });

  it('asks for check shots at the hours the shop has set', async () => {
    await furnish(house, ' checked');
    const { isDemo: _isDemo, ...shop } = dtoOf(await house.get('shop')) as Record<string, unknown>;
    await house.put('shop', { ...shop, checkTimes: ['10:15'] }).expect(200);
    const { text } = await house.api.get('/api/calendar.ics').expect(200);
    const starts = text.split('BEGIN:VEVENT').filter((event) => event.includes('Check shot at every station'));
    expect(starts.map((event) => /DTSTART:\d{8}T(\d{4})/.exec(event)![1])).toEqual(['1015']);
  });

  it('says when a coffee comes into its own, and nothing of days gone by', async () => {
    const ids = await furnish(house, ' rests');
    await bag(ids, { roastedOn: day(4) });
    const soon = await events();
    // A medium roast is at its best from day 10 to day 28.
    expect(soon.get('Saltmarsh rests comes into its own')).toContain(`DTSTART;VALUE=DATE:${stamp(6)}`);
    expect(soon.get('Last of the best days of Saltmarsh rests')).toContain(`DTSTART;VALUE=DATE:${stamp(24)}`);
    const old = await furnish(house, ' old');
    await bag(old, { roastedOn: day(60) });
    expect([...(await events()).keys()].filter((summary) => summary.includes('Saltmarsh old'))).toEqual([]);
  });

  it('says when the open bag runs out at its pace', async () => {
    const ids = await furnish(house, ' runs out');
    await bag(ids, { weightGrams: 250, roastedOn: day(20), openedOn: day(3) });
    for (let i = 0; i < 7; i += 1) {
      const pulledAt = dayjs().subtract(2, 'day').toISOString();
      await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt, doseGrams: 18 })).expect(200);
    }
    // 250 − 126 g left at 126 g in two weeks: 13 days.
    const event = (await events()).get('The open bag of Saltmarsh runs out runs out about now');
    expect(event).toContain(`DTSTART;VALUE=DATE:${stamp(13)}`);
  });

  it('writes a name with commas and semicolons as the standard asks', async () => {
    const ids = await furnish(house, ' odd; name, with\nall');
    await bag(ids, { roastedOn: day(1) });
    const { text } = await house.api.get('/api/calendar.ics').expect(200);
    expect(text.replaceAll('\r\n ', '')).toContain('odd\\; name\\, with');
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });
});

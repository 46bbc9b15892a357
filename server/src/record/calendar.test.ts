import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CalendarAddress, DueBack } from '@mendum/core/operations';
import { startServer, type TestServer } from '../test/server.ts';
import { calendarOf } from './calendar.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const set = async (on: boolean): Promise<CalendarAddress> =>
  (await server.write('put', '/calendar', { on }).expect(200)).body as CalendarAddress;
const told = async (path: string): Promise<string> => (await server.http.get(path).expect(200)).text;
/** Long lines are folded in the file: whoever reads it puts them together. */
const whole = (text: string): string => text.replaceAll(/\r?\n[ \t]/g, '');
const days = (text: string): string[] =>
  [...whole(text).matchAll(/DTSTART;VALUE=DATE:(\d{8})/g)].map(([, day]) => day!);

describe('the calendar of what is due back', () => {
  it('is read by its address alone, a day for each temporary repair', async () => {
    const { path } = await set(true);
    const text = await told(path!);
    const due = await server.list('due');
    expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
    expect(days(text)).toEqual(due.map(({ until }) => until.replaceAll('-', '')));
    expect(whole(text)).toContain(`SUMMARY:Due back: circuit ${due[0]!.body.circuitNumber}\\, ${due[0]!.body.machine}`);
    expect((await server.http.get(path!)).headers['content-type']).toMatch(/^text\/calendar/);
  });
  it('a new address ends the one before; ended, none reads anything', async () => {
    const [first, second] = [await set(true), await set(true)];
    expect(second.path).not.toBe(first.path);
    await server.http.get(first.path!).expect(404);
    await told(second.path!);
    expect(await set(false)).toEqual({});
    const { status, body } = await server.http.get(second.path!);
    expect([status, body]).toMatchObject([404, { error: { code: 'NOT_FOUND' } }]);
    expect((await server.http.get('/api/calendar').expect(200)).body).toEqual({});
  });
  it('without one nobody guesses it', async () => {
    for (const key of ['undefined', 'x', '0'.repeat(48)])
      await server.http.get(`/api/calendar/${key}/due.ics`).expect(404);
  });
});

it('a line says what, where, how often it was put off, and who makes it good', () => {
  const one = {
    recordId: 'r1',
    jobId: 'J1',
    until: '2031-06-01',
    overdue: false,
    body: {
      machine: 'Ovrell 420',
      jobNumber: '0118',
      circuitNumber: '4',
      circuitFunction: 'Work lamp',
      method: 'Sealed butt',
      run: 'Head run',
      atMm: 154.2,
      fromName: 'Branch B1',
      putOff: 2,
    },
    good: { id: 'J2', number: '0151' },
  } as unknown as DueBack;
  const text = whole(calendarOf([one], 'http://shop:4600'));
  expect(days(text)).toEqual(['20310601']);
  for (const words of [
    'DTEND;VALUE=DATE:20310602',
    '4 Work lamp: Sealed butt\\, temporary\\, 154 mm from Branch B1\\, Head run.',
    'put off 2 times',
    'Job 0151 makes it good.',
    'http://shop:4600/jobs/J1/record',
  ])
    expect(text).toContain(words);
});

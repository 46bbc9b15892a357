import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Router } from 'express';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { EntityManager } from 'typeorm';
import type { CalendarAddress, DueBack } from '@mendum/core/operations';
import { SettingEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { file, read, write } from '../http/serve.ts';
import { listDue } from './lists.ts';

const KEY_ID = 'calendarKey';
const KEY_BYTES = 24;
/** So many temporary repairs are read at once, and so many are in a calendar at most. */
const AT_ONCE = 200;
const MOST = 2000;

const keyOf = async (manager: EntityManager): Promise<string | undefined> =>
  (await manager.findOneBy(SettingEntity, { id: KEY_ID }))?.value;
const addressOf = (key: string | undefined): CalendarAddress =>
  key === undefined ? {} : { path: `/api/calendar/${key}/due.ics` };

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();
/** Whether a key is the one, found in the same time however much of it is right. */
const isSame = (given: string, key: string | undefined): boolean =>
  key !== undefined && timingSafeEqual(digest(given), digest(key));

async function allDue(manager: EntityManager, today: string): Promise<DueBack[]> {
  const all: DueBack[] = [];
  for (let cursor: string | undefined; all.length < MOST;) {
    const page = await listDue(manager, { limit: AT_ONCE, cursor }, today);
    all.push(...page.items);
    cursor = page.next;
    if (cursor === undefined) break;
  }
  return all;
}

/** Temporary repairs as days of a calendar: what was put off moves, what is done goes. @param origin of this server */
export function calendarOf(due: readonly DueBack[], origin: string): string {
  const calendar = ical({ name: 'Mendum: due back', method: ICalCalendarMethod.PUBLISH });
  for (const { recordId, jobId, until, body, good } of due) {
    const { circuitNumber, circuitFunction, machine, method, atMm, fromName, run, jobNumber, putOff = 0 } = body;
    const day = new Date(`${until}T00:00:00.000Z`);
    calendar.createEvent({
      id: `${recordId}@mendum`,
      start: day,
      end: new Date(day.getTime() + 86_400_000),
      allDay: true,
      timezone: 'UTC',
      summary: `Due back: circuit ${circuitNumber}, ${machine}`,
      description: [
        `${circuitNumber} ${circuitFunction}: ${method}, temporary, ${Math.round(atMm)} mm from ${fromName}, ${run}.`,
        `Job ${jobNumber}${putOff > 0 ? `, put off ${putOff === 1 ? 'once' : `${putOff} times`}` : ''}.`,
        ...(good ? [`Job ${good.number} makes it good.`] : []),
      ].join('\n'),
      url: `${origin}/jobs/${jobId}/record`,
    });
  }
  return calendar.toString();
}

/** The calendar of what is due back, by an address that is its secret. */
export function calendarRoutes(router: Router, db: Database, today: () => string): void {
  read(router, 'calendarAddress', () => db.read(async (manager) => addressOf(await keyOf(manager))));

  write(router, db, 'setCalendar', 'calendar', async ({ args: { on }, manager, audit }) => {
    const key = on ? randomBytes(KEY_BYTES).toString('hex') : undefined;
    if (key === undefined) await manager.delete(SettingEntity, { id: KEY_ID });
    else await manager.upsert(SettingEntity, { id: KEY_ID, value: key }, ['id']);
    await audit('calendar', null, { on });
    return addressOf(key);
  });

  file(router, 'calendar', async ({ args: { key }, req, res }) => {
    const due = await db.read(async (manager) => {
      if (!isSame(key, await keyOf(manager)))
        throw new AppError('NOT_FOUND', 'There is no calendar at this address.', {
          hint: 'Its address was ended or made anew: take the one that Due back shows.',
        });
      return allDue(manager, today());
    });
    const calendar = calendarOf(due, `${req.protocol}://${req.get('host') ?? 'localhost'}`);
    res.type('text/calendar').send(calendar);
  });
}

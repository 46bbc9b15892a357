import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { SEARCHES_MOST, type KeptSearch } from '@mendum/core/operations';
import { SettingEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { fold } from '../db/page.ts';
import { rowsBy } from '../db/prepared.ts';
import { read, write } from '../http/serve.ts';

const ID = 'searches';

const searchesOf = (manager: EntityManager): readonly KeptSearch[] =>
  JSON.parse(rowsBy(manager).value(SettingEntity, 'value', { id: ID }) ?? '[]') as readonly KeptSearch[];

/** Searches for records that the whole shop keeps: on every device, until somebody forgets them. */
export function searchRoutes(router: Router, db: Database): void {
  read(router, 'searches', () => db.read((manager) => Promise.resolve(searchesOf(manager))));

  write(router, db, 'keepSearch', 'search kept', async ({ args: { words, kept, by }, manager, audit }) => {
    const others = searchesOf(manager).filter((one) => fold(one.words) !== fold(words));
    const next = (kept ? [{ words, by }, ...others] : others).slice(0, SEARCHES_MOST);
    await manager.upsert(SettingEntity, { id: ID, value: JSON.stringify(next) }, ['id']);
    await audit('search kept', null, { words, kept });
    return { kept: next.length };
  });
}

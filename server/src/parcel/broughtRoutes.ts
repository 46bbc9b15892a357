import { createHash } from 'node:crypto';
import { extname } from 'node:path';
import express, { type Router } from 'express';
import { sentSchema } from '@mendum/core/interchange';
import { OPERATIONS, type ParcelManifest, type SentOf } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { ParcelFileEntity } from '../db/parcelEntities.ts';
import { AppError } from '../errors.ts';
import { checkedQuery } from '../http/handle.ts';
import { file, guardsOf, read } from '../http/serve.ts';
import { answeredBefore, writeOnce, type WriteHead } from '../http/writes.ts';
import { byOf } from '../people/asking.ts';
import { keepParcel, listParcelRecords, listParcels, parcelRow } from './brought.ts';
import { originOf } from './pack.ts';
import { PARCEL_MOST_MB } from './unpack.ts';
import { inFileName } from '../record/which.ts';
import { zipInto } from './zip.ts';
import type { Planner } from '../planning/planner.ts';

const WHAT = 'parcel read in';

/** What is shown as it is; all else of a parcel is only handed over. */
const SHOWN: Readonly<Record<string, string>> = {
  '.jpg': 'image/jpeg',
  '.jpeg': 'image/jpeg',
  '.png': 'image/png',
  '.webp': 'image/webp',
};

/** Parcels of other shops: read in, listed, looked into, and given on as they came. */
export function broughtRoutes(router: Router, db: Database, planner: Planner): void {
  const query = sentSchema('readParcel');
  const { path, status } = OPERATIONS.readParcel;
  router.post(
    path,
    ...guardsOf('readParcel'),
    express.raw({ type: ['application/zip', 'application/octet-stream'], limit: `${PARCEL_MOST_MB}mb` }),
    async (req, res) => {
      const said = checkedQuery<SentOf<'readParcel'> & WriteHead>(query, req);
      const input = { ...said, by: byOf(req, said.by) };
      if (!Buffer.isBuffer(req.body)) throw new AppError('PARCEL_REFUSED', 'A parcel is sent as application/zip.');
      const content = { shop: input.shop, digest: createHash('sha256').update(req.body).digest('hex') };
      const before = await answeredBefore(db, input, WHAT, content);
      const opened = before
        ? undefined
        : await planner.ask('openParcel', { bytes: req.body, ownId: await db.write((manager) => originOf(manager)) });
      const answer = await writeOnce(db, input, WHAT, content, async ({ manager, now, audit }) => {
        if (!opened) throw new AppError('CHANGED_MEANWHILE', 'The answer to this parcel was forgotten meanwhile.');
        keepParcel(manager, opened, { shop: input.shop, by: input.by, at: now });
        const { id, records } = opened.parcel;
        await audit(WHAT, null, { id, shop: input.shop, records });
        return { status, body: { id, records } };
      });
      res.status(answer.status).json(answer.body);
    },
  );

  read(router, 'parcels', () => db.read((manager) => listParcels(manager)));
  read(router, 'parcelRecords', ({ args }) => db.read((manager) => listParcelRecords(manager, args)));

  file(router, 'parcelFile', async ({ args: { parcelId, name }, res }) => {
    const row = await db.read((manager) => manager.findOneBy(ParcelFileEntity, { parcelId, name }));
    if (!row) throw new AppError('NOT_FOUND', `There is no file "${name}" in this parcel.`);
    const shown = SHOWN[extname(name).toLowerCase()];
    if (shown === undefined) res.attachment(name.replace(/\//g, '-'));
    res.type(shown ?? 'application/octet-stream').send(Buffer.from(row.content));
  });

  file(router, 'parcelAgain', async ({ args: { parcelId }, res }) => {
    const { manifest, shop } = await db.read((manager) => parcelRow(manager, parcelId));
    const { of, files } = JSON.parse(manifest) as ParcelManifest;
    res.attachment(`${inFileName(shop)}-${inFileName(of.name)}.zip`).type('application/zip');
    const { add, end } = zipInto(res);
    try {
      for (const { name } of files) {
        const row = await db.read((manager) => manager.findOneByOrFail(ParcelFileEntity, { parcelId, name }));
        await add(name, row.content);
      }
      await add('manifest.json', manifest);
      end();
    } catch (error) {
      res.destroy(error instanceof Error ? error : undefined);
    }
  });
}

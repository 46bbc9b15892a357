import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Request, type Response, type Router } from 'express';
import PQueue from 'p-queue';
import type { EntityManager } from 'typeorm';
import { sentSchema } from '@mendum/core/interchange';
import { OPERATIONS, type AnswerOf, type SentOf } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checkedQuery } from '../http/handle.ts';
import { guardsOf } from '../http/serve.ts';
import { answeredBefore, writeOnce, type WriteHead, type WriteWork } from '../http/writes.ts';
import { byOf } from '../people/asking.ts';
import { PHOTO_MOST_BYTES, PHOTO_TYPES, photoFiles, readPicture } from './picture.ts';

const GONE = 'The file of this photo is not in the data folder any more.';
const isGone = (error: Error): boolean => (error as NodeJS.ErrnoException).code === 'ENOENT';

/** Writes a file so that it is on the disk before it is spoken of. */
async function keep(folder: string, name: string, bytes: Buffer): Promise<void> {
  await mkdir(folder, { recursive: true });
  const file = await open(join(folder, name), 'w');
  try {
    await file.writeFile(bytes);
    await file.sync();
  } finally {
    await file.close();
  }
}

/** Two at a time: each takes some 200 MB while it is drawn. */
const DRAWING = new PQueue({ concurrency: 2 });

/** A photo whose files are written, and that no row speaks of yet. */
export interface Drawn {
  readonly id: string;
  readonly type: string;
  readonly sizeBytes: number;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Draws a photo anew and writes its files; `forget` takes them away again. */
async function drawnAnew(folder: string, body: Buffer): Promise<Drawn & { readonly forget: () => Promise<void> }> {
  const { type, bytes, small, widthPx, heightPx } = await DRAWING.add(() => readPicture(body));
  // Not the id that it was sent under: two that were sent under the same one would write into the same files.
  const id = randomUUID();
  const files = photoFiles({ id, type });
  await keep(folder, files.whole, bytes);
  await keep(folder, files.small, small);
  const forget = async (): Promise<void> => {
    for (const name of Object.values(files)) await rm(join(folder, name), { force: true });
  };
  return { id, type, sizeBytes: bytes.length, widthPx, heightPx, forget };
}

type PhotoName = 'addPhoto' | 'addFacePhoto';

interface TakenIn<N extends PhotoName, C extends object> {
  readonly db: Database;
  /** Where the files of photos lie. */
  readonly folder: string;
  /** In a few words, for the log. */
  readonly what: string;
  /** What it is a photo of. */
  readonly of: (req: Request, said: SentOf<N>) => C;
  /** Asked before it is drawn, and once more when it is stored. @throws AppError where no photo is taken there */
  readonly may: (manager: EntityManager, of: C) => Promise<unknown>;
  /** Stores its row. */
  readonly store: (work: WriteWork, drawn: Drawn, of: C, said: SentOf<N> & WriteHead) => Promise<AnswerOf<N>>;
}

/** Registers an address that takes photos in: each is drawn anew, and stored once. */
export function takesPhotos<N extends PhotoName, C extends object>(
  router: Router,
  name: N,
  { db, folder, what, of, may, store }: TakenIn<N, C>,
): void {
  const query = sentSchema(name);
  const { path, status } = OPERATIONS[name];
  router.post(
    path,
    ...guardsOf(name),
    express.raw({ type: [...PHOTO_TYPES, 'application/octet-stream'], limit: PHOTO_MOST_BYTES }),
    async (req: Request, res: Response) => {
      const said = checkedQuery<SentOf<N> & WriteHead>(query, req);
      const input = { ...said, by: byOf(req, said.by) };
      if (!Buffer.isBuffer(req.body))
        throw new AppError('PHOTO_REFUSED', `A photo is sent as ${PHOTO_TYPES.join(', ')}.`);
      const body: Buffer = req.body;
      const place = of(req, input);
      const content = { ...place, digest: createHash('sha256').update(body).digest('hex') };
      const before = await answeredBefore(db, input, what, content);
      // Drawn anew before the database is asked for: everybody else's writes go on meanwhile.
      if (!before) await db.read((manager) => may(manager, place));
      const picture = before ? undefined : await drawnAnew(folder, body);
      let isTaken = false as boolean;
      const kept = writeOnce(db, input, what, content, async (work) => {
        if (!picture) throw new AppError('CHANGED_MEANWHILE', 'The answer to this photo was forgotten meanwhile.');
        await may(work.manager, place);
        const answer = await store(work, picture, place, input);
        isTaken = true;
        return { status, body: answer };
      });
      const answer = await kept.catch(async (error: unknown) => {
        if (!isTaken) await picture?.forget();
        throw error;
      });
      // Somebody sent the same at the same time, and theirs is the one that is kept.
      if (!isTaken) await picture?.forget();
      res.status(answer.status).json(answer.body);
    },
  );
}

/** Gives a photo's file. @throws AppError NOT_FOUND, PHOTO_GONE */
export async function givePhoto(
  res: Response,
  folder: string,
  row: Pick<Drawn, 'id' | 'type'> | null,
  small: boolean,
): Promise<void> {
  if (!row) throw new AppError('NOT_FOUND', 'There is no such photo.');
  res.type(small ? 'image/webp' : row.type);
  await new Promise<void>((done, failed) =>
    res.sendFile(photoFiles(row)[small ? 'small' : 'whole'], { root: folder }, (error?: Error) => {
      if (error) failed(isGone(error) ? new AppError('PHOTO_GONE', GONE) : error);
      else done();
    }),
  );
}

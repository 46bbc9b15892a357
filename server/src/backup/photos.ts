import type Sqlite from 'better-sqlite3';
import { photoFiles } from '../photos/picture.ts';

/** The files that the photos of a database have, by name. */
export const photoFilesIn = (db: Sqlite.Database): readonly string[] =>
  db
    .prepare<[], { id: string; type: string }>('SELECT id, type FROM photo ORDER BY id')
    .all()
    .map(photoFiles)
    .flatMap(({ whole, small }) => [whole, small]);

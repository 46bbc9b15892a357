import { statSync } from 'node:fs';
import { dirname } from 'node:path';
import { AppError } from '../errors.ts';
import { isWritable } from './claim.ts';
import { troubleOf } from './fault.ts';

interface Identity {
  readonly ino: number;
  readonly dev: number;
}

function identityOf(file: string): Identity | undefined {
  const { ino, dev } = statSync(file, { throwIfNoEntry: false }) ?? {};
  return ino === undefined || dev === undefined ? undefined : { ino, dev };
}
const isSame = (one: Identity | undefined, other: Identity | undefined): boolean =>
  one !== undefined && other !== undefined && one.ino === other.ino && one.dev === other.dev;

const moved = (): AppError =>
  new AppError(
    'DATA_MOVED',
    'The database was moved, deleted or replaced while Mendum was running: this was not saved.',
  );

/**
 * Watches over the files of a database that is open. What it gives is asked before a write is begun and before it is
 * answered: a file that was moved, deleted or replaced would still take writes that nobody could ever read again.
 * @param file a database in WAL mode that is open
 */
export function guardOf(file: string): () => void {
  const log = `${file}-wal`;
  const opened = identityOf(file);
  let logOpened = identityOf(log);
  return () => {
    logOpened ??= identityOf(log);
    if (!isSame(opened, identityOf(file)) || (logOpened && !isSame(logOpened, identityOf(log)))) throw moved();
    if (!isWritable(file) || !isWritable(dirname(file)))
      throw new AppError('DATA_READ_ONLY', 'The data folder was made read-only: this was not saved.');
  };
}

/** What people are told when the disk or the database refuses a write or a read; any other error stays as it is. */
export function asDataError(error: unknown): unknown {
  if (error instanceof AppError) return error;
  switch (troubleOf(error)) {
    case 'full':
      return new AppError('DISK_FULL', 'The disk of the server is full: this was not saved.');
    case 'moved':
      return moved();
    case 'readOnly':
      return new AppError('DATA_READ_ONLY', 'The data folder is read-only: this was not saved.');
    case 'damaged':
    case 'noDatabase':
      return new AppError('DATA_DAMAGED', 'The database of the server is damaged.');
    case 'inUse':
    case 'unreadable':
      return new AppError('DATA_UNREADABLE', 'The database cannot be reached at the moment.');
    case 'gone':
    case undefined:
      return error;
  }
}

/** Why the data cannot be used: a sentence or two for whoever starts the server or runs a command on it. */
export class DataFault extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'DataFault';
  }
}

/** The code of an error of the system or of SQLite, however deep it stands; nothing for any other. */
function codeOf(error: unknown): string | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  const { code, driverError } = error as { readonly code?: unknown; readonly driverError?: unknown };
  return codeOf(driverError) ?? (typeof code === 'string' ? code : undefined);
}

/** What went wrong with a file or its disk. */
export type DiskTrouble = 'full' | 'moved' | 'readOnly' | 'damaged' | 'noDatabase' | 'gone' | 'inUse' | 'unreadable';

/** By the beginning of its code: SQLite names the case after it (SQLITE_IOERR_WRITE). */
const TROUBLES: readonly (readonly [code: string, trouble: DiskTrouble])[] = [
  ['SQLITE_FULL', 'full'],
  ['ENOSPC', 'full'],
  ['EDQUOT', 'full'],
  ['SQLITE_READONLY_DBMOVED', 'moved'],
  ['SQLITE_READONLY', 'readOnly'],
  ['SQLITE_PERM', 'readOnly'],
  ['EROFS', 'readOnly'],
  ['EACCES', 'readOnly'],
  ['EPERM', 'readOnly'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'noDatabase'],
  ['SQLITE_BUSY', 'inUse'],
  ['SQLITE_LOCKED', 'inUse'],
  ['SQLITE_CANTOPEN', 'unreadable'],
  ['SQLITE_IOERR', 'unreadable'],
  ['EIO', 'unreadable'],
  ['ENOENT', 'gone'],
  ['ENOTDIR', 'gone'],
];

/** What is wrong with the disk or the file, when an error is of that kind. */
export function troubleOf(error: unknown): DiskTrouble | undefined {
  const code = codeOf(error);
  return code === undefined ? undefined : TROUBLES.find(([start]) => code.startsWith(start))?.[1];
}

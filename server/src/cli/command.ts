import { resolve } from 'node:path';
import { readConfig } from '../config.ts';
import { DataFault } from '../data/fault.ts';

const root = resolve(import.meta.dirname, '../../..');

/** The folders that commands work on, as the environment has them. @throws DataFault where the environment is wrong */
export function foldersOf(): { readonly dataDir: string; readonly backupsDir: string } {
  try {
    return readConfig(process.env, root);
  } catch (error) {
    throw new DataFault(error instanceof Error ? error.message : String(error));
  }
}

/** Runs a command: what cannot be is said in its sentence, and ends with 1. */
export async function command(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof DataFault)) throw error;
    console.error(error.message);
    process.exitCode = 1;
  }
}

const counted = (count: number, one: string): string => `${count.toLocaleString('en')} ${one}`;

/** "2,318 rows in 24 tables, 16 photo files". */
export function holds(tables: Readonly<Record<string, number>>, photoFiles: number): string {
  const rows = Object.values(tables).reduce((sum, one) => sum + one, 0);
  return `${counted(rows, 'rows')} in ${Object.keys(tables).length} tables, ${counted(photoFiles, 'photo files')}`;
}

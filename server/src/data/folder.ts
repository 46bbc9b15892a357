import { join } from 'node:path';

/** What lies in a data folder, and where. */
export const databaseFile = (dataDir: string): string => join(dataDir, 'mendum.sqlite');
export const photosFolder = (dataDir: string): string => join(dataDir, 'photos');
/** Held by whoever uses the folder. */
export const lockFile = (dataDir: string): string => join(dataDir, 'mendum.lock');
/** Says who that is. */
export const ownerFile = (dataDir: string): string => join(dataDir, 'mendum.owner.json');
/** Says that there is data here, or was. */
export const markFile = (dataDir: string): string => join(dataDir, 'mendum.data.json');

/** Folders and copies that are put aside carry the moment: 2031-05-20T09-00-00. */
export const momentIn = (at: Date): string => at.toISOString().slice(0, 19).replaceAll(':', '-');
/** What was put aside stays where it is. */
export const ASIDE = 'put-aside-';
/** Work on a backup that is under way, or was when the process ended. */
export const UNDER_WORK = 'backup-work-';

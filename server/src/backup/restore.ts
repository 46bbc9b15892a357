import { existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { extract } from 'tar';
import { putAside } from '../data/aside.ts';
import type { Claim } from '../data/claim.ts';
import { DataFault, troubleOf } from '../data/fault.ts';
import { UNDER_WORK } from '../data/folder.ts';
import { lookAt, markFolder } from '../data/sound.ts';
import { MIGRATIONS } from '../db/migrations/index.ts';
import { checkData } from './check.ts';
import { DATABASE, describedFile, isBackupName, MANIFEST, readManifest, type Manifest } from './manifest.ts';

/** What was brought back. */
export interface Restored {
  readonly manifest: Manifest;
  /** Where what there was before lies now. */
  readonly aside: string | undefined;
}

const refused = (file: string, why: string): DataFault =>
  new DataFault(`${file} was not restored: ${why} The data was left as it is.`);

/** Unpacks a backup, and nothing that none holds. @throws DataFault */
export async function unpacked(file: string, into: string): Promise<Manifest> {
  const strange: string[] = [];
  await extract({
    file,
    cwd: into,
    strict: true,
    preservePaths: false,
    filter: (path, entry) => {
      // Packed again by hand, it has its folders as well, and names that begin with "./".
      const name = path.replace(/^\.\//, '');
      if (name === '' || name === 'photos/') return false;
      const isPlain = 'type' in entry && (entry.type === 'File' || entry.type === 'OldFile');
      if (isPlain && isBackupName(name)) return true;
      strange.push(name);
      return false;
    },
  });
  if (strange.length > 0) throw refused(file, `it holds "${strange[0]}", which no backup does.`);
  if (!existsSync(join(into, MANIFEST))) throw refused(file, 'it has no manifest: it is no backup of Mendum.');
  return readManifest(readFileSync(join(into, MANIFEST), 'utf8'));
}

/** Every file is there and is the one that was backed up, and there is no other. */
async function mustBeAll(file: string, folder: string, { files }: Manifest): Promise<void> {
  const photos = existsSync(join(folder, 'photos')) ? readdirSync(join(folder, 'photos')) : [];
  const there = new Set([DATABASE, ...photos.map((name) => `photos/${name}`)]);
  for (const named of files) {
    if (!existsSync(join(folder, named.name))) throw refused(file, `${named.name} is missing.`);
    const found = await describedFile(named.name, join(folder, named.name));
    if (found.sha256 !== named.sha256) throw refused(file, `${named.name} is not as it was backed up.`);
    there.delete(named.name);
  }
  const [more] = there;
  if (more !== undefined) throw refused(file, `${more} is not in its manifest.`);
}

async function mustBeSound(file: string, folder: string, { tables, missingPhotos }: Manifest): Promise<void> {
  lookAt(
    folder,
    MIGRATIONS.map(({ name }) => name),
  );
  const checked = await checkData(folder);
  const known = new Set(missingPhotos.map((name) => `Photo ${name} is not there.`));
  const [problem] = checked.problems.filter((words) => !known.has(words));
  if (problem !== undefined) throw refused(file, problem);
  const other = Object.keys({ ...tables, ...checked.tables }).find((table) => tables[table] !== checked.tables[table]);
  if (other !== undefined)
    throw refused(file, `${other} has ${checked.tables[other] ?? 0} rows, and ${tables[other] ?? 0} were backed up.`);
}

/**
 * Brings a backup back into a folder that was claimed. It is checked, all of it, before anything is touched; what there
 * was is put aside.
 * @throws DataFault in words for whoever asked for it
 */
export async function restore(claim: Claim, file: string, now: Date): Promise<Restored> {
  if (!statSync(file, { throwIfNoEntry: false })?.isFile()) throw new DataFault(`There is no file ${file}.`);
  const work = mkdtempSync(join(claim.dataDir, UNDER_WORK));
  try {
    const manifest = await unpacked(file, work);
    await mustBeAll(file, work, manifest);
    await mustBeSound(file, work, manifest);
    const aside = putAside(claim, now, 'other data');
    for (const name of readdirSync(work).filter((one) => one !== MANIFEST))
      renameSync(join(work, name), join(claim.dataDir, name));
    markFolder(claim.dataDir, now);
    return { manifest, aside };
  } catch (error) {
    if (error instanceof DataFault) throw error;
    if (troubleOf(error) === 'full') throw refused(file, 'the disk is full.');
    throw refused(file, `it cannot be read as a backup (${error instanceof Error ? error.message : String(error)}).`);
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

import type { DataSource, EntityManager } from 'typeorm';

const isReadOnly = ({ dataSource }: EntityManager): boolean =>
  dataSource.options.type === 'better-sqlite3' && dataSource.options.readonly === true;

/**
 * What was last read of things that have versions, by database and id: a version is never written twice with other
 * contents. What is read while something is being written is not kept: it may never come to be. What it gives is shared:
 * nobody may change it in place.
 * @param most things that are kept of one database
 */
export function keptVersions<T>(most: number) {
  const all = new WeakMap<DataSource, Map<string, { readonly version: number; readonly value: T }>>();
  return {
    /** The contents of a version, if they are at hand. */
    get(manager: EntityManager, id: string, version: number): T | undefined {
      const known = all.get(manager.dataSource)?.get(id);
      return known?.version === version ? known.value : undefined;
    },
    /** Keeps what was read just now. */
    keep(manager: EntityManager, id: string, version: number, value: T): void {
      if (!isReadOnly(manager) && manager.queryRunner?.isTransactionActive === true) return;
      const kept = all.get(manager.dataSource) ?? new Map<string, { version: number; value: T }>();
      all.set(manager.dataSource, kept);
      kept.delete(id);
      kept.set(id, { version, value });
      for (const old of [...kept.keys()].slice(0, -most)) kept.delete(old);
    },
  };
}

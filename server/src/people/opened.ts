import type { Config } from '../config.ts';
import { DataFault } from '../data/fault.ts';
import type { Database } from '../db/open.ts';
import { makeDoor } from './door.ts';

const OWN_MACHINE = /^(localhost|127(\.\d+){3}|::1)$/i;

/** Why others than the server's own machine could ask it; nothing where they cannot. */
function whyOpened({ host, hosts, proxies }: Pick<Config, 'host' | 'hosts' | 'proxies'>): string | undefined {
  if (!OWN_MACHINE.test(host)) return `HOST is ${host}`;
  if (hosts.length > 0) return `MENDUM_HOSTS names ${hosts.join(', ')}`;
  return proxies > 0 ? `MENDUM_PROXIES is ${proxies}` : undefined;
}

/** Nobody else gets in before people sign in. @throws DataFault where others could ask, and there is no admin */
export async function mustHaveAdmin(db: Database, config: Pick<Config, 'host' | 'hosts' | 'proxies'>): Promise<void> {
  const why = whyOpened(config);
  if (why === undefined) return;
  const all = await makeDoor(db).accounts();
  if (all.some(({ role, active }) => role === 'admin' && active)) return;
  throw new DataFault(
    `Others could ask this server (${why}), and nobody signs in yet. Make an admin first: npm run admin -- NAME`,
  );
}

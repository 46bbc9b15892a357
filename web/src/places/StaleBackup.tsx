import { Link } from 'react-router';
import { useBackupsQuery } from '../app/api.ts';
import { ago } from '../ui/when.ts';

/** The way to the backups, where everybody begins; a warning when nothing was backed up for days. */
export function StaleBackup() {
  const { data } = useBackupsQuery({});
  const [newest] = data?.kept ?? [];
  return data?.stale ? (
    <Link to="/data" className="mb-5 block border-l-4 border-scrap bg-wash px-4 py-3 text-lg font-semibold text-scrap">
      ▲ {newest ? `The last backup was made ${ago(newest.at)}` : 'The data was never backed up'}: see why
    </Link>
  ) : null;
}

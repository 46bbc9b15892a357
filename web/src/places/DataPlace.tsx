import type { Backups } from '@mendum/core/operations';
import { fileSize } from '@mendum/core/units';
import { useBackupsQuery, useChainQuery } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { Failed, Working } from '../ui/empty.tsx';
import { ago, when } from '../ui/when.ts';
import { Place } from './Place.tsx';

/** How the backups stand, in one line. */
function Standing({ backups: { kept, last, stale } }: { readonly backups: Backups }) {
  const [newest] = kept;
  if (stale)
    return (
      <p className="text-2xl font-semibold text-scrap">
        ▲ {newest ? `Last backed up ${ago(newest.at)}` : 'Never backed up'}
      </p>
    );
  if (newest) return <p className="text-2xl font-semibold text-pass">✓ Backed up {ago(newest.at)}</p>;
  return (
    <p className="text-2xl font-semibold">
      {last?.ok === false ? 'No backup yet' : 'The first backup is made a minute after the server starts'}
    </p>
  );
}

/** How far the chain of records holds. */
function ChainShown() {
  const { data, error, refetch } = useChainQuery({}, { refetchOnMountOrArgChange: true });
  return (
    <section aria-label="Records">
      <h2 className="text-xl font-semibold">Records</h2>
      {data ? (
        <>
          {data.broken ? (
            <p className="text-xl font-semibold text-scrap">
              ▲ The chain breaks at row {data.broken.row}: {data.broken.why}
            </p>
          ) : (
            <p className="text-xl font-semibold text-pass">✓ Chain whole to row {data.row.toLocaleString('en')}</p>
          )}
          <p className="figure text-sm break-all text-soft">{data.hash}</p>
          <p className="text-soft">
            {data.broken
              ? 'What stands in that row is not what was written. Stop, keep this folder as it is, and compare it with a backup.'
              : 'Each record and each line of the log holds the one before it. This number is printed on every sheet.'}{' '}
            {data.signs ? 'Rows are signed with your key.' : 'Rows are not signed with a key.'} Walked {when(data.at)}.
          </p>
        </>
      ) : error === undefined ? (
        <Working words="Walking the chain of records…" />
      ) : (
        <Failed message={errorOf(error).message} onRetry={() => void refetch()} />
      )}
    </section>
  );
}

const COMMANDS = [
  ['npm run backup', 'one more backup, now, while everybody works'],
  ['npm run restore -- FILE', 'brings one back; it is checked first, and what there is now is put aside'],
  ['npm run check-data', 'looks at every page of the database, every row and every photo'],
  ['npm run verify -- [FILE]', 'walks the chain of records of the data, of a backup or of exported records'],
] as const;

function BackupsShown({ backups }: { readonly backups: Backups }) {
  const { folder, kept, last } = backups;
  return (
    <div className="grid max-w-4xl gap-y-6">
      <section aria-label="Backups">
        <Standing backups={backups} />
        {last?.ok === false ? (
          <p className="mt-1 text-lg text-scrap">
            The one of {when(last.at)} failed: {last.words} It is tried again every hour.
          </p>
        ) : null}
        <p className="mt-1 text-lg">
          One a day by itself, kept for 7 days, 5 weeks and 12 months in{' '}
          <span className="figure break-all">{folder}</span>.
        </p>
        <p className="text-soft">
          A disk that fails takes its backups along: put the folder on another one (MENDUM_BACKUPS).
        </p>
      </section>
      {kept.length > 0 ? (
        <section aria-label="Kept">
          <h2 className="text-xl font-semibold">Kept: {kept.length}</h2>
          <ul className="border-t border-rule">
            {kept.map(({ name, at, bytes }) => (
              <li
                key={name}
                className="grid min-h-11 items-center gap-x-5 border-b border-rule py-1.5 sm:grid-cols-[10rem_5rem_minmax(0,1fr)]"
              >
                <span className="figure">{when(at)}</span>
                <span className="figure text-soft">{fileSize(bytes)}</span>
                <span className="figure text-sm break-all text-soft">{name}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <ChainShown />
      <section aria-label="Commands">
        <h2 className="text-xl font-semibold">On the server</h2>
        <dl className="border-t border-rule">
          {COMMANDS.map(([command, does]) => (
            <div key={command} className="grid gap-x-5 border-b border-rule py-2 sm:grid-cols-[16rem_minmax(0,1fr)]">
              <dt className="figure">{command}</dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </section>
    </div>
  );
}

/** Where the data is kept safe: the daily backups and what came of the last one. */
export function DataPlace() {
  const { data, error, refetch } = useBackupsQuery({}, { refetchOnMountOrArgChange: true });
  return (
    <Place title="Data" about="Jobs, records and photos, and the backups of them.">
      {data ? (
        <BackupsShown backups={data} />
      ) : error === undefined ? (
        <Working words="Looking at the backups…" />
      ) : (
        <Failed message={errorOf(error).message} onRetry={() => void refetch()} />
      )}
    </Place>
  );
}

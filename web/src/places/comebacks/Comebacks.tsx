import { formatISO, subDays } from 'date-fns';
import { Link, useSearchParams } from 'react-router';
import { COMPARED, COMPARED_NAMES, type Compared } from '@mendum/core/comeback';
import type { Comebacks as Answer } from '@mendum/core/operations';
import { useComebacksQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { Select } from '../../ui/field.tsx';
import { RateChart } from './RateChart.tsx';
import { RateTable } from './RateTable.tsx';
import { MEASURES, recordsOf, shareWords, usualMeasure, type Measure } from './words.ts';

/** Since when repairs count that were signed. */
const SINCE = { ever: 'Ever', 730: 'Two years', 365: 'One year', 90: '90 days' } as const;

const isOneOf = <T extends string>(names: readonly T[], word: string | null): word is T =>
  word !== null && (names as readonly string[]).includes(word);

/** What was asked stands in the address, so that it can be kept and sent. */
function useAsked() {
  const [search, setSearch] = useSearchParams();
  const [by, since, measure] = [search.get('by'), search.get('since'), search.get('count')];
  const compared: Compared = isOneOf(COMPARED_NAMES, by) ? by : 'method';
  return {
    by: compared,
    since: since !== null && since in SINCE ? since : 'ever',
    measure: isOneOf(Object.keys(MEASURES) as Measure[], measure) ? measure : usualMeasure(compared),
    set: (name: 'by' | 'since' | 'count', value: string): void =>
      setSearch(
        (now) => {
          const next = new URLSearchParams(now);
          next.set(name, value);
          // What is counted goes by what is compared, until somebody says otherwise.
          if (name === 'by') next.delete('count');
          return next;
        },
        { replace: true },
      ),
  };
}

/** "13 of 208 repairs came back (6 %), 9 were made again." */
function summary({ repairs, back, again, without, by }: Answer): string {
  const some = (count: number, what: string): string => `${count === 0 ? 'none' : count} ${what}`;
  const left = without > 0 ? ` ${without} have no ${COMPARED[by].toLowerCase()} noted and are left out below.` : '';
  return `${repairs} repairs: ${some(back, 'came back')}, ${some(again, 'made again before they were signed')}.${left}`;
}

/** What stands out, in words, each with its way to the records. */
function Outstanding({ data: { lines, by } }: { readonly data: Answer }) {
  const said = lines.flatMap((line) =>
    (['back', 'again'] as const)
      .filter((measure) => line[measure].standsOut)
      .map((measure) => ({ line, measure, counted: line[measure] })),
  );
  return said.length === 0 ? (
    <p className="mb-3 text-lg text-soft">Nothing stands out from the others.</p>
  ) : (
    <ul className="mb-3 text-lg">
      {said.map(({ line, measure, counted }) => (
        <li key={`${measure} ${line.name}`} className="text-scrap">
          ▲{' '}
          <Link to={recordsOf(line.name, by)} className="font-semibold underline underline-offset-4">
            {line.name}
          </Link>
          : {counted.count} of {line.repairs} {measure === 'back' ? 'came back' : 'were made again'},{' '}
          {shareWords(counted)}
        </li>
      ))}
    </ul>
  );
}

/** How often repairs come back, by what they have in common: drawn, and in figures. */
export function Comebacks() {
  const { by, since, measure, set } = useAsked();
  const from = since === 'ever' ? undefined : formatISO(subDays(new Date(), Number(since)), { representation: 'date' });
  const { data, error, refetch } = useComebacksQuery({ by, ...(from === undefined ? {} : { from }) });
  const refused = error && errorOf(error);
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-end gap-4">
        <div className="w-64 max-w-full">
          <Select label="Compare by" value={by} onChange={({ target }) => set('by', target.value)}>
            {COMPARED_NAMES.map((name) => (
              <option key={name} value={name}>
                {COMPARED[name]}
              </option>
            ))}
          </Select>
        </div>
        <div className="w-64 max-w-full">
          <Select label="Drawn" value={measure} onChange={({ target }) => set('count', target.value)}>
            {Object.entries(MEASURES).map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </Select>
        </div>
        <div className="w-44 max-w-full">
          <Select label="Signed since" value={since} onChange={({ target }) => set('since', target.value)}>
            {Object.entries(SINCE).map(([days, words]) => (
              <option key={days} value={days}>
                {words}
              </option>
            ))}
          </Select>
        </div>
      </div>
      {refused ? (
        <Failed
          message={refused.message}
          hint={refused.hint}
          onRetry={() => {
            void refetch();
          }}
        />
      ) : !data ? (
        <Working words="Counting what came back…" />
      ) : data.repairs === 0 ? (
        <Empty title="Nothing was signed in that time">
          Repairs count once their job is signed; one comes back when a finding beside it says that it failed.
        </Empty>
      ) : (
        <>
          <p className="mb-1 text-lg">{summary(data)}</p>
          <Outstanding data={data} />
          <RateChart lines={data.lines} measure={measure} />
          <RateTable lines={data.lines} by={by} />
          {data.more > 0 ? <p className="mt-2 text-soft">{data.more} more lines are not shown.</p> : null}
          <p className="mt-3 max-w-[75ch] text-soft">
            A repair comes back when a finding on it or within 100 mm of it says that it failed. Newer repairs have had
            less time to. Up to one group in 25 stands out by chance: look at the records before you act.
          </p>
        </>
      )}
    </>
  );
}

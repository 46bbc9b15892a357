import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import type { DueBack } from '@mendum/core/operations';
import type { SpliceRecord } from '@mendum/core/record';
import { useAllRecordsInfiniteQuery } from '../app/api.ts';
import { PagedList } from '../app/PagedList.tsx';
import { usePages } from '../app/usePages.ts';
import { TextField } from '../ui/field.tsx';
import { StandingMark } from '../ui/verdict.tsx';
import { ExportLinks } from '../ui/ExportLinks.tsx';
import { KeptSearches } from './KeptSearches.tsx';
import { Length } from '../ui/units.tsx';
import { useSettled } from '../ui/useSettled.ts';

/** Where a repair is, and what it is. */
export function RecordWords({ body, also = [] }: { readonly body: SpliceRecord; readonly also?: DueBack['also'] }) {
  return (
    <>
      <span>
        <b>{body.machine}</b>
        <span className="block text-soft">
          job <span className="figure">{body.jobNumber}</span>
        </span>
      </span>
      <span>
        <b>
          <span className="figure">{body.circuitNumber}</span> {body.circuitFunction}
        </b>
        , {body.method}
        {body.notMeasured === true ? (
          <span className="block">
            <StandingMark standing="looked" />
          </span>
        ) : null}
        <span className="block text-soft">
          <Length mm={body.atMm} digits={0} /> from {body.fromName}
          {also.map(({ atMm, fromName }) => (
            <Fragment key={`${atMm} ${fromName}`}>
              {' and '}
              <Length mm={atMm} digits={0} />
              {fromName === body.fromName ? '' : ` from ${fromName}`}
            </Fragment>
          ))}
          ; {body.signedBy}
        </span>
      </span>
    </>
  );
}

/** Every record that counts, the newest first; found by words on the server. @param begin words that are looked for first */
export function RecordList({ begin = '' }: { readonly begin?: string }) {
  const [words, setWords] = useState(begin);
  const search = useSettled(words.trim());
  const pages = usePages(useAllRecordsInfiniteQuery(search === '' ? {} : { search }));
  return (
    <>
      <div className="mb-4 max-w-md">
        <TextField
          label="Find a record"
          type="search"
          value={words}
          placeholder="machine, job, circuit number, name"
          onChange={(event) => setWords(event.target.value)}
        />
      </div>
      <KeptSearches words={search} onPick={setWords} />
      {search === '' ? <ExportLinks of={{}} /> : null}
      <PagedList
        label="Records"
        pages={pages}
        waiting="Fetching the records…"
        empty={
          search === ''
            ? { title: 'No records yet', next: 'They are made when a job is signed.' }
            : { title: `No record matches “${search}”`, next: 'Try fewer words, or part of one.' }
        }
        keyOf={({ recordId }) => recordId}
      >
        {({ recordId, body, ended }) => (
          <Link
            to={`/r/${recordId}`}
            className="grid min-h-16 items-center gap-x-5 px-2 py-2.5 hover:bg-sheet sm:grid-cols-[7rem_minmax(0,1fr)_minmax(0,1.6fr)]"
          >
            <span className="figure text-soft">{body.signedAt.slice(0, 10)}</span>
            <RecordWords body={body} />
            {ended ? (
              <span className="font-semibold sm:col-start-3">
                Ended by job <span className="figure">{ended.number}</span>, {ended.at.slice(0, 10)}
              </span>
            ) : null}
          </Link>
        )}
      </PagedList>
    </>
  );
}

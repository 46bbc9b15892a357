import { useState } from 'react';
import { proofWords } from '@mendum/core/record';
import type { Parcel, ParcelRecord } from '@mendum/core/operations';
import { useParcelRecordsInfiniteQuery, useParcelsQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { PagedList } from '../../app/PagedList.tsx';
import { usePages } from '../../app/usePages.ts';
import { Only } from '../../people/Only.tsx';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { TextField } from '../../ui/field.tsx';
import { Length } from '../../ui/units.tsx';
import { useSettled } from '../../ui/useSettled.ts';
import { ReadParcel } from './ReadParcel.tsx';

const LINK = 'inline-flex min-h-11 items-center underline underline-offset-4';

const recordCount = (count: number): string => (count === 1 ? '1 record' : `${count} records`);

function ParcelLine({ parcel }: { readonly parcel: Parcel }) {
  const { id, shop, of, records, jobs, madeAt, by, at, signed } = parcel;
  return (
    <li className="border-b border-rule px-2 py-2.5 text-lg">
      <b>{shop}</b>, {of.name}: {recordCount(records)} of {jobs === 1 ? '1 job' : `${jobs} jobs`}
      <span className="block text-base text-soft">
        Packed {madeAt.slice(0, 10)}; read in {at.slice(0, 10)} by {by}. Every file and record was checked against its
        hash
        {signed > 0
          ? `; ${recordCount(signed)} signed, by a key that is not known here`
          : ', which does not prove who made it'}
        .{' '}
        <a href={`/api/parcels/${id}/parcel.zip`} download className={LINK}>
          The parcel as it came
        </a>
      </span>
    </li>
  );
}

function RecordLine({ line: { parcelId, shop, body, files } }: { readonly line: ParcelRecord }) {
  const proved = proofWords(body);
  return (
    <div className="grid gap-x-5 gap-y-1 px-2 py-2.5 text-lg sm:grid-cols-[11.25rem_minmax(0,1fr)_minmax(0,1.2fr)]">
      <span>
        <b>{shop}</b>
        <span className="block text-base text-soft">
          their job <span className="figure">{body.jobNumber}</span>, {body.signedAt.slice(0, 10)}
        </span>
      </span>
      <span>
        <b>
          <span className="figure">{body.circuitNumber}</span> {body.circuitFunction}
        </b>
        , {body.method}
        <span className="block text-base text-soft">
          <Length mm={body.atMm} digits={0} /> from {body.fromName}, {body.run}; {body.machine}, {body.harness}
        </span>
      </span>
      <span className="text-base">
        {proved.length === 0 ? 'No reading is kept.' : proved.join('; ')}
        <span className="block text-soft">
          {body.signedBy}
          {files.map((name) => (
            <a
              key={name}
              href={`/api/parcels/${parcelId}/file?${new URLSearchParams({ name }).toString()}`}
              target="_blank"
              rel="noreferrer"
              className={`${LINK} ml-4`}
            >
              {name.endsWith('.pdf') ? 'Sheet' : 'Photo'}
            </a>
          ))}
        </span>
      </span>
    </div>
  );
}

function Records() {
  const [words, setWords] = useState('');
  const search = useSettled(words.trim());
  const pages = usePages(useParcelRecordsInfiniteQuery(search === '' ? {} : { search }));
  return (
    <>
      <div className="mt-6 mb-4 max-w-md">
        <TextField
          label="Find a record of another shop"
          type="search"
          value={words}
          placeholder="machine, circuit, method, name"
          onChange={({ target }) => setWords(target.value)}
        />
      </div>
      <PagedList
        label="Records of other shops"
        pages={pages}
        waiting="Fetching the records…"
        empty={{ title: `No record matches “${search}”`, next: 'Try fewer words, or part of one.' }}
        keyOf={({ parcelId, recordId }) => `${parcelId} ${recordId}`}
      >
        {(line) => <RecordLine line={line} />}
      </PagedList>
    </>
  );
}

/** Records that other shops sent: apart from one's own, under their own numbers. */
export function OtherShops() {
  const { data, error, refetch } = useParcelsQuery({});
  const refused = error && errorOf(error);
  if (refused)
    return (
      <Failed
        message={refused.message}
        hint={refused.hint}
        onRetry={() => {
          void refetch();
        }}
      />
    );
  if (!data) return <Working words="Fetching the parcels…" />;
  return (
    <>
      <Only may="readParcel">
        <div className="mb-4">
          <ReadParcel />
        </div>
      </Only>
      {data.length === 0 ? (
        <Empty title="Nothing from other shops">
          A parcel (ZIP) that another shop took from its records is read in here, checked, and kept apart from yours.
        </Empty>
      ) : (
        <>
          <ul aria-label="Parcels" className="border-t border-ink">
            {data.map((parcel) => (
              <ParcelLine key={parcel.id} parcel={parcel} />
            ))}
          </ul>
          <Records />
        </>
      )}
    </>
  );
}

import { useLocation } from 'react-router';
import { skipToken } from '@reduxjs/toolkit/query/react';
import type { SharedRecord } from '@mendum/core/operations';
import { useSharedRecordQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { Empty, Working } from '../../ui/empty.tsx';
import { Length } from '../../ui/units.tsx';
import { Said } from './Said.tsx';

function Shown({ shared: { body, proved, until, endedOn } }: { readonly shared: SharedRecord }) {
  return (
    <article aria-label={`Repair on circuit ${body.circuitNumber}`}>
      <p className="text-lg text-soft">
        {body.machine}, {body.harness}
      </p>
      <h1 className="text-3xl font-semibold">
        Circuit <span className="figure">{body.circuitNumber}</span>, {body.circuitFunction}: repaired{' '}
        {body.signedAt.slice(0, 10)}
      </h1>
      {endedOn === undefined ? null : (
        <p className="mt-2 text-xl font-semibold text-rework">▲ Not there any more since {endedOn}: it was replaced.</p>
      )}
      {endedOn === undefined && body.temporaryUntil !== undefined ? (
        <p className="mt-2 text-xl font-semibold text-rework">
          ▲ Temporary: it is to be made good by {body.temporaryUntil}.
        </p>
      ) : null}
      <dl className="mt-4 border-t border-ink">
        <Said title="Where">
          <Length mm={body.atMm} digits={0} /> from {body.fromName}, {body.run}
        </Said>
        <Said title="Found">
          {body.finding}
          {body.cause === undefined ? '' : `. What did it: ${body.cause.toLowerCase()}`}
        </Said>
        <Said title="Done">{body.method}</Said>
        <Said title="Proved">
          {body.notMeasured === true ? 'Looked at, not measured. ' : ''}
          {proved.length === 0 ? 'No reading is kept.' : proved.join('; ')}
          {body.functionSeen === undefined ? '' : `. Function: ${body.functionSeen}`}
        </Said>
        <Said title="Signed">
          {body.signedBy}, <span className="figure">{body.signedAt.slice(0, 10)}</span>, job{' '}
          <span className="figure">{body.jobNumber}</span>
        </Said>
      </dl>
      <p className="mt-4 max-w-[70ch] text-soft">
        The maker’s service manual and local codes come first. This page opens to {until}, and shows the record as it
        stands today.
      </p>
    </article>
  );
}

/** One repair, to read only, for whoever was given its link: no way leads from here to anything else. */
export function SharedPage() {
  const key = useLocation().hash.slice(1);
  const { data, error } = useSharedRecordQuery(key === '' ? skipToken : { key });
  const refused = error && errorOf(error);
  return (
    <main className="mx-auto max-w-4xl px-6 py-8 max-sm:px-4">
      {data ? (
        <Shown shared={data} />
      ) : refused || key === '' ? (
        <Empty title={refused?.message ?? 'This link is not whole.'}>
          {refused?.hint ?? 'Copy all of it, to its last letter.'}
        </Empty>
      ) : (
        <Working words="Fetching the repair…" />
      )}
    </main>
  );
}

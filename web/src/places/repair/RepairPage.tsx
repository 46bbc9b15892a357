import { Link, useParams } from 'react-router';
import type { RecordFound } from '@mendum/core/operations';
import { correctionWords, costWords, TAKEN_WORDS } from '@mendum/core/record';
import { useHarnessQuery, useRecordQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { LabelPanel } from '../../labels/LabelPanel.tsx';
import { Failed, Working } from '../../ui/empty.tsx';
import { Length } from '../../ui/units.tsx';
import { Said } from './Said.tsx';
import { SharePanel } from './SharePanel.tsx';

const WAY = 'inline-flex min-h-11 items-center text-lg underline underline-offset-4';

/** That it is not, or not for long, what it was. */
function State({ found: { body, ended } }: { readonly found: RecordFound }) {
  if (ended)
    return (
      <p className="text-xl font-semibold text-rework">
        ▲ Not there any more: ended by job <span className="figure">{ended.number}</span>, {ended.at.slice(0, 10)}
      </p>
    );
  return body.temporaryUntil === undefined ? null : (
    <p className="text-xl font-semibold text-rework">▲ Temporary, to be made good by {body.temporaryUntil}</p>
  );
}

function Repair({ found }: { readonly found: RecordFound }) {
  const { body, jobId, harnessId, proved } = found;
  const circuit = useHarnessQuery({ harnessId }).data?.circuits.find(({ number }) => number === body.circuitNumber);
  const history = `/machines/${harnessId}/history`;
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_300px]">
      <article aria-label={`Repair on circuit ${body.circuitNumber}`}>
        <h1 className="text-3xl font-semibold">
          <span className="figure">{body.circuitNumber}</span> {body.circuitFunction}
        </h1>
        <p className="mt-1 text-[1.75rem] leading-tight font-semibold">
          <Length mm={body.atMm} digits={0} /> from {body.fromName}
        </p>
        <p className="text-lg text-soft">
          {body.run}, {body.machine}, {body.harness}
        </p>
        <State found={found} />
        <dl className="mt-4 border-t border-ink">
          <Said title="Found">
            {body.finding}
            {body.cause === undefined ? '' : `. What did it: ${body.cause.toLowerCase()}`}
          </Said>
          <Said title="Done">
            <b>{body.method}</b>, with {body.materials.join(', ')}
            {body.override === undefined ? null : <span className="block">{body.override}</span>}
          </Said>
          {body.closedBy && body.closedBy.length > 0 ? (
            <Said title="Crimped by">{body.closedBy.join('; ')}</Said>
          ) : null}
          <Said title="Proved">
            {proved.length === 0 ? 'No reading is kept.' : proved.join('; ')}
            {body.functionSeen === undefined ? '' : `. Function: ${body.functionSeen}`}
            {body.redos > 0 ? ` Made again ${body.redos === 1 ? 'once' : `${body.redos} times`} before it passed.` : ''}
          </Said>
          {body.failedBefore && body.failedBefore.length > 0 ? (
            <Said title="Failed before">{body.failedBefore.map(({ words }) => words).join('; ')}</Said>
          ) : null}
          {body.cost === undefined ? null : <Said title="Cost">{costWords(body.cost)}</Said>}
          {body.procedure === undefined ? null : <Said title="Followed">{body.procedure}</Said>}
          <Said title="Signed">
            {body.signedBy}, <span className="figure">{body.signedAt.slice(0, 10)}</span>
            {body.checkedBy === undefined ? '' : `; looked at by ${body.checkedBy} as well`}
          </Said>
          {body.note === '' ? null : <Said title="Note">“{body.note}”</Said>}
          {body.corrections && body.corrections.length > 0 ? (
            <Said title="Put right since">
              {body.corrections.map((one) => (
                <span key={`${one.at} ${one.text}`} className="block">
                  {correctionWords(one)}
                </span>
              ))}
            </Said>
          ) : null}
        </dl>
        {body.photos && body.photos.length > 0 ? (
          <ul aria-label="Photos" className="mt-4 flex flex-wrap gap-4">
            {body.photos.map(({ id, when }) => (
              <li key={id}>
                <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer">
                  <img
                    src={`/api/photos/${id}/small`}
                    alt={when === undefined ? 'Photo of this repair' : TAKEN_WORDS[when]}
                    className="h-36 rounded-sm border border-rule"
                  />
                </a>
                <span className="text-soft">{when === undefined ? '' : TAKEN_WORDS[when]}</span>
              </li>
            ))}
          </ul>
        ) : null}
        <p className="no-print mt-2 flex flex-wrap gap-x-6">
          <Link className={WAY} to={`/jobs/${jobId}/record`}>
            Job {body.jobNumber}
          </Link>
          <Link className={WAY} to={circuit ? `${history}?circuit=${circuit.id}` : history}>
            All that was done on circuit {body.circuitNumber}
          </Link>
        </p>
      </article>
      <aside className="no-print">
        <LabelPanel records={[found]} />
        <SharePanel recordId={found.recordId} />
      </aside>
    </div>
  );
}

/** One repair, as a label leads to it. */
export function RepairPage() {
  const { recordId = '' } = useParams();
  const { data, error, refetch } = useRecordQuery({ recordId });
  const refused = error && errorOf(error);
  return (
    <div className="px-6 pt-5 pb-10 max-sm:px-4">
      {refused ? (
        <Failed
          message={refused.message}
          hint={refused.hint}
          onRetry={() => {
            void refetch();
          }}
        />
      ) : data ? (
        <Repair found={data} />
      ) : (
        <Working words="Fetching the repair…" />
      )}
    </div>
  );
}

import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { correctionWords } from '@mendum/core/record';
import type { DoneRepair } from '@mendum/core/operations';
import { Length } from '../../ui/units.tsx';
import { StandingMark } from '../../ui/verdict.tsx';

/** What is known of a repair beside what was done: temporary, ended, made again. */
function Marks({ done: { body, ended } }: { readonly done: DoneRepair }) {
  const { temporaryUntil, redos, notMeasured } = body;
  return (
    <>
      {notMeasured === true ? <StandingMark standing="looked" /> : null}
      {temporaryUntil !== undefined && !ended ? (
        <span className="block font-semibold text-rework">▲ Temporary until {temporaryUntil}</span>
      ) : null}
      {ended ? (
        <span className="block font-semibold">
          Not there any more: ended by job <span className="figure">{ended.number}</span>, {ended.at.slice(0, 10)}
        </span>
      ) : null}
      {redos > 0 ? (
        <span className="block">{redos === 1 ? 'Made again once' : `Made again ${redos} times`} before it passed</span>
      ) : null}
    </>
  );
}

/** One repair: where to put the finger, what was done, how it was proved, by whom. */
function DoneLine({
  done,
  picked,
  onPick,
}: {
  readonly done: DoneRepair;
  readonly picked: boolean;
  readonly onPick: (recordId: string) => void;
}) {
  const { body, proved, jobId, recordId } = done;
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (picked) line.current?.scrollIntoView({ block: 'nearest', behavior: 'smooth' });
  }, [picked]);
  return (
    <div
      ref={line}
      className={clsx(
        'grid gap-x-5 gap-y-1 border-b border-rule px-2 py-3 md:grid-cols-[11rem_minmax(0,1fr)_minmax(0,1.3fr)]',
        picked && 'border-l-4 border-l-copper bg-sheet',
      )}
    >
      <button
        type="button"
        className="min-h-11 self-start text-left"
        aria-pressed={picked}
        onClick={() => onPick(recordId)}
      >
        <span className="block text-xl font-semibold">
          <Length mm={body.atMm} digits={0} />
        </span>
        <span className="block text-soft">
          from {body.fromName}, {body.run}
        </span>
      </button>
      <div>
        <p className="text-lg">
          <b>
            <span className="figure">{body.circuitNumber}</span> {body.circuitFunction}
          </b>
          , {body.method}
        </p>
        <p className="text-soft">
          Found: {body.finding}
          {body.materials.length > 0 ? `. With ${body.materials.join(', ')}` : ''}
        </p>
        <Marks done={done} />
        {body.note === '' ? null : <p>“{body.note}”</p>}
        {(body.corrections ?? []).map((one) => (
          <p key={`${one.at} ${one.text}`} className="text-soft">
            {correctionWords(one)}
          </p>
        ))}
      </div>
      <div>
        <p>
          <span className="figure">{body.signedAt.slice(0, 10)}</span>, {body.signedBy},{' '}
          <Link to={`/jobs/${jobId}/record`} className="inline-flex min-h-11 items-center underline underline-offset-4">
            job {body.jobNumber}
          </Link>{' '}
          <Link to={`/r/${recordId}`} className="inline-flex min-h-11 items-center underline underline-offset-4">
            whole record, label
          </Link>
        </p>
        <p className="text-soft">
          {proved.length === 0 ? 'No reading is kept.' : proved.join('; ')}
          {body.functionSeen === undefined ? '' : `. Function: ${body.functionSeen}`}
        </p>
      </div>
    </div>
  );
}

/** Repairs one after the other, as they were done, the newest first. */
export function DoneList({
  done,
  pickedId,
  onPick,
}: {
  readonly done: readonly DoneRepair[];
  readonly pickedId: string | undefined;
  readonly onPick: (recordId: string) => void;
}) {
  return (
    <ol aria-label="Repairs, the newest first" className="border-t border-ink">
      {done.map((one) => (
        <li key={one.recordId}>
          <DoneLine done={one} picked={one.recordId === pickedId} onPick={onPick} />
        </li>
      ))}
    </ol>
  );
}

import type { JobSheet } from '@mendum/core/record';
import { StandingMark, Verdict } from '../../ui/verdict.tsx';
import { useChainQuery } from '../../app/api.ts';
import { FacePicture } from './FacePicture.tsx';
import { RunPicture } from './RunPicture.tsx';
import { when } from '../../ui/when.ts';

interface SheetProps {
  readonly sheet: JobSheet;
  readonly signature: { readonly by: string; readonly at: string; readonly note: string } | undefined;
}

const Fact = ({ name, value }: { readonly name: string; readonly value: string }) => (
  <div>
    <dt className="text-sm text-soft">{name}</dt>
    <dd>{value}</dd>
  </div>
);

/** Where the chain of records stood when this was shown: whoever holds the sheet can hold the data to it. */
function ChainHead() {
  const { data } = useChainQuery({}, { refetchOnMountOrArgChange: true });
  if (!data) return null;
  return (
    <p className="figure mt-2 text-xs break-all text-soft">
      {data.broken
        ? `The chain of records breaks at row ${data.broken.row}.`
        : `Chain of records: row ${data.row}, ${data.hash}`}
    </p>
  );
}

/** The record as it prints: what was done to which circuit, where, how, with what, how it read, by whom. */
export function Sheet({ sheet, signature }: SheetProps) {
  return (
    <article className="print-sheet border border-rule bg-sheet p-8" aria-label="Repair record">
      <header className="flex items-baseline gap-4">
        <h2 className="text-[1.75rem] font-semibold">{sheet.title}</h2>
        <span className="ml-auto text-soft">
          job <span className="figure">{sheet.jobNumber}</span>
        </span>
      </header>
      <dl className="mt-3 grid grid-cols-2 gap-x-6 gap-y-2 border-b border-ink pb-3 sm:grid-cols-4">
        <Fact name="Machine" value={sheet.machine} />
        <Fact name="Harness" value={sheet.harness} />
        <Fact name="Made safe" value={sheet.isolation} />
        <Fact name="Practice" value={sheet.practice} />
        {sheet.procedure === undefined ? null : <Fact name="Followed" value={sheet.procedure} />}
      </dl>
      <p className="py-3 text-xl">{sheet.summary}</p>
      {sheet.runs.length === 0 ? null : (
        <section className="border-b border-rule pb-3">
          {sheet.runs.map((run) => (
            <RunPicture key={run.id} run={run} />
          ))}
          <p className="text-sm text-soft">
            To scale, in mm. Filled: made in this job.
            {sheet.runs.some(({ rows }) => rows.some(({ bodies }) => bodies.some(({ earlier }) => earlier)))
              ? ' Dashed: was there before.'
              : ''}
          </p>
        </section>
      )}
      {sheet.faces.length === 0 ? null : (
        <section className="border-b border-rule pb-3">
          <div className="flex flex-wrap gap-x-10">
            {sheet.faces.map((face) => (
              <FacePicture key={face.name} face={face} />
            ))}
          </div>
          <p className="text-sm text-soft">
            In each cavity its name, and the circuit in it. Outlined thick: worked at in this job.
          </p>
        </section>
      )}
      {sheet.lines.length === 0 ? <p className="py-6 text-lg text-soft">Nothing is made yet.</p> : null}
      {sheet.lines.map((line) => (
        <section
          key={line.spliceId}
          className="grid break-inside-avoid gap-x-5 gap-y-1 border-b border-rule py-3 sm:grid-cols-[170px_190px_1fr]"
        >
          <div>
            <p className="font-semibold">{line.circuit}</p>
            <p className="text-soft">{line.place}</p>
            {line.found === '' ? null : <p>Found: {line.found}</p>}
            <StandingMark standing={line.standing} />
          </div>
          <div>
            <p>{line.method}</p>
            <p className="text-soft">{line.materials}</p>
            {line.closedBy.length === 0 ? null : <p className="text-soft">Crimped by {line.closedBy.join('; ')}</p>}
            {line.note === undefined ? null : <p className="text-soft">{line.note}</p>}
            {line.override === undefined ? null : (
              <p className="text-copper">Chosen against the ranking. {line.override}</p>
            )}
            {line.temporaryUntil === undefined ? null : (
              <p className="font-semibold text-rework">Temporary until {line.temporaryUntil}</p>
            )}
            {line.redos > 0 ? (
              <p className="text-soft">Made again {line.redos === 1 ? 'once' : `${line.redos} times`}</p>
            ) : null}
          </div>
          {line.readings.length === 0 ? (
            <p className="text-soft">No readings yet</p>
          ) : (
            <ul>
              {line.readings.map((reading) => (
                <li
                  key={`${reading.title} ${reading.make} ${reading.at} ${reading.words}`}
                  className="flex flex-wrap items-baseline gap-x-2"
                >
                  <span className="text-soft">
                    {reading.title}
                    {reading.make > 1 || line.redos > 0 ? ` (make ${reading.make})` : ''}:
                  </span>
                  <span>{reading.words}</span>
                  <Verdict verdict={reading.ruling.verdict} watch={reading.ruling.watch} />
                </li>
              ))}
            </ul>
          )}
        </section>
      ))}
      {sheet.functions.length === 0 ? null : (
        <section className="border-b border-rule py-3">
          <h3 className="font-semibold">Functions, before and after</h3>
          <ul className="mt-1 grid gap-x-5 sm:grid-cols-[170px_190px_1fr]">
            {sheet.functions.map(({ circuit, before, after, fails }) => (
              <li key={circuit} className="col-span-full grid break-inside-avoid grid-cols-subgrid">
                <span>{circuit}</span>
                <span className="text-soft">before: {before}</span>
                <b className={fails ? 'text-scrap' : 'font-normal'}>after: {after}</b>
              </li>
            ))}
          </ul>
        </section>
      )}
      {sheet.leftToYou.length === 0 ? null : (
        <section className="border-b border-rule py-3">
          <h3 className="font-semibold">Left to a person</h3>
          {sheet.leftToYou.map((one) => (
            <p key={`${one.circuit} ${one.what}`}>
              <b>{one.circuit}:</b> {one.what}
            </p>
          ))}
        </section>
      )}
      <section className="py-3">
        <h3 className="font-semibold">Cautions that apply</h3>
        <ul className="list-disc pl-5">
          {sheet.cautions.map((caution) => (
            <li key={caution.id}>{caution.text}</li>
          ))}
        </ul>
      </section>
      <footer className="border-t border-ink pt-3">
        {signature ? (
          <p>
            <b>Signed by {signature.by}</b>, {when(signature.at)}
            {sheet.checkedBy === undefined ? '' : `. Looked at by ${sheet.checkedBy} as well`}
            {signature.note === '' ? '' : `. ${signature.note}`}
          </p>
        ) : (
          <p className="text-soft">Not signed: this is the state of the work and not a record.</p>
        )}
        {sheet.corrections.length === 0 ? null : (
          <section className="mt-3">
            <h3 className="font-semibold">Put right since it was signed</h3>
            <ul className="list-disc pl-5">
              {sheet.corrections.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </section>
        )}
        {signature ? <ChainHead /> : null}
      </footer>
    </article>
  );
}

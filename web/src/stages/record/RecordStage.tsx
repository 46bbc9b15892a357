import { useState } from 'react';
import { maySign } from '@mendum/core/prove';
import { functionsOf, jobSheet, notWatched } from '@mendum/core/record';
import { whyNotSigned, type JobView } from '@mendum/core/operations';
import { Link } from 'react-router';
import { useSave } from '../../app/change.ts';
import { keep, recall } from '../../app/kept.ts';
import { notify } from '../../app/notice.ts';
import { useSession } from '../../app/session.ts';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/button.tsx';
import { Select, TextArea, TextField } from '../../ui/field.tsx';
import { Length } from '../../ui/units.tsx';
import { when } from '../../ui/when.ts';
import { LabelPanel } from '../../labels/LabelPanel.tsx';
import { ExportLinks } from '../../ui/ExportLinks.tsx';
import { useOpenJob } from '../job.ts';
import { Corrections } from './Corrections.tsx';
import { Sheet } from './Sheet.tsx';

const LINK =
  'flex min-h-11 items-center justify-center rounded-sm border border-ink bg-sheet px-4 text-lg font-semibold hover:bg-wash';

/** The paper that was taken last on this device. */
const PAPER_KEY = 'mendum.paper';

/** What a job is planned by, as it is seen. */
const plannedBy = ({ harnessVersion, practiceVersion, shelfVersion }: JobView) => ({
  harnessVersion,
  practiceVersion,
  shelfVersion,
});

/** What was said with the signature; nothing of what was left empty. */
function saidOf(fields: { readonly procedure: string; readonly checkedBy: string }) {
  const [procedure, checkedBy] = [fields.procedure.trim(), fields.checkedBy.trim()];
  return { ...(procedure === '' ? {} : { procedure }), ...(checkedBy === '' ? {} : { checkedBy }) };
}

/** The sheet as it will print, sign-off, and the record to take along. */
export function RecordStage() {
  const { view, plan, signed, pathTo } = useOpenJob();
  const person = useAppSelector((state) => state.view.person);
  const { save, busy } = useSave();
  const [note, setNote] = useState('');
  const [procedure, setProcedure] = useState('');
  const [checkedBy, setCheckedBy] = useState('');
  const [paper, setPaper] = useState(() => (recall(PAPER_KEY) === 'letter' ? 'letter' : 'a4'));
  const [refusal, setRefusal] = useState<{ readonly message: string; readonly hint: string }>();
  const replaced = new Set(view.records.map((record) => record.replacesId));
  const records = view.records.filter((record) => !replaced.has(record.id));
  const sheet = jobSheet(
    view.job,
    plan,
    view.readings,
    records.map((record) => record.body),
    when,
    view.functions,
  );
  const functions = functionsOf(view.job, plan, view.functions, view.readings);
  const unwatched = notWatched(functions);
  const [first] = records;
  const [labelled, ...others] = records.map(({ id, body }) => ({ recordId: id, body }));
  const { who } = useSession();
  const notYours = who && whyNotSigned(who, [view.practice.signing], view);
  const sign = async (): Promise<void> => {
    const outcome = await save(
      'sign',
      {
        jobId: view.id,
        version: view.version,
        ...plannedBy(view),
        note: note.trim(),
        ...saidOf({ procedure, checkedBy }),
      },
      { quiet: true },
    );
    if (outcome.ok && outcome.data.lengthKept !== undefined)
      notify('The harness keeps its length.', {
        hint: `${outcome.data.lengthKept} Set the length on the machine later.`,
      });
    setRefusal(outcome.ok ? undefined : { message: outcome.error.message, hint: outcome.error.hint ?? '' });
  };
  const base = `/api/jobs/${view.id}`;
  const open = sheet.lines.filter((line) => !maySign(line.standing)).length;
  const longer = plan.runs.flatMap(({ runId, lengthMm, growths = [] }) =>
    growths.length > 0 ? [{ runId, lengthMm, wasMm: growths.reduce((mm, { byMm }) => mm - byMm, lengthMm) }] : [],
  );
  const looked = sheet.lines.filter((line) => line.standing === 'looked').length;
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_300px]">
      <Sheet
        sheet={sheet}
        signature={first && { by: first.body.signedBy, at: first.body.signedAt, note: first.body.note }}
      />
      <aside className="no-print grid content-start gap-3">
        {signed ? (
          <p className="text-xl font-semibold text-pass">✓ Signed by {first?.body.signedBy}</p>
        ) : (
          <section aria-label="Sign-off" className="grid gap-3 border-b border-rule pb-5">
            <h2 className="text-xl font-semibold">Sign off</h2>
            <p>
              {open === 0
                ? looked === 0
                  ? 'Every splice and cover is proved.'
                  : `${looked} of ${sheet.lines.length} looked at, not measured: the record says so.${looked < sheet.lines.length ? ' The others are proved.' : ''}`
                : `${open} of ${sheet.lines.length} not proved yet: finish them in Prove.`}
            </p>
            {longer.map(({ runId, lengthMm, wasMm }) => (
              <p key={runId}>
                Signing makes {view.job.harness.runs.find(({ id }) => id === runId)?.name ?? runId}{' '}
                <Length mm={lengthMm} digits={0} /> long; it was <Length mm={wasMm} digits={0} />.
              </p>
            ))}
            {unwatched > 0 ? (
              <p>
                {unwatched} of {functions.length} functions not watched since:{' '}
                <Link className="underline" to={`${pathTo('prove')}#functions`}>
                  say what they do
                </Link>
                , or the sheet says so.
              </p>
            ) : null}
            <TextArea
              label="Note for whoever reads this in two years"
              value={note}
              maxLength={2000}
              onChange={(event) => setNote(event.target.value)}
            />
            <details>
              <summary className="min-h-11 cursor-pointer py-2 text-lg">Procedure followed, who looked as well</summary>
              <div className="grid gap-3 pt-1">
                <TextField
                  label="Manual’s page or procedure followed"
                  value={procedure}
                  maxLength={200}
                  onChange={(event) => setProcedure(event.target.value)}
                />
                <TextField
                  label="Who looked at it as well"
                  value={checkedBy}
                  maxLength={80}
                  onChange={(event) => setCheckedBy(event.target.value)}
                />
              </div>
            </details>
            {refusal ? (
              <p role="alert" className="text-scrap">
                {refusal.message} {refusal.hint}
              </p>
            ) : null}
            {notYours === undefined ? (
              <Button look="copper" disabled={busy || open > 0 || sheet.lines.length === 0} onClick={() => void sign()}>
                Sign as {person}
              </Button>
            ) : (
              <p className="border-l-4 border-rework pl-3 text-lg">{notYours}</p>
            )}
          </section>
        )}
        <a
          className={signed ? `${LINK} !border-copper !bg-copper !text-oncopper` : LINK}
          href={`${base}/record.pdf?paper=${paper}`}
          download
        >
          PDF
        </a>
        <a className={LINK} href={`${base}/record.pdf?paper=${paper}&form=short`} download>
          PDF in short
        </a>
        <Select
          label="Paper"
          value={paper}
          onChange={({ target }) => {
            setPaper(target.value);
            keep(PAPER_KEY, target.value);
          }}
        >
          <option value="a4">A4</option>
          <option value="letter">Letter</option>
        </Select>
        {signed ? <ExportLinks of={{ jobId: view.id }} /> : null}
        <a className={LINK} href={`${base}/file`} download>
          Job file
        </a>
        <Button onClick={() => window.print()}>Print</Button>
        {labelled ? <LabelPanel records={[labelled, ...others]} jobId={view.id} /> : null}
        {signed ? (
          <Corrections records={records} all={view.records} />
        ) : (
          <p className="text-soft">Tables and parcel come with the signature.</p>
        )}
      </aside>
    </div>
  );
}

import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Check, Reading, ReadingValue } from '@mendum/core/prove';
import { buildRecords } from '@mendum/core/record';
import type { JobView } from '@mendum/core/operations';
import { findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf, type Sent } from '../../test/server.ts';
import { RecordStage } from './RecordStage.tsx';

const AT = '2030-01-01T11:00:00Z';
const FINDINGS = [findingOf('F1', { temporaryUntil: '2030-03-01' })];

function good(check: Check): ReadingValue | undefined {
  if (check.kind === 'look') return { kind: 'look', answer: 'good' };
  if (check.kind === 'tug') return { kind: 'tug', newtons: 111, held: true };
  if (check.kind === 'resistance') return { kind: 'resistance', milliohm: 0.08 };
  return undefined;
}

/** The job with every required check passed. */
function proved(): JobView {
  const splice = planFor(viewOf(FINDINGS)).findings[0]!.splices[0]!;
  const readings = splice.checks.flatMap((check): Reading[] => {
    const value = good(check);
    return value ? [{ id: check.id, spliceId: splice.id, make: 1, checkId: check.id, value, by: 'Ines', at: AT }] : [];
  });
  return viewOf(FINDINGS, { readings });
}

function signed(note = 'done'): JobView {
  const view = proved();
  const [body] = buildRecords(view.job, planFor(view), view.readings, { by: 'Ines', at: AT, note });
  return { ...view, status: 'signed', records: [{ id: 'R1', spliceId: body!.spliceId, body: body! }] };
}

const show = (view: JobView): void => {
  render(
    <InJob view={view}>
      <RecordStage />
    </InJob>,
  );
};

describe('before it is signed', () => {
  it('says how many are not proved, and cannot be signed', () => {
    standInServer({});
    show(viewOf(FINDINGS));
    expect(screen.getByText('1 of 1 not proved yet: finish them in Prove.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Sign as/ }).disabled).toBe(true);
    expect(screen.getByText('Not signed: this is the state of the work and not a record.')).toBeTruthy();
  });

  it('gives out the sheet, whole and in short, and the job file, but no table and no label', () => {
    standInServer({});
    show(viewOf(FINDINGS));
    const href = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
    expect(href('PDF')).toBe('/api/jobs/J/record.pdf?paper=a4');
    fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'letter' } });
    expect(href('PDF in short')).toBe('/api/jobs/J/record.pdf?paper=letter&form=short');
    expect(screen.queryByRole('region', { name: 'Label' })).toBeNull();
    expect(screen.getByRole('link', { name: 'Job file' }).getAttribute('href')).toBe('/api/jobs/J/file');
    expect(screen.queryByRole('link', { name: 'CSV' })).toBeNull();
  });

  it('says in short what is made, draws where, and what was found', () => {
    standInServer({});
    show(viewOf(FINDINGS));
    const sheet = screen.getByRole('article', { name: 'Repair record' });
    expect(sheet.textContent).toMatch(/^.*\d repairs? on .*: .*not proved yet\./);
    expect(within(sheet).getAllByRole('img')[0]?.getAttribute('aria-label')).toMatch(/ at \d+ mm/);
    expect(within(sheet).getAllByText(/^Found: /).length).toBeGreaterThan(0);
  });

  it('once proved, the signature is sent with its note and the version it was made from', async () => {
    const sent = standInServer({ 'POST /jobs/J/sign': { status: 201, body: { version: 2, records: 1 } } });
    show(proved());
    await userEvent.type(screen.getByLabelText(/Note for whoever/), 'salt washed off');
    await userEvent.click(screen.getByRole('button', { name: /^Sign as/ }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([{ path: '/jobs/J/sign', body: { version: 1, note: 'salt washed off' } }]),
    );
  });

  it('the procedure and who looked as well go with the signature; what is left empty does not', async () => {
    const sent = standInServer({ 'POST /jobs/J/sign': { status: 201, body: { version: 2, records: 1 } } });
    show(proved());
    await userEvent.click(screen.getByText('Procedure followed, who looked as well'));
    await userEvent.type(screen.getByLabelText('Manual’s page or procedure followed'), ' Manual 7.4, page 112 ');
    await userEvent.click(screen.getByRole('button', { name: /^Sign as/ }));
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    const [{ body }] = writesOf(sent) as [Sent];
    expect(body).toMatchObject({ procedure: 'Manual 7.4, page 112' });
    expect(body).not.toHaveProperty('checkedBy');
  });

  it('whoever made it is told before they sign that somebody else does, where the practice says so', async () => {
    const session = { signsIn: true, mayBegin: false, who: { id: 'A', name: 'Ines', role: 'technician' } };
    standInServer({ 'GET /session': { body: session } });
    const view = proved();
    const ticks = [{ stepId: 'S', spliceId: 'F1:only', done: true, by: 'Ines', at: AT }];
    show({ ...view, ticks, practice: { ...view.practice, signing: { another: true } } });
    await screen.findByText('Ines made part of this: somebody else signs it.');
    expect(screen.queryByRole('button', { name: /^Sign as/ })).toBeNull();
  });

  it('a refused signature says why, where it was pressed', async () => {
    standInServer({
      'POST /jobs/J/sign': {
        status: 409,
        body: {
          error: {
            code: 'RECORD_REFUSED',
            message: 'There are no readings for circuit 1.',
            hint: 'Take them in Prove.',
          },
        },
      },
    });
    show(proved());
    await userEvent.click(screen.getByRole('button', { name: /^Sign as/ }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'There are no readings for circuit 1. Take them in Prove.',
    );
  });
});

describe('the sheet', () => {
  it('shows place, method, every reading with its ruling, the due date, and the manual first', () => {
    standInServer({});
    show(proved());
    const sheet = screen.getByRole('article', { name: 'Repair record' });
    expect(sheet.textContent).toContain('506 mm from X1');
    expect(sheet.textContent).toContain('Temporary until 2030-03-01');
    const lists = within(sheet).getAllByRole('list');
    expect(
      within(lists[0]!)
        .getAllByRole('listitem')
        .map((line) => line.textContent),
    ).toContain('Tug:111 N, heldPass');
    expect(within(lists.at(-1)!).getAllByRole('listitem')[0]?.textContent).toContain(
      "The maker's service manual and local codes come first",
    );
  });
});

describe('once signed', () => {
  it('gives out table and record, and says who signed', () => {
    standInServer({});
    show(signed());
    expect(screen.getByText('✓ Signed by Ines')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toBe('/api/export/records.csv?jobId=J');
    expect(screen.getByRole('link', { name: 'JSON' }).getAttribute('href')).toBe('/api/export/records.json?jobId=J');
    expect(screen.queryByRole('button', { name: /^Sign as/ })).toBeNull();
  });

  it('the sheet carries the head of the chain', async () => {
    const state = { row: 412, hash: 'ab12'.repeat(16), at: AT, signs: false };
    standInServer({ 'GET /chain': { body: state } });
    show(signed());
    const sheet = screen.getByRole('article', { name: 'Repair record' });
    await within(sheet).findByText(`Chain of records: row 412, ${state.hash}`);
  });
  it('is corrected by a new record that names the old one', async () => {
    const sent = standInServer({ 'POST /records/R1/corrections': { status: 201, body: { id: 'R2' } } });
    show(signed());
    await userEvent.click(screen.getByRole('button', { name: 'Correct the record' }));
    const add = screen.getByRole<HTMLButtonElement>('button', { name: 'Add the correction' });
    expect(add.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('What is right'), 'Tool 4, not 3.');
    await userEvent.click(add);
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([{ path: '/records/R1/corrections', body: { text: 'Tool 4, not 3.' } }]),
    );
  });

  it('shows the newest text and says how many were corrected', () => {
    standInServer({});
    const first = signed('old words');
    const [record] = first.records;
    show({
      ...first,
      records: [
        record!,
        { id: 'R2', spliceId: record!.spliceId, replacesId: 'R1', body: { ...record!.body, note: 'new words' } },
      ],
    });
    expect(screen.getByText('1 record was corrected; the earlier text is kept.')).toBeTruthy();
    const sheet = screen.getByRole('article', { name: 'Repair record' });
    expect(sheet.textContent).toContain('new words');
    expect(sheet.textContent).not.toContain('old words');
  });
});

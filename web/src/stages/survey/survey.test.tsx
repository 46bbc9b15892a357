import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { findingOf, InJob, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { draftOf, newDraft } from './draft.ts';
import { FindingForm } from './FindingForm.tsx';
import { GateBlock } from './GateBlock.tsx';

const view = viewOf([]);
const show = (more: Partial<React.ComponentProps<typeof FindingForm>> = {}) => {
  const onSaved = vi.fn();
  const onClose = vi.fn();
  render(
    <InJob view={view}>
      <FindingForm start={newDraft([], 'R1', 500, 512)} onSaved={onSaved} onClose={onClose} {...more} />
    </InJob>,
  );
  return { onSaved, onClose };
};

describe('describing a finding', () => {
  it('says what is missing, keeps what was typed, and sends nothing', async () => {
    const sent = standInServer({});
    const { onSaved } = show();
    await userEvent.type(screen.getByLabelText('Note'), 'green');
    await userEvent.click(screen.getByRole('button', { name: 'Add the finding' }));
    expect(screen.getByRole('alert').textContent).toContain('Pick the circuit');
    expect(screen.getByLabelText<HTMLTextAreaElement>('Note').value).toBe('green');
    expect(writesOf(sent)).toEqual([]);
    expect(onSaved).not.toHaveBeenCalled();
  });

  it('shows what is lost once it is cut back, as it is typed', async () => {
    standInServer({});
    show();
    await userEvent.clear(screen.getByLabelText('Cut back towards the start'));
    await userEvent.type(screen.getByLabelText('Cut back towards the start'), '6');
    expect(screen.getByText(/Lost once cut back/).textContent).toContain('18');
  });

  it('across two circuits sends one finding for each, every write with an id of its own', async () => {
    const sent = standInServer({ 'POST /jobs/J/findings': { status: 201, body: { version: 1 } } });
    const { onSaved } = show();
    await userEvent.click(screen.getByRole('button', { name: /Function 1/ }));
    await userEvent.click(screen.getByRole('button', { name: /Function 2/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Add to 2 circuits' }));
    await waitFor(() => expect(onSaved).toHaveBeenCalledOnce());
    const writes = writesOf(sent);
    expect(writes.map((one) => (one.body?.finding as { circuitId: string }).circuitId)).toEqual(['C1', 'C2']);
    expect(new Set(writes.map((one) => one.body?.writeId)).size).toBe(2);
  });

  it('asks for strands only where strands are lost', async () => {
    standInServer({});
    show();
    expect(screen.queryByLabelText('Strands lost')).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'strands nicked or broken' }));
    expect(screen.getByLabelText('Strands lost')).toBeTruthy();
  });

  it('offers the far wire its own size, gauge and trade label kept apart', async () => {
    standInServer({});
    show();
    await userEvent.click(screen.getByRole('button', { name: /Function 1/ }));
    await userEvent.click(screen.getByLabelText('A different wire beyond the damage'));
    await userEvent.selectOptions(screen.getByLabelText('Size known as'), 'trade');
    const sizes = within(screen.getByLabelText('Size'))
      .getAllByRole('option')
      .map((option) => option.textContent);
    expect(sizes).toContain('16 (1 mm²)');
    await userEvent.selectOptions(screen.getByLabelText('Size known as'), 'awg');
    expect(
      within(screen.getByLabelText('Size'))
        .getAllByRole('option')
        .map((option) => option.textContent),
    ).toContain('16 (1.31 mm²)');
  });

  it('shows what the server refuses at the field it names', async () => {
    standInServer({
      'POST /jobs/J/findings': {
        status: 422,
        body: { error: { code: 'BAD_INPUT', message: 'It overlaps.', field: '/finding/fromMm', hint: 'Move one.' } },
      },
    });
    const { onSaved } = show();
    await userEvent.click(screen.getByRole('button', { name: /Function 1/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Add the finding' }));
    expect((await screen.findByRole('alert')).textContent).toBe('It overlaps. Move one.');
    expect(onSaved).not.toHaveBeenCalled();
  });

  it('a stale edit shows both versions; "save mine over it" sends it again from the newer one', async () => {
    const mine = findingOf('F1', { slackMm: 55 });
    let first = true;
    const sent = standInServer({
      'PUT /jobs/J/findings/F1': () => {
        if (!first) return { body: { version: 4 } };
        first = false;
        return {
          status: 409,
          body: {
            error: {
              code: 'STALE',
              message: 'stale',
              details: { stored: findingOf('F1', { slackMm: 44 }), storedVersion: 3, yours: mine },
            },
          },
        };
      },
    });
    const { onSaved } = show({ start: draftOf(mine), version: 2 });
    await userEvent.click(screen.getByRole('button', { name: 'Save the finding' }));
    const notice = await screen.findByRole('alert');
    expect(notice.textContent).toContain('slack 44');
    expect(notice.textContent).toContain('slack 55');
    await userEvent.click(screen.getByRole('button', { name: 'Save mine over it' }));
    await waitFor(() => expect(onSaved).toHaveBeenCalledOnce());
    expect(writesOf(sent).map((one) => one.body?.version)).toEqual([2, 3]);
  });
});

describe('the gate', () => {
  const closed = viewOf([findingOf('F1')], { job: { gate: {} } });
  it('asks to make it safe, and says how it was done', async () => {
    const sent = standInServer({ 'PUT /jobs/J/gate/isolation': { body: { version: 2 } } });
    render(
      <InJob view={closed}>
        <GateBlock />
      </InJob>,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Battery negative is off' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        { path: '/jobs/J/gate/isolation', body: { how: 'batteryOff', version: 1 } },
      ]),
    );
  });
  it('high voltage wants a procedure in words before its button works', async () => {
    standInServer({});
    const high = viewOf([findingOf('F1')]);
    const circuits = high.job.harness.circuits.map((circuit) => ({ ...circuit, kind: 'highVoltage' as const }));
    render(
      <InJob view={{ ...high, job: { ...high.job, harness: { ...high.job.harness, circuits } } }}>
        <GateBlock />
      </InJob>,
    );
    const button = screen.getByRole('button', { name: 'Procedure named' });
    expect((button as HTMLButtonElement).disabled).toBe(true);
    await userEvent.type(screen.getByRole('textbox'), 'Sheet HV-4');
    expect((button as HTMLButtonElement).disabled).toBe(false);
  });
  it('once open it says who said so, and can be taken back', () => {
    standInServer({});
    render(
      <InJob view={viewOf([findingOf('F1')])}>
        <GateBlock />
      </InJob>,
    );
    expect(screen.getByRole('region', { name: 'Safety gate' }).textContent).toContain('proved dead with a meter');
    expect(screen.getByRole('button', { name: 'Withdraw' })).toBeTruthy();
  });
});

import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Reading } from '@mendum/core/prove';
import { findingOf, InJob, viewOf } from '../../test/job.tsx';
import { standInPlanner } from '../../test/planner.ts';
import { standInServer, writesOf } from '../../test/server.ts';
import { ProveStage } from './ProveStage.tsx';

const letGo = (make = 1): Reading => ({
  id: `t${make}`,
  spliceId: 'F1:only',
  make,
  checkId: 'tug',
  value: { kind: 'tug', newtons: 40, held: false },
  by: 'Ines',
  at: '2030-01-01T09:00:00Z',
});
const show = (slackMm: number) =>
  render(
    <InJob view={viewOf([findingOf('F1', { slackMm })], { readings: [letGo()] })}>
      <ProveStage />
    </InJob>,
  );

beforeEach(standInPlanner);
afterEach(() => vi.restoreAllMocks());
const again = (): string => screen.getByRole('region', { name: 'Make it again' }).textContent ?? '';

describe('a joint that let go', () => {
  it('says the cause, the next action, what it costs and what the plan becomes, before it is accepted', async () => {
    standInServer({});
    show(60);
    expect(again()).toContain('It let go at 40 N; it must hold 111 and 222 on a sample.');
    expect(again()).toContain('9 mm of the wire on each side');
    expect(again()).toContain('Used up: Sealed butt, middle.');
    await screen.findByText('The plan stays:', { exact: false });
    expect(again()).toContain('30 mm left: enough to strip one end again, not for a redo.');
  });
  it('costs more once its seal is on, and may turn one splice into two', async () => {
    standInServer({});
    show(40);
    await userEvent.click(screen.getByLabelText('Its seal is on already'));
    expect(again()).toContain('19.5 mm of the wire on each side');
    await screen.findByText('The plan becomes:', { exact: false });
    expect(again()).toMatch(/The plan becomes: Two splices and .* of new wire/);
  });
  it('sends what was decided, with its cause', async () => {
    const sent = standInServer({ 'POST /jobs/J/redos': { status: 201, body: {} } });
    show(60);
    await userEvent.click(screen.getByRole('button', { name: 'Cut it out and make it again' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          body: {
            spliceId: 'F1:only',
            make: 1,
            kind: 'jointFailed',
            sealed: false,
            because: expect.stringContaining('let go at 40 N'),
          },
        },
      ]),
    );
  });
});

describe('proving', () => {
  it('all looks are good in one tap, as one write', async () => {
    const sent = standInServer({ 'POST /jobs/J/readings': { status: 201, body: { rulings: [] } } });
    render(
      <InJob view={viewOf([findingOf('F1')])}>
        <ProveStage />
      </InJob>,
    );
    await userEvent.click(screen.getByRole('button', { name: 'All 3 looks are good' }));
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    const readings = writesOf(sent)[0]?.body?.readings as { checkId: string; inOneGo?: boolean }[];
    expect(readings.map(({ checkId, inOneGo }) => [checkId, inOneGo])).toEqual([
      ['barrel.wire', true],
      ['barrel.crimp', true],
      ['seal.glue', true],
    ]);
  });
  it('the instrument is named once, and said with each measure; a look says none', async () => {
    const sent = standInServer({ 'POST /jobs/J/readings': { status: 201, body: { rulings: [] } } });
    render(
      <InJob view={viewOf([findingOf('F1')])}>
        <ProveStage />
      </InJob>,
    );
    await userEvent.type(screen.getByLabelText('Read with, if it has a name or a number'), 'gauge 7');
    await userEvent.click(screen.getByRole('button', { name: /^Held \d+ N$/ }));
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    const [look] = within(screen.getAllByRole('radiogroup')[0]!).getAllByRole('radio');
    await userEvent.click(look!);
    await waitFor(() => expect(writesOf(sent)).toHaveLength(2));
    const named = writesOf(sent).map(({ body }) => (body?.readings as { instrument?: string }[])[0]?.instrument);
    expect(named).toEqual(['gauge 7', undefined]);
  });
  it('without anything made it says where to go', () => {
    render(
      <InJob view={viewOf([])}>
        <ProveStage />
      </InJob>,
    );
    expect(screen.getByText('Nothing to prove yet')).toBeTruthy();
  });
  it('a watch passes and says what to do', () => {
    const watch: Reading = { ...letGo(), value: { kind: 'tug', newtons: 140, held: true } };
    render(
      <InJob view={viewOf([findingOf('F1')], { readings: [watch] })}>
        <ProveStage />
      </InJob>,
    );
    expect(screen.getByText('Look at the crimp again.')).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Make it again' })).toBeNull();
  });
});

import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { FunctionMoment } from '@mendum/core/prove';
import { findingOf, InJob, viewOf } from '../../test/job.tsx';
import { standInPlanner } from '../../test/planner.ts';
import { standInServer, writesOf } from '../../test/server.ts';
import { Functions } from './Functions.tsx';

beforeEach(standInPlanner);
const show = (more: Partial<ReturnType<typeof viewOf>> = {}, now: FunctionMoment = 'after') =>
  render(
    <InJob view={{ ...viewOf([findingOf('F1', { slackMm: 60 })]), ...more }}>
      <Functions now={now} />
    </InJob>,
  );
const SAID = { status: 201, body: { seen: 1 } };

describe('a function that is switched and watched', () => {
  it('is said by one tap, before or after', async () => {
    const sent = standInServer({ 'POST /jobs/J/functions': SAID });
    show();
    expect(screen.getByText(/0 of 1/)).toBeTruthy();
    await userEvent.click(screen.getAllByRole('button', { name: 'Works' })[1]!);
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        { body: { functions: [{ circuitId: 'C1', moment: 'after', answer: 'works' }] } },
      ]),
    );
  });
  test.each<[string, FunctionMoment, number]>([
    ['before the work only what it does now is asked', 'before', 1],
    ['after it both', 'after', 2],
  ])('%s; all that are left are said in one go, and marked so', async (_, now, columns) => {
    const sent = standInServer({ 'POST /jobs/J/functions': SAID });
    const other = { ...findingOf('F2', { slackMm: 60 }), circuitId: 'C2' };
    show({ ...viewOf([findingOf('F1', { slackMm: 60 }), other]) }, now);
    expect(screen.getAllByRole('button', { name: 'Does not' })).toHaveLength(2 * columns);
    await userEvent.click(screen.getByRole('button', { name: 'All 2 work now' }));
    const said = { moment: now, answer: 'works', inOneGo: true };
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          body: {
            functions: [
              { circuitId: 'C1', ...said },
              { circuitId: 'C2', ...said },
            ],
          },
        },
      ]),
    );
  });
  it('with its value; one that was not tried with the reason, and not without', async () => {
    const sent = standInServer({ 'POST /jobs/J/functions': SAID });
    show();
    await userEvent.click(screen.getAllByRole('button', { name: 'With a value' })[0]!);
    await userEvent.click(screen.getByRole('button', { name: 'Not tried' }));
    expect(screen.getByText('Say why it was not tried.')).toBeTruthy();
    expect(writesOf(sent)).toEqual([]);
    await userEvent.type(screen.getByLabelText('Its value, or why it was not tried'), 'battery is out');
    await userEvent.click(screen.getByRole('button', { name: 'Not tried' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        { body: { functions: [{ moment: 'before', answer: 'notTried', value: 'battery is out' }] } },
      ]),
    );
  });
  it('what was seen last stands there, with who saw it', () => {
    standInServer({});
    const seen = { circuitId: 'C1', moment: 'after', by: 'Marek', at: '2030-01-01T09:00:00Z' } as const;
    show({
      functions: [
        { ...seen, answer: 'fails' },
        { ...seen, answer: 'works', value: '12.4 V' },
      ],
    });
    expect(screen.getByText(/works, 12\.4 V/)).toBeTruthy();
    expect(screen.getByText(/1 of 1/)).toBeTruthy();
    expect(screen.queryByText(/does not work/)).toBeNull();
  });
});

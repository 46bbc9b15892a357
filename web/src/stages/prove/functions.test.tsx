import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import { findingOf, InJob, viewOf } from '../../test/job.tsx';
import { standInPlanner } from '../../test/planner.ts';
import { standInServer, writesOf } from '../../test/server.ts';
import { Functions } from './Functions.tsx';

beforeEach(standInPlanner);
const show = (more: Partial<ReturnType<typeof viewOf>> = {}) =>
  render(
    <InJob view={{ ...viewOf([findingOf('F1', { slackMm: 60 })]), ...more }}>
      <Functions />
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

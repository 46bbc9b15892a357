import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { standInPlanner } from '../../test/planner.ts';
import { standInServer, writesOf } from '../../test/server.ts';
import { SlackAccount } from './SlackAccount.tsx';
import { WentWrong } from './WentWrong.tsx';

beforeEach(standInPlanner);
afterEach(() => vi.restoreAllMocks());

const show = (slackMm: number, at = 0) => {
  const view = viewOf([findingOf('F1', { slackMm })]);
  const finding = planFor(view).findings[0]!;
  const onClose = vi.fn();
  render(
    <InJob view={view}>
      <WentWrong make={finding.splices[at]!} finding={finding} onClose={onClose} />
    </InJob>,
  );
  return onClose;
};
const pick = (group: string, name: string) =>
  userEvent.click(within(screen.getByRole('radiogroup', { name: group })).getByRole('radio', { name }));
const costs = (): string => screen.getByRole('list', { name: 'What it costs' }).textContent ?? '';
const accept = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Accept, and begin it again' });

describe('it went wrong', () => {
  it('asks what and at which end; then says what it costs and what the plan becomes', async () => {
    standInServer({});
    show(30);
    expect(accept().disabled).toBe(true);
    await pick('What went wrong', 'A strand is nicked or cut');
    expect(screen.getByText('Nobody has said which end it is.')).toBeTruthy();
    await pick('Which end', 'X1 side');
    expect(costs()).toBe('9 mm of the wire, X1 side');
    expect(await screen.findByText('The plan stays:', { exact: false })).toBeTruthy();
    expect(screen.getByText('9 mm left: enough to strip one end again, not for a redo.')).toBeTruthy();
  });
  it('without slack for it, one splice becomes two', async () => {
    standInServer({});
    show(14);
    await pick('What went wrong', 'Crimped in the wrong nest');
    await pick('Which end', 'both');
    expect(costs()).toContain('Used up: Sealed butt, middle.');
    expect((await screen.findByText('The plan becomes:', { exact: false })).parentElement?.textContent).toMatch(
      /Two splices and .* of new wire/,
    );
  });
  it('an end of the insert costs new wire only', async () => {
    standInServer({});
    show(0);
    await pick('What went wrong', 'Stripped too long');
    await pick('Which end', 'the insert');
    expect(costs()).toMatch(/9 mm of the new wire.*Used up: \d+ mm of new wire\./);
  });
  it('a burn asks for its length, above 0 and up to 200 mm', async () => {
    standInServer({});
    show(60);
    await pick('What went wrong', 'The jacket is burnt');
    await pick('Which end', 'X2 side');
    const burnt = screen.getByLabelText(/Burnt, from the end of the jacket/);
    await userEvent.type(burnt, '201');
    expect(screen.getByText(/Enter a length above 0, up to 200 mm/)).toBeTruthy();
    expect(accept().disabled).toBe(true);
    await userEvent.clear(burnt);
    await userEvent.type(burnt, '12');
    expect(costs()).toBe('21 mm of the wire, X2 side');
  });
  it('something else wants words, and is sent with them', async () => {
    const sent = standInServer({ 'POST /jobs/J/redos': { status: 201, body: {} } });
    const onClose = show(30);
    await pick('What went wrong', 'Something else');
    await pick('Which end', 'X1 side');
    await userEvent.type(screen.getByLabelText(/Gone, from the end of the jacket/), '5');
    expect(accept().disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('What happened'), 'Dropped into the press.');
    await userEvent.click(accept());
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(writesOf(sent)).toMatchObject([
      {
        body: {
          spliceId: 'F1:only',
          make: 1,
          kind: 'other',
          side: 'left',
          mm: 5,
          joined: false,
          because: 'Something else. Dropped into the press.',
        },
      },
    ]);
  });
});

it('the account of slack says what was measured, drawn and left', async () => {
  const view = viewOf([findingOf('F1', { slackMm: 60 })]);
  render(
    <InJob view={view}>
      <SlackAccount finding={planFor(view).findings[0]!} />
    </InJob>,
  );
  await userEvent.click(screen.getByText(/Enough for one redo/));
  const rows = within(screen.getByRole('table', { name: /Slack of circuit/, hidden: true })).getAllByRole('row', {
    hidden: true,
  });
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    'Measured60 mm',
    'Lost, with its cut-back− 12 mm',
    'Kept for one redo39 mm',
    'Left besides9 mm',
  ]);
});

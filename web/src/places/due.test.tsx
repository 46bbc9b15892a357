import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { DueBack } from '@mendum/core/operations';
import { pageOf, standInServer, writesOf } from '../test/server.ts';
import { DuePlace } from './DuePlace.tsx';
import { show } from './test/places.tsx';

const due = (more: object = {}, body: object = {}): DueBack =>
  ({
    recordId: 'r1',
    also: [],
    jobId: 'J1',
    until: '2031-06-01',
    overdue: true,
    body: {
      machine: 'Ovrell 420',
      jobNumber: '0118',
      circuitNumber: '4',
      circuitFunction: 'Work lamp',
      method: 'Sealed butt',
      atMm: 154,
      fromName: 'Branch B1',
      signedBy: 'Ines',
      ...body,
    },
    ...more,
  }) as unknown as DueBack;
const list = (one: DueBack) => ({ '/due': { body: { ...pageOf([one]), overdue: 1 } } });

it('what is due back says how late it is', async () => {
  const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  const [late, soon] = [due({ until: day(-12) }), due({ recordId: 'r2', until: day(10), overdue: false })];
  standInServer({ '/due': { body: { ...pageOf([late, soon]), overdue: 1 } } });
  show(<DuePlace />);
  const links = await screen.findAllByRole('link');
  expect(links.map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('12 days overdue'),
    expect.stringContaining('in 10 days'),
  ]);
});

describe('what is done about a temporary repair', () => {
  it('it is made good: a job is opened for it', async () => {
    const sent = standInServer({
      ...list(due()),
      'POST /records/r1/good': { status: 201, body: { id: 'J2', number: '0151' } },
    });
    show(<DuePlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Make it good' }));
    await waitFor(() => expect(writesOf(sent).map(({ path }) => path)).toEqual(['/records/r1/good']));
  });
  it('one that a job makes good already names that job, and offers no second one', async () => {
    standInServer(list(due({ good: { id: 'J2', number: '0151' } })));
    show(<DuePlace />);
    const link = await screen.findByRole('link', { name: 'Job 0151 makes it good' });
    expect(link.getAttribute('href')).toBe('/jobs/J2');
    expect(screen.queryByRole('button', { name: 'Make it good' })).toBeNull();
  });
  it('it is put off to a later day, with a reason; how often it was is said', async () => {
    const sent = standInServer({
      ...list(due({}, { putOff: 2 })),
      'POST /records/r1/due': { status: 201, body: { id: 'r2' } },
    });
    show(<DuePlace />);
    expect((await screen.findAllByText(/put off 2 times/)).length).toBeGreaterThan(0);
    await userEvent.click(screen.getByRole('button', { name: 'Another day' }));
    const send = screen.getByRole<HTMLButtonElement>('button', { name: 'Put it off' });
    expect(send.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('Due back on'), '2031-08-01');
    await userEvent.type(screen.getByLabelText(/^Why/), 'The harvest first.');
    await userEvent.click(send);
    await waitFor(() =>
      expect(writesOf(sent).map(({ body }) => body)).toMatchObject([
        { until: '2031-08-01', because: 'The harvest first.' },
      ]),
    );
  });
  it('a day that is refused is said at the field, and nothing is lost', async () => {
    const message = 'It is due back on 2031-06-01 already: 2031-05-01 is not later.';
    standInServer({
      ...list(due()),
      'POST /records/r1/due': { status: 422, body: { error: { code: 'BAD_INPUT', message } } },
    });
    show(<DuePlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Another day' }));
    await userEvent.type(screen.getByLabelText('Due back on'), '2031-07-01');
    await userEvent.type(screen.getByLabelText(/^Why/), 'No parts yet.');
    await userEvent.click(screen.getByRole('button', { name: 'Put it off' }));
    expect(await screen.findByText(message)).toBeTruthy();
    expect(screen.getByLabelText<HTMLTextAreaElement>(/^Why/).value).toBe('No parts yet.');
  });
  it('one that is not there any more is closed, by a reason alone', async () => {
    const sent = standInServer({ ...list(due()), 'POST /records/r1/due': { status: 201, body: { id: 'r2' } } });
    show(<DuePlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Another day' }));
    await userEvent.click(screen.getByRole('checkbox', { name: /not there any more/ }));
    await userEvent.type(screen.getByLabelText(/^Why/), 'The harness was replaced.');
    await userEvent.click(screen.getByRole('button', { name: 'Close it' }));
    await waitFor(() => expect(writesOf(sent).map(({ body }) => body)).toMatchObject([{ until: null }]));
  });
});

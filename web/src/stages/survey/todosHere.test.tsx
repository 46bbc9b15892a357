import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import type { Todo } from '@mendum/core/operations';
import { findingOf, InJob, viewOf } from '../../test/job.tsx';
import { pageOf, standInServer, writesOf } from '../../test/server.ts';
import { TodosHere } from './TodosHere.tsx';

const seen = (more: Partial<Todo>): Todo => ({
  id: 'T1',
  harnessId: 'H1',
  machine: 'Ovrell 420',
  harness: 'Cab loom',
  words: 'Ties are brittle',
  by: 'Ines Valdur',
  at: '2031-05-20T09:00:00.000Z',
  ...more,
});

it('what has its place is taken along whole; what is words alone is marked; what a job does is not shown', async () => {
  const finding = findingOf('F9');
  const sent = standInServer({
    'GET /todos': {
      body: pageOf([
        seen({ finding, words: 'Jacket rubbed' }),
        seen({ id: 'T2' }),
        seen({ id: 'T3', words: 'Elsewhere', doing: { id: 'J2', number: '0151' } }),
      ]),
    },
    'POST /jobs/J/findings': { status: 201, body: { version: 1, jobVersion: 2 } },
  });
  const onMark = vi.fn();
  render(
    <InJob view={viewOf([])}>
      <TodosHere onMark={onMark} />
    </InJob>,
  );
  await userEvent.click(await screen.findByText('2 things were seen here and left'));
  await userEvent.click(screen.getByRole('button', { name: 'Mark it in this job' }));
  expect(onMark).toHaveBeenCalledWith(expect.objectContaining({ id: 'T2' }));
  await userEvent.click(screen.getByRole('button', { name: 'Take it into this job' }));
  await waitFor(() => expect(writesOf(sent)[0]?.body).toMatchObject({ finding: { id: 'F9' }, todoId: 'T1' }));
});

it('nothing is said where nothing is left', async () => {
  const sent = standInServer({ 'GET /todos': { body: pageOf([]) } });
  render(
    <InJob view={viewOf([])}>
      <TodosHere onMark={vi.fn()} />
    </InJob>,
  );
  await waitFor(() => expect(sent.length).toBeGreaterThan(0));
  expect(screen.queryByText(/seen here and left/)).toBeNull();
});

import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { DataTable, type Column } from './DataTable.tsx';

interface Reel {
  readonly name: string;
  readonly mm: number;
}
const REELS: readonly Reel[] = [
  { name: 'red 10', mm: 900 },
  { name: 'red 2', mm: 1200 },
  { name: 'black 1', mm: 150 },
  { name: '=red', mm: 5 },
];
const COLUMNS: readonly Column<Reel>[] = [
  { id: 'name', title: 'Wire', value: ({ name }) => name },
  { id: 'mm', title: 'Left', unit: 'mm', value: ({ mm }) => mm, shown: ({ mm }) => `${mm} mm` },
];
const show = () => {
  const opened: string[] = [];
  render(
    <DataTable
      label="Wire on hand"
      columns={COLUMNS}
      rows={REELS}
      keyOf={({ name }) => name}
      onOpen={({ name }) => opened.push(name)}
    />,
  );
  return opened;
};
const names = (): (string | null | undefined)[] =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).queryAllByRole('cell')[0]?.textContent);

it('is sorted by its headings, numbers as numbers, and comes back as it was', async () => {
  show();
  expect(names()).toEqual(['red 10', 'red 2', 'black 1', '=red']);
  await userEvent.click(screen.getByRole('button', { name: 'Wire' }));
  expect(names()).toEqual(['=red', 'black 1', 'red 2', 'red 10']);
  expect(screen.getAllByRole('columnheader')[0]?.getAttribute('aria-sort')).toBe('ascending');
  await userEvent.click(screen.getByRole('button', { name: 'Wire ▲' }));
  expect(names()).toEqual(['red 10', 'red 2', 'black 1', '=red']);
  await userEvent.click(screen.getByRole('button', { name: 'Wire ▼' }));
  expect(names()).toEqual(['red 10', 'red 2', 'black 1', '=red']);
});

it('is copied as it stands: what is shown, in the order in which it is shown', async () => {
  const copied = vi.fn(() => Promise.resolve());
  const user = userEvent.setup({ writeToClipboard: false });
  Object.defineProperty(navigator, 'clipboard', { value: { writeText: copied }, configurable: true });
  show();
  await user.click(screen.getByRole('button', { name: 'Wire' }));
  await user.click(screen.getByRole('button', { name: 'Copy the table' }));
  await waitFor(() =>
    expect(copied).toHaveBeenLastCalledWith("Wire\tLeft, mm\n'=red\t5\nblack 1\t150\nred 2\t1200\nred 10\t900"),
  );
  await user.click(screen.getByText('Columns'));
  await user.click(screen.getByRole('checkbox', { name: 'Left' }));
  await user.keyboard('{Escape}');
  await user.click(screen.getByRole('button', { name: 'Copy the table' }));
  await waitFor(() => expect(copied).toHaveBeenLastCalledWith("Wire\n'=red\nblack 1\nred 2\nred 10"));
});

it('a row opens what it is about', async () => {
  const opened = show();
  await userEvent.click(screen.getByRole('cell', { name: 'red 2' }));
  expect(opened).toEqual(['red 2']);
});

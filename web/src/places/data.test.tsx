import { render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { afterAll, describe, expect, it, vi } from 'vitest';
import type { Backups, ChainState } from '@mendum/core/operations';
import { makeStore } from '../app/store.ts';
import { standInServer } from '../test/server.ts';
import { DataPlace } from './DataPlace.tsx';
import { StaleBackup } from './StaleBackup.tsx';

// In the afternoon: past midnight what was five hours ago is told as yesterday's.
vi.useFakeTimers({ toFake: ['Date'], now: new Date(2031, 4, 20, 15) });
afterAll(() => void vi.useRealTimers());

const ago = (hours: number): string => new Date(Date.now() - hours * 3_600_000).toISOString();
const kept = (hours: number) => ({ name: `mendum-daily-${hours}.tar.gz`, at: ago(hours), bytes: 2_340_000 });
const NONE: Backups = { folder: '/srv/backups', kept: [], stale: false };

const WHOLE: ChainState = { row: 2318, hash: 'ab'.repeat(32), at: ago(0), signs: false };

function show(backups: Backups, chain = WHOLE): void {
  standInServer({ 'GET /backups': { body: backups }, 'GET /chain': { body: chain } });
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <StaleBackup />
        <DataPlace />
      </MemoryRouter>
    </Provider>,
  );
}

describe('how the backups stand', () => {
  const failed = { at: ago(3), ok: false, words: 'The disk is full: no backup was made.' };
  const cases: readonly (readonly [string, Backups, string, string | undefined])[] = [
    ['none yet', NONE, 'The first backup is made a minute after the server starts', undefined],
    ['one of this morning', { ...NONE, kept: [kept(5)] }, '✓ Backed up 5 hours ago', undefined],
    [
      'the newest four days old',
      { ...NONE, kept: [kept(96)], stale: true },
      '▲ Last backed up 4 days ago',
      '▲ The last backup was made 4 days ago: see why',
    ],
    ['never', { ...NONE, stale: true }, '▲ Never backed up', '▲ The data was never backed up: see why'],
    ['the first one failed', { ...NONE, last: failed }, 'No backup yet', undefined],
  ];
  it.each(cases)('%s', async (_, backups, words, warning) => {
    show(backups);
    await screen.findByText(words);
    expect(screen.queryByRole('link', { name: /backed up|backup was/ })?.textContent).toBe(warning);
    for (const { name } of backups.kept) screen.getByText(name);
    if (backups.last?.ok === false) screen.getByText(/The disk is full: no backup was made\./);
  });
});

describe('how the chain of records stands', () => {
  it('whole to its last row', async () => {
    show(NONE);
    expect(await screen.findByText('✓ Chain whole to row 2,318')).toBeTruthy();
    expect(screen.getByText(WHOLE.hash)).toBeTruthy();
  });
  it('broken: at which row, why, and what to do', async () => {
    show(NONE, { ...WHOLE, row: 2, broken: { row: 3, why: 'row 3 is missing' } });
    expect(await screen.findByText('▲ The chain breaks at row 3: row 3 is missing')).toBeTruthy();
    expect(screen.getByText(/compare it with a backup/)).toBeTruthy();
  });
});

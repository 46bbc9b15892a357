import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInServer, writesOf } from '../test/server.ts';
import { KeptSearches } from './KeptSearches.tsx';
import { show } from './test/places.tsx';

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' }));
});
const shown = (words: string, kept: readonly string[] = []) => {
  const picked = vi.fn();
  const sent = standInServer({
    'GET /searches': { body: kept.map((one) => ({ words: one, by: 'Marek Osei' })) },
    'PUT /searches': { body: { kept: 1 } },
  });
  show(<KeptSearches words={words} onPick={picked} />);
  const written = () => writesOf(sent).map(({ body }) => [body?.words, body?.kept]);
  return { picked, sent, written };
};

describe('searches that the shop keeps', () => {
  it('are kept, made again by a tap, and forgotten', async () => {
    const { picked, written } = shown('came back', ['lot T-0412']);
    await userEvent.click(await screen.findByRole('button', { name: 'lot T-0412' }));
    expect(picked).toHaveBeenCalledWith('lot T-0412');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the search “came back”' }));
    await waitFor(() => expect(written()).toEqual([['came back', true]]));
    await userEvent.click(screen.getByRole('button', { name: 'Forget the search “lot T-0412”' }));
    await waitFor(() => expect(written()[1]).toEqual(['lot T-0412', false]));
  });
  it('one that is kept is not offered again, however it is written', async () => {
    shown('LOT t-0412', ['lot T-0412']);
    expect(await screen.findByRole('button', { name: 'lot T-0412' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Keep/ })).toBeNull();
  });
  it('what a device kept before goes to the shop once, the newest first there as well', async () => {
    localStorage.setItem('mendum.searches', JSON.stringify(['newest', 'older', 7, '']));
    const { written } = shown('');
    await waitFor(() =>
      expect(written()).toEqual([
        ['older', true],
        ['newest', true],
      ]),
    );
    expect(localStorage.getItem('mendum.searches')).toBeNull();
  });
  it('what a device kept stays there until somebody is at the bench', async () => {
    localStorage.setItem('mendum.view', '{}');
    localStorage.setItem('mendum.searches', JSON.stringify(['lot T-0412']));
    const { written } = shown('new');
    await screen.findByRole('button', { name: 'Keep the search “new”' });
    expect(written()).toEqual([]);
    expect(localStorage.getItem('mendum.searches')).toBe(JSON.stringify(['lot T-0412']));
  });
  it.each([['"no list"'], ['{'], ['[1, null]']])('what a device kept damaged as %s is none', async (kept) => {
    localStorage.setItem('mendum.searches', kept);
    const { sent, written } = shown('');
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(written()).toEqual([]);
  });
});

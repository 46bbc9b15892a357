import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { KeptSearches } from './KeptSearches.tsx';

beforeEach(() => localStorage.clear());
const shown = (words: string) => {
  const picked = vi.fn();
  const view = render(<KeptSearches words={words} onPick={picked} />);
  return { picked, ...view };
};
const names = (): readonly (string | null)[] => screen.queryAllByRole('button').map(({ textContent }) => textContent);

describe('searches that a device keeps', () => {
  it('are made again by a tap, on the next page as well, until they are forgotten', () => {
    const first = shown('lot T-0412');
    fireEvent.click(screen.getByRole('button', { name: 'Keep the search “lot T-0412”' }));
    first.unmount();
    const { picked } = shown('');
    fireEvent.click(screen.getByRole('button', { name: 'lot T-0412' }));
    expect(picked).toHaveBeenCalledWith('lot T-0412');
    fireEvent.click(screen.getByRole('button', { name: 'Forget the search “lot T-0412”' }));
    expect(names()).toEqual([]);
    expect(localStorage.getItem('mendum.searches')).toBeNull();
  });
  it('are twelve at most: the oldest goes; none stands twice', () => {
    localStorage.setItem('mendum.searches', JSON.stringify(Array.from({ length: 12 }, (_one, at) => `word ${at}`)));
    const { unmount } = shown('word 3');
    expect(screen.queryByRole('button', { name: /^Keep/ })).toBeNull();
    unmount();
    shown('new');
    fireEvent.click(screen.getByRole('button', { name: 'Keep the search “new”' }));
    expect(names().filter((name) => name !== '')).toEqual([
      'new',
      ...Array.from({ length: 11 }, (_one, at) => `word ${at}`),
    ]);
  });
  it.each([['"no list"'], ['{'], ['[1, null]']])('damaged as %s, are none', (kept) => {
    localStorage.setItem('mendum.searches', kept);
    shown('');
    expect(names()).toEqual([]);
  });
});

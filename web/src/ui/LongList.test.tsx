import { render, screen, waitFor } from '@testing-library/react';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { LongList } from './LongList.tsx';

// Nothing is drawn here: every line is said to be as tall as it is on a screen.
beforeAll(() => {
  vi.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(68);
});
afterAll(() => {
  vi.restoreAllMocks();
});

const show = (count: number, hasMore = false) => {
  const onMore = vi.fn();
  render(
    <LongList
      label="Jobs"
      lines={Array.from({ length: count }, (_, index) => `line ${index}`)}
      total={hasMore ? 20_000 : count}
      hasMore={hasMore}
      onMore={onMore}
      keyOf={(line) => line}
    >
      {(line) => <span>{line}</span>}
    </LongList>,
  );
  return onMore;
};

describe('a list', () => {
  it('of 60 lines is on the page whole', () => {
    show(60);
    expect(screen.getAllByRole('listitem')).toHaveLength(60);
  });
  it('of 61 has only lines that can be seen on the page, and says how many there are', async () => {
    show(61);
    const [first, ...others] = await screen.findAllByRole('listitem');
    expect(others.length).toBeLessThan(40);
    expect([first?.getAttribute('aria-posinset'), first?.getAttribute('aria-setsize')]).toEqual(['1', '61']);
  });
  it('that goes on asks for its next page only near its end', async () => {
    const far = show(500, true);
    await screen.findAllByRole('listitem');
    expect(far).not.toHaveBeenCalled();
  });
  it('whose end can be seen asks for its next page', async () => {
    const near = show(12, true);
    await waitFor(() => expect(near).toHaveBeenCalled());
  });
});

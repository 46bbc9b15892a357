import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dismissNotice, notify } from './notice.ts';
import { NoticeBar } from './NoticeBar.tsx';

const bar = (): HTMLElement => screen.getByRole('status', { name: 'What was done' });

describe('what was done', () => {
  beforeEach(() => {
    dismissNotice();
  });
  afterEach(() => {
    vi.useRealTimers();
  });
  it('is said with its way back, which is gone once it was taken', async () => {
    const undo = vi.fn();
    render(<NoticeBar />);
    act(() => notify('Finding removed', { undo }));
    expect(bar().textContent).toContain('Finding removed');
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undo).toHaveBeenCalledOnce();
    expect(bar().textContent).toBe('');
  });
  it('the next takes the place of the one before, and can be put away', async () => {
    render(<NoticeBar />);
    act(() => notify('First'));
    act(() => notify('Second', { hint: 'Do this.', wrong: true }));
    expect(bar().textContent).toBe('Second Do this.');
    await userEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(bar().textContent).toBe('');
  });
  it('goes by itself, a way back later than words alone', () => {
    vi.useFakeTimers();
    render(<NoticeBar />);
    act(() => notify('Saved'));
    act(() => {
      vi.advanceTimersByTime(9001);
    });
    expect(bar().textContent).toBe('');
    act(() => notify('Removed', { undo: () => undefined }));
    act(() => {
      vi.advanceTimersByTime(20_000);
    });
    expect(bar().textContent).toContain('Removed');
    act(() => {
      vi.advanceTimersByTime(11_000);
    });
    expect(bar().textContent).toBe('');
  });
});

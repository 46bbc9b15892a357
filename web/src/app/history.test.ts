import { describe, expect, it } from 'vitest';
import { again, back, done, noHistory, type History } from './history.ts';

describe('what is done can be taken back and done again', () => {
  it('edits: the newest first, each as often as it is done', () => {
    const two = done(noHistory<string>(), 'cut', 'join');
    const one = back(two);
    expect(one).toEqual({ item: 'join', history: { past: ['cut'], future: ['join'] } });
    expect(again(one!.history)).toEqual({ item: 'join', history: two });
    expect(back(noHistory())).toBeUndefined();
    expect(again(two)).toBeUndefined();
  });
  it('states: what stands now can be come back to', () => {
    const history: History<number> = done(noHistory<number>(), 1, 2);
    const first = back(history, 3)!;
    expect(first).toEqual({ item: 2, history: { past: [1], future: [3] } });
    expect(again(first.history, 2)).toEqual({ item: 3, history });
  });
  it('something new ends what could be done again', () => {
    const taken = back(done(noHistory<string>(), 'cut'))!.history;
    expect(done(taken, 'join')).toEqual({ past: ['join'], future: [] });
  });
});

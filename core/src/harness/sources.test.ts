import { describe, expect, it } from 'vitest';
import { sourceInWords, withSources } from './index.ts';

const MANUAL = { source: 'Service manual, page 214', year: '2029', variant: 'with cab' };

describe('the sheets that a harness is known from', () => {
  it('in words', () => {
    expect(sourceInWords(MANUAL)).toBe('Service manual, page 214; 2029; with cab');
    expect(sourceInWords({ source: 'list.csv', variant: 'no cab' })).toBe('list.csv; no cab');
  });
  it('are named once each, and nothing new is nothing new', () => {
    const known = [MANUAL];
    expect(withSources(known, [{ ...MANUAL }])).toBe(known);
    expect(withSources(known, [{ source: 'list.csv' }, { source: 'list.csv' }])).toEqual([
      MANUAL,
      { source: 'list.csv' },
    ]);
  });
});

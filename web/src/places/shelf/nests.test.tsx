import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, test } from 'vitest';
import type { Nest } from '@mendum/core';
import { nestDraftOf, Nests, nestsOf, type NestDraft } from './Nests.tsx';

const NEST: Nest = { name: 'B', range: { minMm2: 1, maxMm2: 2 }, stroke: 'conductor', barrel: 'bare', dot: 'blue' };

describe('nests as they are typed', () => {
  it('one that is opened and kept loses nothing', () =>
    expect(nestsOf([nestDraftOf({ ...NEST, families: ['2.8'] })])).toEqual({
      nests: [{ ...NEST, families: ['2.8'] }],
    }));
  test.each<[Partial<NestDraft> & { readonly name?: string }, RegExp]>([
    [{ name: ' ' }, /name or number/],
    [{ name: 'a|b' }, /without “\|” and “;”/],
    [{ from: '2', to: '2' }, /smaller to a larger/],
    [{ from: '' }, /smaller to a larger/],
  ])('%j is refused', ({ name, ...more }, words) => {
    const draft = { ...nestDraftOf(NEST), ...more };
    const kept = nestsOf([{ ...draft, nest: { ...draft.nest, ...(name === undefined ? {} : { name }) } }]);
    expect('wrong' in kept ? kept.wrong : '').toMatch(words);
  });
});

it('a nest is added, filled and taken away', async () => {
  let last: readonly NestDraft[] = [];
  function Form() {
    const [drafts, setDrafts] = useState<readonly NestDraft[]>([]);
    last = drafts;
    return <Nests drafts={drafts} onChange={setDrafts} />;
  }
  render(<Form />);
  await userEvent.click(screen.getByRole('button', { name: 'Add a nest' }));
  await userEvent.type(screen.getByLabelText('Name or number'), '3');
  await userEvent.type(screen.getByLabelText('From'), '1');
  await userEvent.type(screen.getByLabelText('To'), '2.5');
  await userEvent.selectOptions(screen.getByLabelText('Closes on'), 'jacket');
  await userEvent.selectOptions(screen.getByLabelText('Dot'), 'red');
  expect(nestsOf(last)).toEqual({
    nests: [{ name: '3', range: { minMm2: 1, maxMm2: 2.5 }, stroke: 'jacket', dot: 'red' }],
  });
  await userEvent.click(screen.getByRole('button', { name: 'Remove nest 3' }));
  expect(last).toEqual([]);
});

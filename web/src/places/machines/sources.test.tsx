import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, test, vi } from 'vitest';
import type { Harness } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { viewOf } from '../../test/job.tsx';
import { originOf, sourceOf } from './import/SheetOrigin.tsx';
import { Sources } from './Sources.tsx';

const { harness } = viewOf([]).job;
const MANUAL = { source: 'Service manual, page 214', year: '2029', variant: 'with cab' };

describe('the sheets that a harness is known from', () => {
  const shown = (of: Harness) => {
    const onEdit = vi.fn<(edit: HarnessEdit) => boolean>(() => true);
    render(<Sources harness={of} onEdit={onEdit} />);
    return onEdit;
  };
  it('are told in one line', () => {
    shown({ ...harness, sources: [MANUAL, { source: 'list.csv' }] });
    expect(screen.getByText(/Service manual, page 214; 2029; with cab · list.csv/)).toBeTruthy();
  });
  it('are added, changed and taken away by one edit', async () => {
    const onEdit = shown({ ...harness, sources: [MANUAL] });
    await userEvent.click(screen.getByRole('button', { name: 'Change' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add another' }));
    await userEvent.type(screen.getAllByLabelText('Where it is from')[1]!, 'Own drawing');
    await userEvent.clear(screen.getAllByLabelText('Variant')[0]!);
    await userEvent.click(screen.getByRole('button', { name: 'Keep this' }));
    expect(onEdit).toHaveBeenCalledWith({
      do: 'setSources',
      sources: [{ source: 'Service manual, page 214', year: '2029' }, { source: 'Own drawing' }],
    });
  });
  it('a year without a source is not lost in silence', async () => {
    const onEdit = shown(harness);
    await userEvent.click(screen.getByRole('button', { name: 'Say where this is known from' }));
    await userEvent.type(screen.getByLabelText('Model year'), '2029');
    await userEvent.click(screen.getByRole('button', { name: 'Keep this' }));
    expect([screen.getByText(/Say where it is from/), onEdit.mock.calls]).toEqual([expect.anything(), []]);
  });
  it('are only read where nobody may change them', () => {
    render(<Sources harness={{ ...harness, sources: [MANUAL] }} onEdit={undefined} />);
    expect(screen.queryByRole('button')).toBeNull();
  });
  test.each([
    [{ source: ' ', year: '2029', variant: '' }, undefined],
    [{ source: ' list.csv ', year: '', variant: ' ' }, { source: 'list.csv' }],
  ])('%j is kept as %j', (origin, kept) => expect(sourceOf(origin)).toEqual(kept));
  it('a file’s name is taken as far as it may be kept', () => {
    expect(originOf('a'.repeat(201)).source).toHaveLength(200);
    expect(originOf(undefined).source).toBe('');
  });
});

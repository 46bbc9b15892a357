import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, test } from 'vitest';
import type { Tool } from '@mendum/core/catalogue';
import type { Nest } from '@mendum/core/stock';
import { toolSchema } from '@mendum/core/schemas';
import { filled } from '../../form/test/filled.ts';
import { ToolForm } from './ToolForm.tsx';

const NEST: Nest = { name: 'B', range: { minMm2: 1, maxMm2: 2 }, stroke: 'conductor', barrel: 'bare', dot: 'blue' };
const TOOL: Tool = { id: 't', name: 'Crimper', tasks: ['crimpClip'], ratchet: true };

it('a nest that is opened and kept loses nothing', async () => {
  const tool: Tool = { ...TOOL, nests: [{ ...NEST, families: ['2.8'] }] };
  expect((await filled<Tool>(toolSchema, tool)).thing).toEqual(tool);
});

test.each<[object, string, string]>([
  [{ name: ' ' }, 'name', 'Enter 1 to 200 characters.'],
  [{ name: 'a|b' }, 'name', 'A nest is named without “|” and “;”.'],
  [{ range: { minMm2: 2, maxMm2: 2 } }, 'range.maxMm2', 'Enter a number above 2, up to 500 mm².'],
  [{ range: { minMm2: '', maxMm2: 2 } }, 'range.minMm2', 'Enter a number from 0 to 500 mm².'],
])('a nest with %j is refused', async (part, field, words) => {
  const { wrong } = await filled(toolSchema, { ...TOOL, nests: [{ ...NEST, ...part }] });
  expect(wrong[`nests.0.${field}`]).toBe(words);
});

it('a nest is added, filled and taken away', async () => {
  const kept: Tool[] = [];
  const nothing = (): void => undefined;
  render(
    <ToolForm
      item={TOOL}
      isNew={false}
      busy={false}
      refused={undefined}
      onSave={(tool) => kept.push(tool)}
      onRemove={nothing}
      onClose={nothing}
    />,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Add a nest' }));
  await userEvent.type(screen.getByLabelText('Name or number'), '3');
  await userEvent.type(screen.getByLabelText('From'), '1');
  await userEvent.type(screen.getByLabelText('To'), '2.5');
  await userEvent.selectOptions(screen.getByLabelText('Closes on'), 'jacket');
  await userEvent.selectOptions(screen.getByLabelText('Dot'), 'red');
  await userEvent.click(screen.getByRole('button', { name: 'Save the tool' }));
  expect(kept.at(-1)).toEqual({
    ...TOOL,
    nests: [{ name: '3', range: { minMm2: 1, maxMm2: 2.5 }, stroke: 'jacket', dot: 'red' }],
  });
  await userEvent.click(screen.getByRole('button', { name: 'Remove nest 3' }));
  await userEvent.click(screen.getByRole('button', { name: 'Save the tool' }));
  expect(kept.at(-1)).toEqual(TOOL);
});

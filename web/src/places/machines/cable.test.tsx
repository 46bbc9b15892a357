import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, test } from 'vitest';
import type { HarnessEdit, HarnessNode, Run } from '@mendum/core';
import { CableFields } from './CableFields.tsx';
import { Identity } from './Identity.tsx';

const RUN: Run = {
  id: 'R1',
  name: 'Main run',
  fromNodeId: 'X1',
  toNodeId: 'X2',
  lengthMm: 1000,
  zone: { area: 'cabin', vibration: 'none', moisture: 'dry', fuelVapour: false },
  features: [],
};
const cable = (run: Run = RUN): HarnessEdit[] => {
  const edits: HarnessEdit[] = [];
  render(<CableFields run={run} onEdit={(...made) => edits.push(...made) > 0} />);
  return edits;
};
const type = async (label: string, text: string): Promise<void> => {
  await userEvent.clear(screen.getByLabelText(label));
  if (text !== '') await userEvent.type(screen.getByLabelText(label), text);
  await userEvent.tab();
};

describe('the cable that a run is', () => {
  it('is noted by its diameter and its unused cores, and taken away again', async () => {
    const edits = cable();
    await type('Cable jacket, outside', '8.2');
    await type('Its unused cores', '2');
    expect(edits.at(-1)).toMatchObject({ change: { cable: { outerMm: 8.2, unusedCores: 2 } } });
    const taken = cable({ ...RUN, cable: { outerMm: 8.2, unusedCores: 2 } });
    const [, field] = screen.getAllByLabelText('Cable jacket, outside');
    await userEvent.clear(field!);
    await userEvent.tab();
    expect(taken).toMatchObject([{ change: { cable: null } }]);
  });
  test.each([
    ['100', ''],
    ['100.1', 'Enter its diameter, above 0 to 100 mm.'],
    ['0', 'Enter its diameter, above 0 to 100 mm.'],
  ])('a diameter of %s: "%s", and what is typed stays', async (mm, why) => {
    const edits = cable();
    await type('Cable jacket, outside', mm);
    expect(screen.queryByRole('alert')?.textContent ?? '').toBe(why);
    expect(edits).toHaveLength(why === '' ? 1 : 0);
    expect(screen.getByLabelText<HTMLInputElement>('Cable jacket, outside').value).toBe(mm);
  });
});

describe('figures of a connector', () => {
  const node: HarnessNode = { id: 'X9', kind: 'connector', name: 'X9' };
  test.each([
    ['Cavities', '400', ''],
    ['Cavities', '401', 'A connector has 1 to 400 cavities: enter a whole number, or leave it empty.'],
    ['Cavities', '0', 'A connector has 1 to 400 cavities: enter a whole number, or leave it empty.'],
    ['Back cap, outside', '200', ''],
    ['Back cap, outside', '200.5', 'Enter its diameter, above 0 to 200 mm, or leave it empty.'],
  ])('%s %s: "%s"', async (label, text, why) => {
    const changes: unknown[] = [];
    render(<Identity node={node} isAsked onChange={(change) => changes.push(change) > 0} />);
    await type(label, text);
    expect(screen.queryByRole('alert')?.textContent ?? '').toBe(why);
    expect(changes).toHaveLength(why === '' ? 1 : 0);
    expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe(why === '' ? '' : text);
  });
});

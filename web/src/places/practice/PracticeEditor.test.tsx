import { useState } from 'react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { READY_PRACTICES, type Practice } from '@mendum/core/practice';
import { PracticeEditor } from './PracticeEditor.tsx';

const [READY] = READY_PRACTICES;
const show = () => {
  const kept: Practice[] = [];
  function Editor() {
    const [practice, setPractice] = useState<Practice>(READY!);
    const change = (changed: Practice): void => {
      kept.push(changed);
      setPractice(changed);
    };
    return <PracticeEditor practice={practice} onChange={change} />;
  }
  render(<Editor />);
  return kept;
};

it('a figure is kept while it is typed, so that Save is ready at once; one out of its limits is not', async () => {
  const kept = show();
  const overlap = screen.getByLabelText<HTMLInputElement>('Sleeve over jacket');
  await userEvent.clear(overlap);
  await userEvent.type(overlap, '12.5');
  expect(kept.at(-1)?.figures.overlapMm).toBe(12.5);
  expect(overlap.value).toBe('12.5');
  await userEvent.clear(overlap);
  await userEvent.type(overlap, '5.9');
  await userEvent.tab();
  expect(screen.getByRole('alert').textContent).toBe('Enter a number from 6 to 2,000 mm.');
  expect(overlap.value).toBe('5.9');
  expect(kept.at(-1)?.figures.overlapMm).toBe(12.5);
});

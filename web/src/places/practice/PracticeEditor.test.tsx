import { useState } from 'react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { expect, it } from 'vitest';
import { READY_PRACTICES, type Practice } from '@mendum/core/practice';
import { makeStore } from '../../app/store.ts';
import { standInServer } from '../../test/server.ts';
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
  standInServer({ 'GET /session': { body: { signsIn: false, mayBegin: false } } });
  render(
    <Provider store={makeStore()}>
      <Editor />
    </Provider>,
  );
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

it('who signs is switched on, and says that nobody is held to it where nobody signs in', async () => {
  const kept = show();
  await userEvent.click(screen.getByLabelText('Somebody else signs than who made it'));
  expect(kept.at(-1)?.signing).toEqual({ another: true });
  await userEvent.click(screen.getByLabelText(/^A lead signs airbag/));
  expect(kept.at(-1)?.signing).toEqual({ another: true, lead: true });
  expect(screen.getByText(/nobody is held to it yet/)).not.toBeNull();
});

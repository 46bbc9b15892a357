import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { describe, expect, it } from 'vitest';
import type { AnswerOf } from '@mendum/core/operations';
import { makeStore } from '../app/store.ts';
import { circuitOf } from '../test/job.tsx';
import { standInServer } from '../test/server.ts';
import { FindDialog } from './FindDialog.tsx';

const FOUND: AnswerOf<'find'> = ['1', '2', '3'].map((number) => ({
  harnessId: `W${number}`,
  machine: 'Ovrell 420',
  harness: 'Loom',
  circuit: circuitOf(number, { function: `Lamp ${number}` }),
  from: 'X31 4',
  to: 'X2 1',
}));

const Where = () => <p data-testid="where">{useLocation().pathname + useLocation().search}</p>;
const show = (): void => {
  standInServer({ '/find': ({ query }) => ({ body: query.get('words') === 'lamp' ? FOUND : [] }) });
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <FindDialog onClose={() => undefined} />
        <Routes>
          <Route path="*" Component={Where} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
};

describe('the find dialog', () => {
  it('leads to the circuit with arrows and Enter', async () => {
    show();
    await userEvent.type(screen.getByRole('combobox'), 'lamp');
    expect(await screen.findAllByRole('option')).toHaveLength(3);
    await userEvent.keyboard('{ArrowDown}{ArrowDown}{ArrowUp}{Enter}');
    expect(screen.getByTestId('where').textContent).toMatch(/^\/machines\/W\d+\?circuit=C\d+$/);
  });
  it('says so when nothing matches', async () => {
    show();
    await userEvent.type(screen.getByRole('combobox'), 'klystron');
    expect(await screen.findByText('No circuit matches “klystron”', { exact: false })).toBeTruthy();
  });
});

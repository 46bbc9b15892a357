import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, test } from 'vitest';
import { editCatalogue, FULL_SHELF, type Catalogue } from '@mendum/core/catalogue';
import { READY_PRACTICES } from '@mendum/core/practice';
import { makeStore } from '../app/store.ts';
import { standInServer, writesOf } from '../test/server.ts';
import { Beginning } from './Beginning.tsx';
import { editsOf, NOTHING_COUNTED, sortsCounted, wrongMetres, wrongPieces } from './counts.ts';

const USUAL: Catalogue = { ...FULL_SHELF, id: 'shelf', name: 'Shelf', uncounted: true };
const FEW = {
  ...USUAL,
  parts: USUAL.parts.slice(0, 8),
  tools: USUAL.tools.slice(0, 2),
  wires: USUAL.wires.slice(0, 2),
};
const SERVED = {
  '/shelf': { body: FEW },
  '/practices': {
    body: READY_PRACTICES.map((practice) => ({
      practice,
      ready: true,
      jobs: 0,
      usual: practice.id === 'crimpFirst',
    })),
  },
};
const show = () =>
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <Beginning />
      </MemoryRouter>
    </Provider>,
  );

beforeEach(() => localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' })));

describe('what was counted is what is there', () => {
  const [part] = USUAL.parts;
  const [tool] = USUAL.tools;
  const [wire] = USUAL.wires;
  it('what was left empty is not there; then somebody has counted it', () => {
    const counted = { pieces: { [part!.id]: '12' }, tools: new Set([tool!.id]), metres: { [wire!.id]: '2,5' } };
    const shelf = editCatalogue(USUAL, editsOf(USUAL, counted));
    expect(shelf.uncounted).toBeUndefined();
    expect(shelf.parts.filter(({ quantity }) => quantity > 0)).toEqual([{ ...part, quantity: 12 }]);
    expect(shelf.tools).toEqual([tool]);
    expect(shelf.wires).toEqual([{ ...wire, lengthMm: 2500 }]);
    expect(sortsCounted(counted)).toBe(3);
    expect(sortsCounted(NOTHING_COUNTED)).toBe(0);
  });
  test.each<[string, string | undefined, boolean, boolean]>([
    ['nothing typed', '', true, true],
    ['none', '0', true, true],
    ['half a piece; half a metre', '0.5', false, true],
    ['less than none', '-1', false, false],
    ['a thousand', '1000', true, true],
    ['more than a kilometre', '1000.1', false, false],
    ['a million and one', '1000001', false, false],
    ['a word', 'some', false, false],
  ])('%s', (_, text, pieces, metres) => {
    expect([wrongPieces(text) === undefined, wrongMetres(text) === undefined]).toEqual([pieces, metres]);
  });
});

describe('before the first job', () => {
  it('says how the shop works, and that nobody has counted the shelf', async () => {
    const sent = standInServer({ ...SERVED, 'PUT /practices/benchSolder/usual': { body: { id: 'benchSolder' } } });
    show();
    expect(await screen.findByText(/Not counted: .* never that the kit is ready/)).toBeTruthy();
    await userEvent.click(await screen.findByRole('radio', { name: 'Bench solder' }));
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    await userEvent.click(screen.getByRole('radio', { name: 'inch' }));
    await waitFor(() => expect(screen.getByRole('radio', { name: 'inch' }).getAttribute('aria-checked')).toBe('true'));
  });
  it('counts a usual assortment; what was typed is there again after a pause, and is sent whole', async () => {
    const sent = standInServer({ ...SERVED, 'PUT /shelf': { body: { shelfVersion: 2 } } });
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Count a usual assortment' }));
    const dialog = () => screen.findByRole('dialog', { name: 'What is on the shelf' });
    const done = async () =>
      within(await dialog()).getByRole<HTMLButtonElement>('button', { name: 'That is all there is' });
    expect((await done()).disabled).toBe(true);
    const field = within(await dialog()).getByLabelText(/^Sealed butt, small/);
    await userEvent.type(field, '2.5');
    expect((await done()).disabled).toBe(true);
    await userEvent.clear(field);
    await userEvent.type(field, '25');
    await userEvent.click(within(await dialog()).getByRole('button', { name: 'Go on later' }));
    await userEvent.click(screen.getByRole('button', { name: 'Count a usual assortment' }));
    expect(within(await dialog()).getByText('1 sort counted.')).toBeTruthy();
    await userEvent.click(await done());
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    const edits = writesOf(sent)[0]?.body?.edits as readonly { readonly kind: string; readonly part?: object }[];
    expect(edits.filter(({ kind }) => kind === 'setPart')).toContainEqual({
      kind: 'setPart',
      part: expect.objectContaining({ name: 'Sealed butt, small', quantity: 25 }),
    });
    expect(edits.at(-1)).toEqual({ kind: 'setCounted', counted: true });
  });
});

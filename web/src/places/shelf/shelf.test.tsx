import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue } from '@mendum/core/catalogue';
import { dismissNotice } from '../../app/notice.ts';
import { NoticeBar } from '../../app/NoticeBar.tsx';
import { makeStore } from '../../app/store.ts';
import { standInServer, writesOf, type Sent } from '../../test/server.ts';
import { ShelfPlace } from './ShelfPlace.tsx';

const SMALL: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.filter((part) => part.kind === 'clip'),
  tools: FULL_SHELF.tools.slice(0, 2),
  wires: FULL_SHELF.wires.slice(0, 1),
};
const SAVED = { '/shelf': { body: SMALL }, 'PUT /shelf': { body: { shelfVersion: 2 } } };
const show = (replies: Parameters<typeof standInServer>[0] = SAVED): Sent[] => {
  const sent = standInServer(replies);
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <ShelfPlace />
        <NoticeBar />
      </MemoryRouter>
    </Provider>,
  );
  return sent;
};
const edits = (sent: readonly Sent[]): unknown => writesOf(sent).at(-1)?.body?.edits;
beforeEach(dismissNotice);

describe('parts', () => {
  it('one of a new kind starts from what is usual and is saved as stamped', async () => {
    const sent = show();
    await userEvent.selectOptions(await screen.findByLabelText('Add a part of a new kind'), 'wireSeal');
    const form = await screen.findByRole('dialog', { name: 'New wire seal' });
    await userEvent.clear(within(form).getByLabelText('Jacket to'));
    await userEvent.type(within(form).getByLabelText('Jacket to'), '1.8');
    await userEvent.click(within(form).getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() =>
      expect(edits(sent)).toMatchObject([
        {
          kind: 'setPart',
          part: { kind: 'wireSeal', quantity: 1, figuresFrom: 'stamped', jacketMm: { minMm: 1.2, maxMm: 1.8 } },
        },
      ]),
    );
    expect(await screen.findByText(/is saved/)).toBeTruthy();
  });
  it('a pigtail is listed wire by wire, with what was understood beside it; what cannot be read is not saved', async () => {
    const sent = show();
    await userEvent.selectOptions(await screen.findByLabelText('Add a part of a new kind'), 'pigtail');
    const form = await screen.findByRole('dialog', { name: 'New pigtail' });
    await userEvent.type(within(form).getByLabelText('Family'), 'KD');
    const wires = within(form).getByLabelText('Its wires');
    await userEvent.type(wires, '1 red/white 2.5 105{enter}2 rouge 1');
    await userEvent.click(within(form).getByRole('button', { name: 'Put it on the shelf' }));
    expect((await within(form).findByRole('alert')).textContent).toContain(
      '“2 rouge 1”: after the cavity comes the colour',
    );
    expect(writesOf(sent)).toEqual([]);
    await userEvent.type(wires, '{backspace}{backspace}{backspace}{backspace}{backspace}{backspace}{backspace}pink 1');
    expect(within(form).getByRole('list', { name: 'Wires as they are understood' }).textContent).toContain('2.5 mm²');
    await userEvent.click(within(form).getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() =>
      expect(edits(sent)).toMatchObject([
        {
          part: {
            family: 'KD',
            leads: [
              { cavity: '1', colour: { base: 'red', stripe: 'white' }, areaMm2: 2.5, ratedC: 105 },
              { cavity: '2', colour: { base: 'pink' }, areaMm2: 1 },
            ],
          },
        },
      ]),
    );
  });
  it('one is taken off the list, and comes back with Undo', async () => {
    const sent = show();
    await userEvent.click(await screen.findByRole('button', { name: 'Splice clip S' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take off the list' }));
    await waitFor(() => expect(edits(sent)).toEqual([{ kind: 'removePart', id: 'clip-S' }]));
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(edits(sent)).toMatchObject([{ kind: 'setPart', part: { id: 'clip-S' } }]));
    expect(writesOf(sent).at(-1)?.body?.version).toBe(2);
  });
  it('what the server refuses is said in the form, with what was typed still there', async () => {
    show({
      '/shelf': { body: SMALL },
      'PUT /shelf': {
        status: 422,
        body: { error: { code: 'BAD_INPUT', message: 'The shelf is full', hint: 'Take something off it.' } },
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Splice clip S' }));
    const upper = await screen.findByLabelText<HTMLInputElement>('Copper in all to');
    await userEvent.clear(upper);
    await userEvent.type(upper, '0.1');
    await userEvent.click(screen.getByRole('button', { name: 'Save the part' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Enter a number above 0.35, up to 500 mm².');
    await userEvent.type(upper, '{backspace}9');
    await userEvent.click(screen.getByRole('button', { name: 'Save the part' }));
    await screen.findByText('The shelf is full');
    expect(upper.value).toBe('0.9');
  });
  it('nothing that matches says so', async () => {
    show();
    await userEvent.type(await screen.findByLabelText('Find a part'), 'glue');
    expect(screen.getByText('Nothing matches “glue”')).toBeTruthy();
  });
});

describe('tools and wire', () => {
  it.each([
    ['Tools and dies', SMALL.tools[0]?.name ?? '', 'Save the tool'],
    ['Wire on hand', /0.35 mm² stranded/, 'Save the wire'],
  ])('%s: what the server refuses is said in the form', async (tab, opener, button) => {
    show({
      '/shelf': { body: SMALL },
      'PUT /shelf': {
        status: 409,
        body: {
          error: { code: 'STALE', message: 'Somebody changed the shelf in between', hint: 'Look, and save again.' },
        },
      },
    });
    await userEvent.click(await screen.findByRole('tab', { name: tab }));
    await userEvent.click(screen.getByRole('button', { name: opener }));
    await userEvent.click(await screen.findByRole('button', { name: button }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Somebody changed the shelf in between Look, and save again.',
    );
    expect(screen.getByRole('dialog')).toBeTruthy();
  });
  it('a tool says what it does and until when it is calibrated; one that does nothing is refused', async () => {
    const sent = show();
    await userEvent.click(await screen.findByRole('tab', { name: 'Tools and dies' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add a tool' }));
    await userEvent.type(await screen.findByLabelText('Name'), 'Second crimper');
    await userEvent.click(screen.getByRole('button', { name: 'Add the tool' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Choose at least one.');
    await userEvent.click(screen.getByRole('checkbox', { name: 'crimps terminals' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'ring M8' }));
    await userEvent.type(screen.getByLabelText('Dies from'), '1');
    await userEvent.type(screen.getByLabelText('Dies to'), '6');
    await userEvent.click(screen.getByRole('button', { name: 'Add the tool' }));
    await waitFor(() =>
      expect(edits(sent)).toMatchObject([
        {
          kind: 'setTool',
          tool: {
            name: 'Second crimper',
            tasks: ['crimpTerminal'],
            families: ['ringM8'],
            range: { minMm2: 1, maxMm2: 6 },
            ratchet: true,
          },
        },
      ]),
    );
  });
  it('wire is measured, and used up', async () => {
    const sent = show();
    await userEvent.click(await screen.findByRole('tab', { name: 'Wire on hand' }));
    await userEvent.click(screen.getByRole('button', { name: /0.35 mm² stranded/ }));
    await userEvent.clear(await screen.findByLabelText('Left of it'));
    await userEvent.click(await screen.findByRole('button', { name: 'Save the wire' }));
    expect(await screen.findByText(/Enter a number from 0 to/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Left of it'), '750');
    await userEvent.click(await screen.findByRole('button', { name: 'Save the wire' }));
    await waitFor(() => expect(edits(sent)).toMatchObject([{ kind: 'setWire', wire: { lengthMm: 750 } }]));
  });
});

describe('a table taken over', () => {
  it('names every bad line and takes nothing', async () => {
    const details = [
      { line: 2, column: 'Quantity', value: 'many', why: 'must be a number.' },
      { line: 3, column: 'Kind', value: 'glue', why: 'A kind is one of these.' },
    ];
    const sent = show({
      '/shelf': { body: SMALL },
      'POST /shelf/import': {
        status: 422,
        body: { error: { code: 'SHELF_FILE', message: 'Line 2, column “Quantity”', hint: 'Correct it.', details } },
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Import CSV' }));
    await userEvent.type(screen.getByLabelText('Or paste the cells'), 'Kind,Id');
    await userEvent.click(screen.getByRole('button', { name: 'Import these lines' }));
    const alert = await screen.findByRole('alert');
    expect(
      within(alert)
        .getAllByRole('listitem')
        .map((item) => item.textContent),
    ).toEqual(['Line 2, Quantity: “many” — must be a number.', 'Line 3, Kind: “glue” — A kind is one of these.']);
    expect(writesOf(sent)).toMatchObject([
      { path: '/shelf/import', body: { text: 'Kind,Id', version: SMALL.version } },
    ]);
  });
});

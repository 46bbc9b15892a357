import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue, type Part } from '@mendum/core/catalogue';
import type { MappingCard } from '@mendum/core/mapping';
import { makeStore } from '../app/store.ts';
import { viewOf } from '../test/job.tsx';
import { answersOf, standInServer, writesOf } from '../test/server.ts';
import { MappingPage } from './MappingPage.tsx';

const wires: MappingCard['pigtail'] = [
  { cavity: '1', colour: { base: 'brown' }, size: { basis: 'metric', areaMm2: 2.5 } },
  { cavity: '2', colour: { base: 'blue' }, size: { basis: 'metric', areaMm2: 2.5 } },
];
const card: MappingCard = {
  nodeId: 'X1',
  pigtail: wires,
  joins: [
    { circuitId: 'C1', pigtailCavity: '1' },
    { circuitId: 'C2', pigtailCavity: '2' },
  ],
  readings: [],
};

const show = (mappings: readonly MappingCard[], shelf: Catalogue = { ...FULL_SHELF, parts: [] }) => {
  const sent = standInServer({
    '/shelf': { body: shelf },
    ...answersOf(viewOf([], { job: { mappings } })),
    'PUT /jobs/J/mappings/X1': { status: 200, body: { version: 2 } },
    'POST /jobs/J/mappings/X1/readings': { status: 201, body: { version: 2 } },
  });
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={['/jobs/J/mapping/X1']}>
        <Routes>
          <Route path="/jobs/:jobId/mapping/:nodeId" element={<MappingPage />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
  return sent;
};

describe('a mapping card', () => {
  it('is filled in cavity by cavity; what is left out is named, what is too small is refused before it is sent', async () => {
    const sent = show([]);
    await userEvent.selectOptions(await screen.findByLabelText('Colour of the pigtail wire out of cavity 1'), 'brown');
    expect(screen.getByText('Read it off the pigtail: cavity 1: its size.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save this mapping' })).toHaveProperty('disabled', true);
    await userEvent.selectOptions(screen.getByLabelText('Size of the pigtail wire out of cavity 1'), 'metric 1');
    expect(screen.getByRole('alert', { name: 'What forbids it' }).textContent).toContain(
      '1 mm², smaller than the 2.5 mm² of circuit 1. Use a pigtail with 2.5 mm² or more there.',
    );
    expect(screen.getByRole('button', { name: 'Save this mapping' })).toHaveProperty('disabled', true);
    await userEvent.selectOptions(screen.getByLabelText('Size of the pigtail wire out of cavity 1'), 'metric 2.5');
    expect(screen.getByText(/1 circuit has no pigtail wire yet: cavity 2/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save this mapping' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          path: '/jobs/J/mappings/X1',
          body: { card: { nodeId: 'X1', pigtail: [wires[0]], joins: [{ circuitId: 'C1', pigtailCavity: '1' }] } },
        },
      ]),
    );
  });
  it('takes the wires of a pigtail as the shelf lists them, sizes and all', async () => {
    const leads = [
      { cavity: '1', colour: { base: 'grey' }, areaMm2: 4, ratedC: 105 },
      { cavity: '2', colour: { base: 'pink', stripe: 'black' }, areaMm2: 2.5 },
    ] as const;
    const part = {
      kind: 'pigtail',
      id: 'p',
      name: 'Pigtail KD',
      ways: 2,
      leads,
      leadMm: 200,
      quantity: 1,
      ratedC: 125,
    };
    const sent = show([], { ...FULL_SHELF, parts: [{ ...part, figuresFrom: 'stamped' }] as unknown as Part[] });
    await userEvent.selectOptions(await screen.findByLabelText('Pigtail from the shelf'), 'Pigtail KD');
    await userEvent.click(screen.getByRole('button', { name: 'Take its wires' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save this mapping' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          body: {
            card: {
              pigtail: [
                { cavity: '1', colour: { base: 'grey' }, size: { basis: 'metric', areaMm2: 4 }, ratedC: 105 },
                { cavity: '2', colour: { base: 'pink', stripe: 'black' }, size: { areaMm2: 2.5 }, ratedC: 125 },
              ],
            },
          },
        },
      ]),
    );
  });
  it('once complete it is proved by a reading for each circuit; a swap is found by where it sounds', async () => {
    const sent = show([
      {
        ...card,
        readings: [{ cavity: '2', soundsAt: '1', neighbourSounds: false, by: 'Ines', at: '2030-01-01T08:00:00Z' }],
      },
    ]);
    const list = await screen.findByRole('region', { name: 'Continuity' });
    expect(list.textContent).toContain('Circuit 2 comes out in cavity 1 and belongs in 2: it is swapped.');
    await userEvent.click(within(list).getByRole('button', { name: 'Sounds at 1 only' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        { path: '/jobs/J/mappings/X1/readings', body: { cavity: '1', soundsAt: '1', neighbourSounds: false } },
      ]),
    );
  });
});

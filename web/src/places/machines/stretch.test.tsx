import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import { standInServer, writesOf } from '../../test/server.ts';
import { show } from '../test/places.tsx';
import { Stretch } from './Stretch.tsx';

beforeEach(() => localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' })));

describe('a stretch that is opened', () => {
  it('is drawn from its two ends, the wires as they are seen, and no length', async () => {
    const sent = standInServer({ 'POST /harnesses': { status: 201, body: { id: 'H9' } } });
    show(<Stretch onClose={() => undefined} />);
    const draw = screen.getByRole<HTMLButtonElement>('button', { name: 'Draw it' });
    expect(draw.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('One end'), 'Cab wall');
    await userEvent.type(screen.getByLabelText('The other end'), 'cab wall');
    expect(screen.getByText(/another name for one end/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('The other end'), ' 2');
    await userEvent.click(screen.getByRole('radio', { name: 'red' }));
    expect(screen.getByText(/colour and size of every wire/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: '1.5' }));
    await userEvent.click(screen.getByRole('radio', { name: 'Cabin' }));
    await userEvent.clear(screen.getByLabelText('System voltage'));
    expect(screen.getByText(/a system voltage of up to 1,500 V/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('System voltage'), '24');
    await userEvent.click(draw);
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          path: '/harnesses',
          body: {
            machine: { systemVoltageV: 24 },
            harness: {
              nodes: [
                { kind: 'end', name: 'Cab wall' },
                { kind: 'end', name: 'cab wall 2' },
              ],
              runs: [{ atLeast: true }],
              circuits: [{ number: '1', wire: { size: { areaMm2: 1.5 }, colour: { base: 'red' } } }],
            },
          },
        },
      ]),
    );
  });
});

import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { ConnectorFace } from '@mendum/core/connector';
import { circuitOf } from '../test/job.tsx';
import { ConnectorView } from './ConnectorView.tsx';

const face: ConnectorFace = { layout: { kind: 'rows', rows: 1, columns: 3 }, numbering: { kind: 'rowWise' } };
const show = (id = 'X1') =>
  render(
    <ConnectorView
      node={{ id, kind: 'connector', name: id, ways: 3, face, lock: 'frontLance' }}
      circuits={[circuitOf('1'), circuitOf('2')]}
      nodeName={(id) => id}
    />,
  );
/** Cavity numbers of a drawing from left to right. */
const order = (name: RegExp): string =>
  within(screen.getByRole('group', { name }))
    .getAllByRole('button')
    .map((cavity) => ({
      x: Number(cavity.querySelector('text')?.getAttribute('x')),
      number: cavity.querySelector('text')?.textContent ?? '',
    }))
    .sort((a, b) => a.x - b.x)
    .map((one) => one.number)
    .join(' ');

beforeEach(() => localStorage.clear());

describe('a connector in the hand', () => {
  it('is held as it was last, another as it begins', async () => {
    const { unmount } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Turn over to the mating side' }));
    await userEvent.click(screen.getByRole('button', { name: 'Turn round' }));
    unmount();
    show();
    expect(screen.getByRole('status').textContent).toMatch(/^Mating side.*latch to the right\.$/);
    show('X2');
    expect(screen.getAllByRole('status').at(-1)?.textContent).toMatch(/^Wire side.*latch up\.$/);
  });
  test.each(['[1]', '{', '{" X1":{"side":"top","latch":"up"}}', '{" X1":{"side":"wire"}}'])(
    'kept damaged as %s, it begins as ever',
    (kept) => {
      localStorage.setItem('mendum.faceViews', kept);
      show();
      expect(screen.getByRole('status').textContent).toMatch(/^Wire side.*latch up\.$/);
    },
  );
  it('begins on the wire side, mirrored, and says so in words', () => {
    show();
    expect(screen.getByRole('status').textContent).toBe('Wire side: the wires come towards you; latch up.');
    expect([order(/^X1, wire side/), order(/^Mate of X1, wire side/)]).toEqual(['3 2 1', '1 2 3']);
  });
  it('turned over it shows the numbers as described, and the mate the other way round', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Turn over to the mating side' }));
    expect([order(/^X1, mating side/), order(/^Mate of X1, mating side/)]).toEqual(['1 2 3', '3 2 1']);
    expect(screen.getByRole('status').textContent).toContain('Mating side');
  });
  it('a cavity picked in one view is picked in the mate, with its circuit and what lies round it as it is seen', async () => {
    show();
    await userEvent.click(
      within(screen.getByRole('group', { name: /^X1, wire/ })).getByRole('button', { name: /^Cavity 2/ }),
    );
    expect(screen.getAllByRole('button', { name: /^Cavity 2/, pressed: true })).toHaveLength(2);
    const region = screen.getByRole('region', { name: 'Cavity 2' });
    expect(region.textContent).toContain('Function 2');
    expect(region.textContent).toContain('goes to X2 2');
    expect(region.textContent).toContain('In this view: 3 left of it, 1 right of it.');
  });
  it('an empty cavity asks for a plug', async () => {
    show();
    await userEvent.click(screen.getAllByRole('button', { name: 'Cavity 3, empty' })[0]!);
    expect(screen.getByRole('region', { name: 'Cavity 3' }).textContent).toContain('a plug goes here');
  });
  it("shows its own wires' colours and none on the mate, whose wires are another's", () => {
    show();
    expect(screen.getByRole('button', { name: 'Cavity 1, circuit 1 Function 1, red with black stripe' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Cavity 1, circuit 1 Function 1' })).toBeTruthy();
  });
  it('says how a terminal of its lock family comes out', () => {
    show();
    expect(screen.getByText('Free a terminal: front lance')).toBeTruthy();
    expect(screen.getByText(/Never pull before the lance is down/)).toBeTruthy();
  });
});

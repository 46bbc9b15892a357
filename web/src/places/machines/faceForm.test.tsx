import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { cavitiesOf, seenCavities, type ConnectorFace } from '@mendum/core/connector';
import { FaceForm } from './FaceForm.tsx';

const shown = (face?: ConnectorFace) => {
  const done = vi.fn<(face: ConnectorFace, ways: number) => void>();
  render(<FaceForm name="X9" face={face} onDone={done} onClose={() => undefined} />);
  const type = async (label: RegExp, words: string): Promise<void> => {
    await userEvent.clear(screen.getByLabelText(label));
    await userEvent.type(screen.getByLabelText(label), words);
  };
  const take = async (): Promise<ConnectorFace> => {
    await userEvent.click(screen.getByRole('button', { name: 'This is X9' }));
    return done.mock.calls.at(-1)![0];
  };
  return { type, take };
};

describe('a face by its form', () => {
  it('rows and columns show at once how they are numbered under each usual way; the right one is tapped', async () => {
    const { type, take } = shown();
    await type(/^Rows/, '2');
    await type(/^Columns/, '3');
    expect(screen.getByRole('button', { name: 'This is X9' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('status').textContent).toBe(
      'Tap the way in which it is numbered, or enter what is printed at the left of each row.',
    );
    await userEvent.click(screen.getByRole('radio', { name: /column by column, from the top left/ }));
    expect(await take()).toEqual({
      layout: { kind: 'rows', rows: 2, columns: 3 },
      numbering: { kind: 'columnWise' },
    });
  });
  it('what is printed at the left of the rows leaves one way, which is taken, or several, which are asked', async () => {
    const { type, take } = shown();
    await type(/^Rows/, '3');
    await type(/^Columns/, '6');
    await type(/^Printed at the left/, '1, 12, 13');
    expect(screen.getAllByRole('radio').map((one) => one.getAttribute('aria-checked'))).toEqual(['true']);
    expect((await take()).numbering.kind).toBe('snake');
    await userEvent.click(screen.getByRole('button', { name: /^Row and column 3.4/ }));
    expect(screen.getByRole('status').textContent).toContain('leaves several ways');
    await userEvent.click(screen.getByRole('radio', { name: /a gap takes a number/ }));
    expect(cavitiesOf(await take()).at(-1)?.cavity).toBe('18');
  });
  it('what contradicts is said, and nothing can be taken', async () => {
    const { type } = shown();
    await type(/^Rows/, '2');
    await type(/^Columns/, '4');
    await type(/^Printed at the left/, '1, 3');
    expect(screen.getByRole('status').textContent).toContain('Row 1 has 4 cavities from 1: it would reach 4');
    expect(screen.queryAllByRole('radio')).toEqual([]);
    expect(screen.getByRole('button', { name: 'This is X9' })).toHaveProperty('disabled', true);
  });
  it('mixed names, a latch at the right, described from the wires', async () => {
    const { type, take } = shown();
    await userEvent.selectOptions(screen.getByLabelText(/^You look at its/), 'wire');
    await userEvent.selectOptions(screen.getByLabelText(/^Its latch/), 'right');
    await type(/^Rows/, '1');
    await type(/^Columns/, '7');
    await userEvent.click(screen.getByLabelText('Each cavity has a name of its own'));
    await type(/^Names/, '1-5, A, B');
    const face = await take();
    const seen = (side: 'wire' | 'mating') =>
      seenCavities(face, { side, latch: 'right' })
        .sort((a, b) => a.x - b.x)
        .map(({ cavity }) => cavity)
        .join(' ');
    // The latch is at the right on both sides: turned over, a row along its axis stays as it is.
    expect([seen('wire'), seen('mating')]).toEqual(['1 2 3 4 5 A B', '1 2 3 4 5 A B']);
  });
  it('a ring from an angle, against the clock, with a place that is not there', async () => {
    const { type, take } = shown();
    await userEvent.selectOptions(screen.getByLabelText(/^Cavities lie/), 'round');
    await type(/^Places in each ring/, '4, 1');
    await type(/^Angle of the first/, '45, 0');
    await type(/^Places that are not there/, '1.3');
    expect(screen.getByRole('status').textContent).toBe('Say whether a place that is not there takes a number.');
    await userEvent.selectOptions(screen.getByLabelText('A place that is not there'), 'skip');
    await userEvent.selectOptions(screen.getByLabelText('Counted'), 'anti');
    expect(
      cavitiesOf(await take()).map(
        ({ cavity, x, y }) => `${cavity}@${Math.round((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360}`,
      ),
    ).toEqual(['1@45', '2@315', '3@135', '4@0']);
  });
});

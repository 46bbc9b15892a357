import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, test, vi } from 'vitest';
import { LOCK_FAMILIES } from '@mendum/core/connector';
import { CAVITY_FINDING_KINDS } from '@mendum/core/damage';
import { QUICK_DAMAGES } from '@mendum/core/quick';
import { GRADES, LOCK_KEY, LOOKED_AT, TERMINAL_KEY } from '@mendum/core/recognise';
import { LOCK_PICTURES, LOCK_SIGNS } from './lockPictures.tsx';
import { LOOK_PICTURES } from './lookPictures.tsx';
import { TERMINAL_PICTURES } from './terminalPictures.tsx';
import { WhichDamage } from './WhichDamage.tsx';
import { WhichLock } from './WhichLock.tsx';
import { WhichTerminal } from './WhichTerminal.tsx';

beforeEach(() => localStorage.setItem('mendum.pxPerMm', '3.78'));

const tap = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

test('everything that is asked by a drawing has one', () => {
  for (const [key, pictures] of [
    [LOCK_KEY, LOCK_PICTURES],
    [TERMINAL_KEY, TERMINAL_PICTURES],
  ] as const)
    expect(Object.keys(pictures).sort()).toEqual(
      key.flatMap(({ id, answers }) => answers.map((answer) => `${id}.${answer.id}`)).sort(),
    );
  for (const lock of LOCK_FAMILIES) expect(LOCK_PICTURES[LOCK_SIGNS[lock]]).toBeDefined();
  for (const thing of LOOKED_AT) for (const grade of GRADES) expect(LOOK_PICTURES[thing][grade]).toBeDefined();
});

describe('how terminals are held', () => {
  it('is found by looking, and the last answer can be taken back', async () => {
    const onPick = vi.fn();
    render(<WhichLock onPick={onPick} onClose={() => undefined} />);
    await tap('A wedge in the mating face');
    expect(screen.getByText('Lifted wedge')).toBeTruthy();
    await tap('Take the last answer back');
    await tap('None');
    await tap('Round, with a ring to turn');
    await tap(/^One piece/);
    await tap('Take this');
    expect(onPick).toHaveBeenCalledExactlyOnceWith('rearRetainer');
  });
  it('who cannot tell is shown all that it may be', async () => {
    render(<WhichLock onPick={() => undefined} onClose={() => undefined} />);
    while (screen.queryByRole('button', { name: 'Cannot tell' })) await tap('Cannot tell');
    expect(screen.getAllByRole('button', { name: 'Take this' })).toHaveLength(LOCK_FAMILIES.length);
  });
});

describe('which terminal it is', () => {
  const toRing = async (): Promise<void> => {
    await tap('On its own');
    await tap(/^A closed ring/);
    await tap(/^Thin/);
    await tap('Find its size');
  };
  it('a ring over a disc', async () => {
    const onPick = vi.fn();
    render(<WhichTerminal onPick={onPick} onClose={() => undefined} />);
    await toRing();
    await tap(/Ring M6/);
    expect(onPick).toHaveBeenCalledExactlyOnceWith('ringM6');
  });
  it('a ring by its hole: between two it is measured again', async () => {
    const onPick = vi.fn();
    render(<WhichTerminal onPick={onPick} onClose={() => undefined} />);
    await toRing();
    const hole = screen.getByLabelText(/^Or by calliper/);
    await userEvent.type(hole, '6.05');
    expect(screen.getByRole('status').textContent).toContain('between ring M5 and ring M6');
    await userEvent.clear(hole);
    await userEvent.type(hole, '6.3');
    await tap('Take ring M6');
    expect(onPick).toHaveBeenCalledExactlyOnceWith('ringM6');
  });
});

describe('good, doubtful and bad beside each other', () => {
  it('good is no finding; bad is noted', async () => {
    const [onPick, onClose] = [vi.fn(), vi.fn()];
    render(<WhichDamage kinds={QUICK_DAMAGES} onPick={onPick} onClose={onClose} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Heat' }));
    expect(within(screen.getByRole('region', { name: 'In doubt' })).queryByRole('button')).toBeNull();
    await tap('No finding');
    expect(onClose).toHaveBeenCalledOnce();
    await tap('Note: wire cooked stiff');
    expect(onPick).toHaveBeenCalledExactlyOnceWith('cooked', undefined);
  });
  it('along a wire nothing is asked of a terminal, and a wire seal is noted with its sort', async () => {
    const onPick = vi.fn();
    const { rerender } = render(<WhichDamage kinds={QUICK_DAMAGES} onPick={onPick} onClose={() => undefined} />);
    expect(screen.queryByRole('radio', { name: 'Terminal' })).toBeNull();
    rerender(<WhichDamage kinds={CAVITY_FINDING_KINDS} onPick={onPick} onClose={() => undefined} />);
    await userEvent.click(screen.getByRole('radio', { name: 'Wire seal' }));
    const bad = screen.getByRole('region', { name: 'Bad' });
    await userEvent.click(within(bad).getByRole('button'));
    expect(onPick).toHaveBeenCalledExactlyOnceWith('sealLost', 'wireSeal');
  });
});

import { act, fireEvent, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { expect, test } from 'vitest';
import type { Shown } from './shown.ts';
import { useRunGestures } from './useRunGestures.ts';

const DRAWN: Shown = { fromMm: 400, toMm: 600 };

/** A view that is drawn once and follows nothing: as on a machine that is slower than the hand. */
function Slow({ onShow }: { readonly onShow: (change: (now: Shown) => Shown) => void }) {
  const target = useRef<HTMLDivElement>(null);
  useRunGestures({
    target,
    shown: DRAWN,
    wholeMm: 1000,
    mmAt: (clientX) => 400 + clientX,
    widePx: 200,
    isFree: () => true,
    onShow,
  });
  return (
    <div ref={target} data-testid="run">
      <svg data-wheel="" data-testid="ruler" />
    </div>
  );
}

const after = (changes: readonly ((now: Shown) => Shown)[]): Shown =>
  changes.reduce((now, change) => change(now), DRAWN);

test('a drag that is faster than the drawing moves the view all its way', () => {
  const changes: ((now: Shown) => Shown)[] = [];
  render(<Slow onShow={(change) => changes.push(change)} />);
  const run = screen.getByTestId('run');
  const at = (clientX: number, buttons = 1) => ({ pointerId: 1, buttons, clientX, clientY: 5 });
  act(() => {
    fireEvent.pointerDown(run, at(100));
    for (let px = 104; px <= 160; px += 4) fireEvent.pointerMove(run, at(px));
    fireEvent.pointerUp(run, at(160, 0));
  });
  // All of the 60 px but the 4 by which a drag is told from a tap.
  expect(after(changes)).toEqual({ fromMm: 344, toMm: 544 });
});

test('a wheel that is faster than the drawing zooms by all its turns, and the place under it stays', () => {
  const changes: ((now: Shown) => Shown)[] = [];
  render(<Slow onShow={(change) => changes.push(change)} />);
  const ruler = screen.getByTestId('ruler');
  act(() => {
    for (let turn = 0; turn < 4; turn += 1) fireEvent.wheel(ruler, { deltaY: 100, clientX: 50 });
  });
  const { fromMm, toMm } = after(changes);
  expect(toMm - fromMm).toBeCloseTo(400, 6);
  expect(fromMm + 0.25 * 400).toBeCloseTo(450, 6);
});

test('two fingers that move apart make the view closer, round the middle between them', () => {
  const changes: ((now: Shown) => Shown)[] = [];
  render(<Slow onShow={(change) => changes.push(change)} />);
  const run = screen.getByTestId('run');
  const finger = (pointerId: number, clientX: number, buttons = 1) => ({
    pointerId,
    pointerType: 'touch',
    buttons,
    clientX,
    clientY: 5,
  });
  act(() => {
    fireEvent.pointerDown(run, finger(1, 80));
    fireEvent.pointerDown(run, finger(2, 120));
    for (let px = 2; px <= 20; px += 2) {
      fireEvent.pointerMove(run, finger(1, 80 - px));
      fireEvent.pointerMove(run, finger(2, 120 + px));
    }
    fireEvent.pointerUp(run, finger(1, 60, 0));
    fireEvent.pointerUp(run, finger(2, 140, 0));
  });
  const { fromMm, toMm } = after(changes);
  // From 40 to 80 px apart: twice as close, with the place in the middle where it was.
  expect(toMm - fromMm).toBeCloseTo(100, 0);
  expect((fromMm + toMm) / 2).toBeCloseTo(500, 0);
});

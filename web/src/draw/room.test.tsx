import { fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { Drawing } from './Drawing.tsx';
import { useRoom } from './useRoom.ts';

function Sample({ onAt }: { readonly onAt: (px: number) => void }) {
  const [box, room] = useRoom<HTMLDivElement>();
  return (
    <div ref={box}>
      <Drawing room={room} high={50} data-testid="drawing" onClick={(event) => onAt(event.clientX / room.grown)} />
    </div>
  );
}

afterEach(() => {
  document.documentElement.style.fontSize = '';
  vi.restoreAllMocks();
});

describe('a drawing grows with the text of the browser', () => {
  test.each([
    ['as it comes', '', 800, '0 0 800 50', '50', 400],
    ['twice as large: half the room, all in it twice as large', '32px', 800, '0 0 400 50', '100', 200],
    ['half as large again', '24px', 900, '0 0 600 50', '75', 800 / 3],
  ])('%s', (_, fontSize, px, viewBox, height, at) => {
    document.documentElement.style.fontSize = fontSize;
    vi.spyOn(Element.prototype, 'getBoundingClientRect').mockReturnValue({ width: px } as DOMRect);
    const onAt = vi.fn();
    render(<Sample onAt={onAt} />);
    const drawing = screen.getByTestId('drawing');
    expect(drawing.getAttribute('viewBox')).toBe(viewBox);
    expect(drawing.getAttribute('width')).toBe(String(px));
    expect(drawing.getAttribute('height')).toBe(height);
    fireEvent.click(drawing, { clientX: 400 });
    expect(onAt.mock.calls[0]?.[0]).toBeCloseTo(at);
  });
});

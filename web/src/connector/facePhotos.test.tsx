import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import type { FacePhoto } from '@mendum/core/operations';
import { show } from '../places/test/places.tsx';
import { standInServer, writesOf } from '../test/server.ts';
import { FacePhotos } from './FacePhotos.tsx';

const PHOTO: FacePhoto = {
  id: 'P1',
  version: 3,
  side: 'wire',
  name: 'plug.jpg',
  widthPx: 600,
  heightPx: 400,
  marks: [{ cavity: '2', x: 0.5, y: 0.25 }],
  by: 'Ines Valdur',
  at: '2031-05-20T09:00:00.000Z',
};

function Beside() {
  const [picked, setPicked] = useState<string>();
  return (
    <FacePhotos harnessId="H1" nodeId="X1" cavities={['1', '2', '3']} side="wire" picked={picked} onPick={setPicked} />
  );
}

describe('a photo beside a face', () => {
  const page = () => {
    const sent = standInServer({
      '/harnesses/H1/faces/X1/photos': { body: [PHOTO] },
      '/harnesses/H1/faces/X1/photos/P1': { body: { id: 'P1' } },
    });
    show(<Beside />);
    return sent;
  };
  it('picks the cavity whose mark is tapped', async () => {
    page();
    const mark = await screen.findByRole('button', { name: 'Cavity 2 on the photo' });
    await userEvent.click(mark);
    expect(mark.getAttribute('aria-pressed')).toBe('true');
  });
  it('has its marks still where they were being set when it was closed', async () => {
    page();
    await userEvent.click(await screen.findByRole('button', { name: 'Mark its cavities' }));
    fireEvent.click(screen.getByRole('button', { name: 'Mark cavity 1' }));
    cleanup();
    page();
    expect(await screen.findByRole('button', { name: 'Cavity 1 on the photo' })).toBeTruthy();
    expect(screen.getByRole('status').textContent).toContain('Tap cavity 3');
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    cleanup();
    page();
    await screen.findByRole('button', { name: 'Cavity 2 on the photo' });
    expect(screen.queryByRole('button', { name: 'Cavity 1 on the photo' })).toBeNull();
  });
  it('is marked cavity by cavity, moved by keys, and kept with the version that was seen', async () => {
    const sent = page();
    await userEvent.click(await screen.findByRole('button', { name: 'Mark its cavities' }));
    fireEvent.click(screen.getByRole('button', { name: 'Mark cavity 1' }));
    expect(screen.getByRole('status').textContent).toContain('Tap cavity 3');
    const first = screen.getByRole('button', { name: 'Cavity 1 on the photo' });
    fireEvent.keyDown(first, { key: 'ArrowRight' });
    await userEvent.click(screen.getByRole('button', { name: 'Keep the marks' }));
    await screen.findByRole('button', { name: 'Mark its cavities' });
    expect(writesOf(sent).map(({ body }) => body)).toMatchObject([
      {
        version: 3,
        side: 'wire',
        removed: false,
        marks: [
          { cavity: '2', x: 0.5, y: 0.25 },
          { cavity: '1', x: 0.51, y: 0.5 },
        ],
      },
    ]);
  });
});

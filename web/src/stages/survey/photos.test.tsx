import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PhotoView } from '@mendum/core/operations';
import { dismissNotice } from '../../app/notice.ts';
import { NoticeBar } from '../../app/NoticeBar.tsx';
import { makeStore } from '../../app/store.ts';
import { personChosen } from '../../app/view.ts';
import { standInServer, writesOf } from '../../test/server.ts';
import { Photos } from './Photos.tsx';

const photo = (id: string, findingId = 'F1'): PhotoView => ({
  id,
  findingId,
  name: `${id}.jpg`,
  widthPx: 60,
  heightPx: 40,
  by: 'Ines',
  at: '2030-01-01T08:00:00Z',
});
const show = (photos: readonly PhotoView[], signed = false) => {
  const store = makeStore();
  store.dispatch(personChosen('Ines Valdur'));
  render(
    <Provider store={store}>
      <Photos jobId="J" findingId="F1" photos={photos} circuit="7" locked={signed} />
      <NoticeBar />
    </Provider>,
  );
};
beforeEach(dismissNotice);

describe('photos of a finding', () => {
  it('are its own, as thumbnails; one opens large and says that its place is not kept', async () => {
    standInServer({});
    show([photo('a'), photo('b', 'F2'), photo('c')]);
    expect(screen.getAllByRole('button', { name: /^Photo \d of circuit 7/ })).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Photo 2 of circuit 7, c.jpg' }));
    expect(screen.getByRole('img', { name: 'What was found on circuit 7' }).getAttribute('src')).toBe('/api/photos/c');
    expect(screen.getByText(/where it was taken is not kept/)).toBeTruthy();
  });
  it('one is removed, and brought back', async () => {
    const sent = standInServer({ 'PUT /jobs/J/photos/a': { status: 200, body: {} } });
    show([photo('a')]);
    await userEvent.click(screen.getByRole('button', { name: /^Photo 1/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Remove it' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(writesOf(sent).map((write) => (write.body as { removed: boolean }).removed)).toEqual([true, false]),
    );
  });
  it('too large a one is refused before it is sent', async () => {
    const sent = standInServer({});
    show([]);
    const large = new File([new Uint8Array(10_000_001)], 'huge.jpg', { type: 'image/jpeg' });
    await userEvent.upload(screen.getByLabelText('Attach photos to the finding on circuit 7'), large);
    expect((await screen.findByRole('status', { name: 'What was done' })).textContent).toContain(
      'huge.jpg has 10.0 MB. A photo has up to 10 MB.',
    );
    expect(writesOf(sent)).toEqual([]);
  });
  it('of a signed job stand as they are', async () => {
    standInServer({});
    show([photo('a')], true);
    expect(screen.queryByLabelText(/Attach photos/)).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /^Photo 1/ }));
    expect(screen.queryByRole('button', { name: 'Remove it' })).toBeNull();
  });
});

import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecordFound } from '@mendum/core/operations';
import type { SpliceRecord } from '@mendum/core/record';
import { makeStore } from '../app/store.ts';
import { ScanLabel } from '../find/ScanLabel.tsx';
import { RepairPage } from '../places/repair/RepairPage.tsx';
import { standInServer, writesOf } from '../test/server.ts';
import { LabelPanel } from './LabelPanel.tsx';

const codeOn = vi.hoisted(() => vi.fn<(photo: Blob) => Promise<string | undefined>>());
vi.mock('../find/readCode.ts', () => ({ codeOn }));

const BODY = {
  jobNumber: '0138',
  machine: 'Dunmarra 70',
  harness: 'Rear loom W5',
  circuitNumber: '23',
  circuitFunction: 'Brake lamps',
  run: 'Frame run',
  atMm: 483.4,
  fromName: 'X12',
  finding: 'corrosion under the jacket',
  cause: 'Water or salt',
  method: 'Sealed butt',
  materials: ['Sealed butt, middle, lot T-0412'],
  closedBy: ['Ratchet crimper, nest middle (blue dot)'],
  redos: 1,
  note: '',
  signedBy: 'Ines Valdur',
  signedAt: '2031-11-11T10:00:00.000Z',
} as unknown as SpliceRecord;
const FOUND: RecordFound = {
  recordId: 'r2',
  jobId: 'J1',
  harnessId: 'H1',
  proved: ['Tug: 65 N, held'],
  body: BODY,
};
const shown = (content: ReactNode, path = '/', address = '/') => {
  const router = createMemoryRouter([{ path, element: content }], { initialEntries: [address] });
  return render(
    <Provider store={makeStore()}>
      <RouterProvider router={router} />
    </Provider>,
  );
};
const hrefs = (): readonly (string | null)[] => screen.getAllByRole('link').map((one) => one.getAttribute('href'));
beforeEach(() => localStorage.clear());

describe('the label of a repair', () => {
  it('is seen in the size that was taken last, and saved in it', () => {
    standInServer({ 'GET /label-printer': { body: { there: false } } });
    const { unmount } = shown(<LabelPanel records={[FOUND]} jobId="J1" />);
    fireEvent.change(screen.getByLabelText('Size'), { target: { value: 'tag' } });
    unmount();
    shown(<LabelPanel records={[FOUND]} jobId="J1" />);
    expect(screen.getByRole('img').getAttribute('src')).toBe('/api/records/r2/label.svg?size=tag');
    expect(hrefs()).toEqual([
      '/api/jobs/J1/labels.pdf?size=tag',
      '/api/records/r2/label.pdf?size=tag',
      '/api/records/r2/label.svg?size=tag',
    ]);
    expect(screen.getByText('76 × 30 mm: tied to the harness through its hole.')).toBeTruthy();
    expect(screen.getByText(/the code leads to this device only/)).toBeTruthy();
  });
  it('of several repairs is the one that is picked, and goes to the printer where there is one', async () => {
    const sent = standInServer({
      'GET /label-printer': { body: { there: true } },
      'GET /session': { body: { signsIn: false, mayBegin: false } },
      'POST /records/r3/label': { status: 201, body: { bytes: 24_000 } },
    });
    shown(<LabelPanel records={[FOUND, { ...FOUND, recordId: 'r3' }]} />);
    fireEvent.change(screen.getByLabelText('Of'), { target: { value: 'r3' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Send to the label printer' }));
    await waitFor(() =>
      expect(writesOf(sent).map(({ path, body }) => [path, body?.size])).toEqual([['/records/r3/label', 'flag']]),
    );
  });
});

describe('a repair, as its label leads to it', () => {
  const open = (found: object) => {
    standInServer({ 'GET /records/r1': { body: found }, 'GET /label-printer': { body: { there: false } } });
    shown(<RepairPage />, '/r/:recordId', '/r/r1');
  };
  it('says where, what was found and done, by which nest, how it was proved, by whom', async () => {
    open(FOUND);
    const text = (await screen.findByRole('article', { name: 'Repair on circuit 23' })).textContent;
    for (const words of [
      '23 Brake lamps',
      '483 mm from X12',
      'Frame run, Dunmarra 70, Rear loom W5',
      'corrosion under the jacket. What did it: water or salt',
      'Sealed butt, with Sealed butt, middle, lot T-0412',
      'Ratchet crimper, nest middle (blue dot)',
      'Tug: 65 N, held Made again once before it passed.',
      'Ines Valdur, 2031-11-11',
    ])
      expect(text).toContain(words);
    expect(hrefs()).toEqual(expect.arrayContaining(['/jobs/J1/record', '/machines/H1/history']));
  });
  it.each([
    [{ body: { ...BODY, temporaryUntil: '2031-12-11' } }, '▲ Temporary, to be made good by 2031-12-11'],
    [
      { ended: { id: 'J2', number: '0150', at: '2031-12-01T09:00:00.000Z' } },
      '▲ Not there any more: ended by job 0150, 2031-12-01',
    ],
  ])('says first that it is not what it was: %#', async (more, words) => {
    open({ ...FOUND, ...more });
    await screen.findByRole('article');
    expect(
      screen.getByText((_text, element) => element?.tagName === 'P' && element.textContent === words),
    ).toBeTruthy();
  });
  it('of another workshop is said to be none', async () => {
    standInServer({
      'GET /records/r1': { status: 404, body: { error: { code: 'NOT_FOUND', message: 'There is no record "r1".' } } },
    });
    shown(<RepairPage />, '/r/:recordId', '/r/r1');
    expect(await screen.findByText('There is no record "r1".')).toBeTruthy();
  });
});

describe('a label that is scanned', () => {
  const scan = (said: string | undefined | Error) => {
    codeOn.mockImplementation(() => (said instanceof Error ? Promise.reject(said) : Promise.resolve(said)));
    const found = vi.fn();
    render(<ScanLabel onFound={found} />);
    fireEvent.change(screen.getByLabelText('Scan a label'), { target: { files: [new File(['x'], 'a.jpg')] } });
    return found;
  };
  it('leads to its repair', async () => {
    const found = scan('http://10.0.0.5:4600/r/r2#job-0138');
    await waitFor(() => expect(found).toHaveBeenCalledWith('r2'));
  });
  it.each([
    [undefined, /No code was found on that photo/],
    ['4006381333931', /no label of Mendum/],
    [new Error('no picture'), /no photo that can be read/],
  ])('that says %s leads nowhere, and says why', async (said, words) => {
    const found = scan(said);
    expect((await screen.findByRole('alert')).textContent).toMatch(words);
    expect(found).not.toHaveBeenCalled();
  });
});

import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Share, SharedRecord } from '@mendum/core/operations';
import { standInServer, writesOf, type Sent } from '../../test/server.ts';
import { show } from '../test/places.tsx';
import { SharedPage } from './SharedPage.tsx';
import { SharePanel } from './SharePanel.tsx';

const SHARED: SharedRecord = {
  body: {
    jobNumber: '0126',
    machine: 'Dunmarra 70',
    harness: 'Rear loom W5',
    circuitNumber: '25',
    circuitFunction: 'Sieve motor',
    run: 'Frame run',
    atMm: 483.4,
    fromName: 'X12',
    finding: 'chafed through',
    method: 'Sealed butt',
    signedBy: 'Marit Fure',
    signedAt: '2031-05-01T09:00:00Z',
  },
  proved: ['Tug: held 62 N'],
  until: '2031-06-19',
};

describe('what a customer sees', () => {
  const open = (key: string, answer: { status?: number; body: unknown }): Sent[] => {
    const sent = standInServer({ [`GET /shared/${key}`]: answer });
    show(<SharedPage />, `/s#${key}`);
    return sent;
  };
  it('what was repaired, where, how it was proved, by whom; and no way to anything else', async () => {
    open('abc', { body: SHARED });
    const article = await screen.findByRole('article', { name: 'Repair on circuit 25' });
    for (const words of ['Sieve motor', '483 mm', 'chafed through', 'Sealed butt', 'Tug: held 62 N', 'Marit Fure'])
      expect(article.textContent).toContain(words);
    expect(screen.queryAllByRole('link')).toEqual([]);
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
  it.each([
    ['temporary', { ...SHARED, body: { ...SHARED.body, temporaryUntil: '2031-07-01' } }, 'made good by 2031-07-01'],
    ['gone since', { ...SHARED, endedOn: '2031-06-01' }, 'Not there any more since 2031-06-01'],
    ['not measured', { ...SHARED, body: { ...SHARED.body, notMeasured: true } }, 'Looked at, not measured.'],
  ])('that it is %s is said', async (_, body, words) => {
    open('abc', { body });
    expect((await screen.findByRole('article')).textContent).toContain(words);
  });
  it('a link that opens no more says whom to ask', async () => {
    const hint = 'Ask the workshop that sent it for a new one.';
    open('old', {
      status: 404,
      body: { error: { code: 'NOT_FOUND', message: 'This link does not open any more.', hint } },
    });
    expect(await screen.findByText('This link does not open any more.')).toBeTruthy();
    expect(screen.getByText(hint)).toBeTruthy();
  });
  it('a link without its end asks for nothing', () => {
    expect(open('', { body: SHARED })).toEqual([]);
    expect(screen.getByText('This link is not whole.')).toBeTruthy();
  });
});

describe('a link to a repair', () => {
  it('is made here, shown once, and ended; its secret goes to the server and is kept nowhere', async () => {
    localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' }));
    let shares: Share[] = [];
    const share: Share = { id: 'S1', until: '2031-06-19', by: 'Ines Valdur', at: '2031-05-20T09:00:00Z', over: false };
    const sent = standInServer({
      'GET /records/R1/shares': () => ({ body: shares }),
      'POST /records/R1/shares': () => {
        shares = [share];
        return { status: 201, body: { id: 'S1', until: share.until } };
      },
      'DELETE /shares/S1': () => {
        shares = [{ ...share, over: true }];
        return { body: { id: 'S1' } };
      },
    });
    show(<SharePanel recordId="R1" />);
    fireEvent.change(await screen.findByLabelText('It opens for'), { target: { value: '30' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make a link' }));
    const field = await screen.findByLabelText<HTMLInputElement>(/The link: it is shown once/);
    const [{ body }] = writesOf(sent) as [Sent];
    expect(body).toMatchObject({ days: 30 });
    expect(body?.['key']).toMatch(/^[0-9a-f]{48}$/);
    expect(field.value).toBe(`${location.origin}/s#${String(body?.['key'])}`);
    expect(JSON.stringify(localStorage)).not.toContain(String(body?.['key']));
    fireEvent.click(screen.getByRole('button', { name: 'End it' }));
    await waitFor(() => expect(screen.queryByText(/A link opens to/)).toBeNull());
    expect(screen.queryByLabelText(/The link: it is shown once/)).toBeNull();
  });
});

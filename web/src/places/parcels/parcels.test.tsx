import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Parcel, ParcelRecord } from '@mendum/core/operations';
import { pageOf, standInServer, type Sent } from '../../test/server.ts';
import { show } from '../test/places.tsx';
import { OtherShops } from './OtherShops.tsx';

const ID = 'a'.repeat(64);
const PARCEL: Parcel = {
  id: ID,
  shop: 'Hollow Creek',
  originId: 'b7e0',
  madeAt: '2031-05-20T09:00:00Z',
  of: { kind: 'all', name: 'all records' },
  jobs: 1,
  records: 2,
  by: 'Ines Valdur',
  at: '2031-05-21T09:00:00Z',
  signed: 0,
};
const RECORD = {
  parcelId: ID,
  shop: 'Hollow Creek',
  recordId: 'R1',
  files: ['jobs/0126/record.pdf', 'jobs/0126/photos/p.jpg'],
  body: {
    jobNumber: '0126',
    circuitNumber: '25',
    circuitFunction: 'Sieve motor',
    method: 'Sealed butt',
    atMm: 483,
    fromName: 'X12',
    run: 'Frame run',
    machine: 'Dunmarra 70',
    harness: 'W5',
    readings: [{ title: 'Tug', words: 'held 62 N', make: 1 }],
    redos: 0,
    signedBy: 'Marit Fure',
    signedAt: '2031-05-01T09:00:00Z',
  } as unknown as ParcelRecord['body'],
} satisfies ParcelRecord;

function open(parcels: readonly Parcel[], refuses = false): Sent[] {
  localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' }));
  const sent = standInServer({
    'GET /parcels': { body: parcels },
    'GET /parcels/records': { body: pageOf([RECORD]) },
    'POST /parcels': refuses
      ? {
          status: 422,
          body: {
            error: {
              code: 'PARCEL_REFUSED',
              message: 'records.json in it is not what was packed.',
              hint: 'Nothing was read in.',
            },
          },
        }
      : { status: 201, body: { id: ID, records: 2 } },
  });
  show(<OtherShops />);
  return sent;
}

describe('records of other shops', () => {
  it('with none, says what a parcel is', async () => {
    open([]);
    expect(await screen.findByText('Nothing from other shops')).toBeTruthy();
  });
  it('each stands under its shop and its numbers, with how far it was checked, its sheet and its photos', async () => {
    open([PARCEL]);
    expect(await screen.findByText(/all records: 2 records of 1 job/)).toBeTruthy();
    expect(screen.getByText(/which does not prove who made it/)).toBeTruthy();
    expect(await screen.findByText(/their job/)).toBeTruthy();
    expect(screen.getByText('Tug: held 62 N')).toBeTruthy();
    const hrefs = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(hrefs).toEqual([
      `/api/parcels/${ID}/parcel.zip`,
      `/api/parcels/${ID}/file?name=jobs%2F0126%2Frecord.pdf`,
      `/api/parcels/${ID}/file?name=jobs%2F0126%2Fphotos%2Fp.jpg`,
    ]);
  });
  it('signatures are told, and that their key is not known', async () => {
    open([{ ...PARCEL, signed: 2 }]);
    expect(await screen.findByText(/2 records signed, by a key that is not known here/)).toBeTruthy();
  });
  it.each([
    ['one that holds is read in under the name of its shop', false],
    ['one that does not hold is refused in the words of the server; what was entered stays', true],
  ])('%s', async (_, refuses) => {
    const sent = open([], refuses);
    fireEvent.click(await screen.findByRole('button', { name: 'Read in a parcel' }));
    const button = await screen.findByRole('button', { name: 'Check it and read it in' });
    expect(button.hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('Which shop sent it?'), { target: { value: ' Hollow Creek ' } });
    const zip = new File(['PK'], 'records.zip', { type: 'application/zip' });
    await userEvent.upload(screen.getByLabelText('The parcel (ZIP)'), zip);
    expect(button.hasAttribute('disabled')).toBe(false);
    await userEvent.click(button);
    await waitFor(() => expect(sent.find(({ method }) => method === 'POST')?.query.get('shop')).toBe('Hollow Creek'));
    if (refuses) {
      expect((await screen.findByRole('alert')).textContent).toContain('records.json in it is not what was packed.');
      expect(screen.getByLabelText<HTMLInputElement>('Which shop sent it?').value).toBe(' Hollow Creek ');
    } else await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });
});

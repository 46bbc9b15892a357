import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { RULES } from '@mendum/core/method';
import { CRIMP_FIRST, READY_PRACTICES } from '@mendum/core/practice';
import type { HarnessSummary } from '@mendum/core/operations';
import { pageOf, standInServer, writesOf } from '../test/server.ts';
import { MachinesPlace } from './machines/MachinesPlace.tsx';
import { PracticePlace } from './practice/PracticePlace.tsx';
import { ShelfPlace } from './shelf/ShelfPlace.tsx';
import { show, FEW_PARTS } from './test/places.tsx';

describe('other places', () => {
  it('machines are found by a circuit of theirs', async () => {
    const line = (id: string, machine: string): HarnessSummary => ({
      id,
      version: 1,
      machineId: machine,
      machine,
      machineKind: 'tractor',
      systemVoltageV: 12,
      name: id,
      circuits: 1,
      connectors: 0,
    });
    standInServer({
      '/harnesses': ({ query }) => ({
        body: pageOf(
          query.get('search') === 'brake'
            ? [line('W2', 'Dunmarra 70')]
            : [line('W2', 'Dunmarra 70'), line('W1', 'Ovrell 420')],
        ),
      }),
    });
    show(<MachinesPlace />);
    expect(await screen.findByRole('heading', { name: /Ovrell 420/ })).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Find a machine or a function'), 'brake');
    await waitFor(() => expect(screen.queryByRole('heading', { name: /Ovrell 420/ })).toBeNull());
    expect(screen.getByRole('heading', { name: /Dunmarra 70/ })).toBeTruthy();
  });
  it('the shelf says what is there, what each part fits, and what there is none of', async () => {
    standInServer({
      '/shelf': {
        body: {
          ...FEW_PARTS,
          parts: FEW_PARTS.parts.map((part) => (part.id === 'clip-XL' ? { ...part, quantity: 0 } : part)),
        },
      },
    });
    show(<ShelfPlace />);
    const line = (name: string) => screen.getByRole('button', { name }).closest('li')?.textContent;
    await screen.findByRole('button', { name: 'Sealed butt, middle' });
    expect(line('Sealed butt, middle')).toContain('1.04–2.63 mm² an end');
    expect(screen.queryByRole('button', { name: 'Splice clip XL' })).toBeNull();
    await userEvent.click(screen.getByRole('checkbox', { name: /known but not there/ }));
    expect(line('Splice clip XL')).toContain('none');
  });
  it('one more of a part is saved at once, and can be undone', async () => {
    const sent = standInServer({ '/shelf': { body: FEW_PARTS }, 'PUT /shelf': { body: { shelfVersion: 2 } } });
    show(<ShelfPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'One more: Sealed butt, middle' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          method: 'PUT',
          path: '/shelf',
          body: { version: 1, edits: [{ kind: 'setPart', part: { id: 'sealedButt-middle', quantity: 101 } }] },
        },
      ]),
    );
  });
  it('a part whose colour and stamp disagree is warned of, and a figure that is none is refused with nothing lost', async () => {
    standInServer({ '/shelf': { body: FEW_PARTS } });
    show(<ShelfPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Sealed butt, small' }));
    const upper = await screen.findByLabelText('Copper to');
    await userEvent.clear(upper);
    await userEvent.type(upper, '1.65');
    expect(screen.getByText(/by convention is small .* stamped 0.33–1.65: the stamp counts/)).toBeTruthy();
    await userEvent.clear(upper);
    await userEvent.click(screen.getByRole('button', { name: 'Save the part' }));
    expect(await screen.findByText('Enter a number above 0.33, up to 500 mm².')).toBeTruthy();
  });
  it('practice shows every rule of the engine with both sides, ready ones without a way to change them', async () => {
    standInServer({
      '/practices': {
        body: READY_PRACTICES.map((practice) => ({
          practice,
          ready: true,
          jobs: 0,
          usual: practice.id === 'crimpFirst',
        })),
      },
    });
    show(<PracticePlace />);
    await screen.findByRole('region', { name: 'Crimp first' });
    for (const rule of RULES)
      expect(screen.getAllByText(`Rule ${rule.id}:`, { exact: false }).length, rule.id).toBeGreaterThan(0);
    expect(screen.getAllByText('The other side:')).toHaveLength(3);
    expect(screen.getAllByRole<HTMLInputElement>('switch').every((one) => one.disabled)).toBe(true);
  });
  it('a practice of one’s own shows what it would change before it is saved', async () => {
    const own = { ...CRIMP_FIRST, id: 'own', name: 'Ours' };
    const effect = {
      jobId: 'J1',
      number: '0147',
      title: 'Shaker',
      keeps: false,
      changes: [
        {
          findingId: 'F1',
          circuitId: 'C1',
          circuitNumber: '7',
          before: 'One splice: sealed butt',
          after: 'One splice: splice clip',
          because: 'Slimmer.',
        },
      ],
    };
    const sent = standInServer({
      '/practices': { body: [{ practice: own, ready: false, jobs: 1 }] },
      'POST /practices/effect': { body: [effect] },
      'PUT /practices/own': { body: { id: 'own', practiceVersion: 2 } },
    });
    show(<PracticePlace />);
    await userEvent.click(await screen.findByRole('switch', { name: 'Unfolded before folded' }));
    await userEvent.click(screen.getByRole('button', { name: 'See what it changes, and save' }));
    expect((await screen.findByText('One splice: splice clip')).closest('tr')?.textContent).toContain(
      'One splice: sealed butt',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Save the practice' }));
    await waitFor(() =>
      expect(writesOf(sent).at(-1)).toMatchObject({
        path: '/practices/own',
        body: { practice: { off: ['prefer.unfolded'] } },
      }),
    );
  });
  it('changes not saved yet are there after the page is loaded again, unless the practice was saved in between', async () => {
    const own = { ...CRIMP_FIRST, id: 'kept', name: 'Ours', version: 3 };
    const stored = (version: number): void =>
      void standInServer({ '/practices': { body: [{ practice: { ...own, version }, ready: false, jobs: 0 }] } });
    const unfoldedFirst = async (): Promise<boolean> =>
      (await screen.findByRole<HTMLInputElement>('switch', { name: 'Unfolded before folded' })).checked;
    stored(3);
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(true);
    await userEvent.click(screen.getByRole('switch', { name: 'Unfolded before folded' }));
    cleanup();
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(false);
    expect(screen.getByText('Not saved yet.')).toBeTruthy();
    cleanup();
    stored(4);
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(true);
  });
});

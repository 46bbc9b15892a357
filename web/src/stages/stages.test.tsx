import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { METHOD_IDS } from '@mendum/core/family';
import type { Check } from '@mendum/core/prove';
import { figure } from '@mendum/core/units';
import { findingOf, InJob, planFor, viewOf } from '../test/job.tsx';
import { Ranking } from './decide/Ranking.tsx';
import { CheckBlock } from './prove/CheckBlock.tsx';
import { stageStates, standingOfMake } from './standing.ts';

const at = '2030-01-01T09:00:00Z';

describe("each stage's own state", () => {
  const states = (view: ReturnType<typeof viewOf>) => stageStates(view, planFor(view));
  it('nothing found, gate closed: all empty', () =>
    expect(Object.values(states(viewOf([], { job: { gate: {} } })))).toEqual(Array(6).fill('empty')));
  it('found behind a closed gate: survey is in work, the rest waits', () =>
    expect(states(viewOf([findingOf('F1')], { job: { gate: {} } }))).toMatchObject({
      survey: 'work',
      decide: 'empty',
      layout: 'empty',
    }));
  it('found and made safe: decided and laid out without a word', () =>
    expect(states(viewOf([findingOf('F1')]))).toMatchObject({
      survey: 'done',
      decide: 'done',
      layout: 'done',
      bench: 'empty',
      prove: 'empty',
    }));
  it('something is not on the shelf: decide needs a look', () => {
    const view = viewOf([findingOf('F1')]);
    const bare = {
      ...view,
      catalogue: { ...view.catalogue, parts: view.catalogue.parts.map((part) => ({ ...part, quantity: 0 })) },
    };
    expect(states(bare)).toMatchObject({ decide: 'look' });
  });
  it('what is signed stands as it was recorded, whatever is asked of such a joint today', () => {
    const view = viewOf([findingOf('F1')]);
    const make = planFor(view).findings[0]!.splices[0]!;
    const signed = (more: object) =>
      ({
        ...view,
        status: 'signed',
        records: [{ id: 'R', spliceId: make.id, body: { spliceId: make.id, ...more } }],
      }) as unknown as typeof view;
    expect(standingOfMake(view, make).standing).toBe('unproved');
    expect(standingOfMake(signed({}), make).standing).toBe('passed');
    expect(standingOfMake(signed({ notMeasured: true }), make).standing).toBe('looked');
    expect(standingOfMake({ ...signed({}), status: 'open' }, make).standing).toBe('unproved');
  });
  it('some steps ticked: in work; all: done', () => {
    const view = viewOf([findingOf('F1')]);
    const steps = planFor(view).findings[0]!.splices[0]!.steps;
    const tick = (count: number) =>
      viewOf(view.job.findings, {
        ticks: steps
          .slice(0, count)
          .map((step) => ({ stepId: step.id, spliceId: step.spliceId, done: true, by: 'Ines', at })),
      });
    expect([states(tick(2)).bench, states(tick(steps.length)).bench]).toEqual(['work', 'done']);
  });
  it('a failed reading: prove needs a look', () => {
    const view = viewOf([findingOf('F1')], {
      readings: [
        {
          id: '1',
          spliceId: 'F1:only',
          make: 1,
          checkId: 'tug',
          value: { kind: 'tug', newtons: 40, held: false },
          by: 'Ines',
          at,
        },
      ],
    });
    expect(states(view).prove).toBe('look');
  });
  it('a reading of an earlier make counts no more', () => {
    const redo = { id: 'R', findingId: 'F1', lostFromMm: 491, lostToMm: 521, because: 'let go', by: 'Ines', at };
    const view = viewOf([findingOf('F1', { slackMm: 60 })], {
      job: { redos: [redo] },
      readings: [
        {
          id: '1',
          spliceId: 'F1:only',
          make: 1,
          checkId: 'tug',
          value: { kind: 'tug', newtons: 40, held: false },
          by: 'Ines',
          at,
        },
      ],
    });
    expect(states(view).prove).toBe('empty');
  });
});

describe('the ranking', () => {
  it('shows every method, why the refused are refused, and lets only usable ones be used', async () => {
    const view = viewOf([findingOf('F1')]);
    render(
      <InJob view={view}>
        <Ranking finding={planFor(view).findings[0]!} />
      </InJob>,
    );
    await userEvent.click(screen.getByRole('button', { name: /more that are refused/ }));
    const lines = screen.getAllByRole('listitem');
    expect(lines).toHaveLength(METHOD_IDS.length);
    const solder = lines.find((line) => line.textContent?.includes('Wrapped solder'))!;
    expect(solder.textContent).toContain('refused');
    expect(solder.textContent).toContain('wicked solder makes a stiff end');
    expect(within(solder).queryByRole('button', { name: 'Use instead' })).toBeNull();
    await userEvent.click(within(solder).getByRole('button', { name: 'Rules' }));
    expect(solder.textContent).toContain('Allowed if the zone did not vibrate.');
  });
  it('asks for a reason, and for more than two letters of it', async () => {
    const view = viewOf([findingOf('F1')]);
    render(
      <InJob view={view}>
        <Ranking finding={planFor(view).findings[0]!} />
      </InJob>,
    );
    await userEvent.click(screen.getAllByRole('button', { name: 'Use instead' })[0]!);
    await userEvent.type(await screen.findByLabelText('Why?'), 'ok');
    await userEvent.click(screen.getByRole('button', { name: 'Use it, with this reason' }));
    expect(screen.getByRole('alert').textContent).toContain('Say why in a few words');
  });
});

describe('a check', () => {
  const checks = planFor(viewOf([findingOf('F1')])).findings[0]!.splices[0]!.checks;
  const check = (kind: Check['kind']): Check => checks.find((one) => one.kind === kind)!;
  const show = (kind: Check['kind'], onRead = vi.fn(() => Promise.resolve(true))) => {
    render(<CheckBlock check={check(kind)} ruling={undefined} reading={undefined} locked={false} onRead={onRead} />);
    return onRead;
  };
  it('a look is one tap on its picture', async () => {
    const onRead = show('look');
    await userEvent.click(screen.getByRole('radio', { name: /Jacket is in the barrel/ }));
    expect(onRead).toHaveBeenCalledWith({ kind: 'look', answer: 'jacketIn' });
  });
  it('a tug that held at its target is one tap, and says the figure', async () => {
    const onRead = show('tug');
    await userEvent.click(screen.getByRole('button', { name: 'Held 111 N' }));
    expect(onRead).toHaveBeenCalledWith({ kind: 'tug', newtons: 111, held: true });
  });
  it('one reading after the other: the field is empty again, and says nothing against that', async () => {
    const onRead = show('resistance');
    for (const milliohm of ['0.8', '0.9']) {
      await userEvent.type(screen.getByLabelText('Reads'), milliohm);
      await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
      await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Reads').value).toBe(''));
    }
    expect(onRead.mock.calls).toEqual([
      [{ kind: 'resistance', milliohm: 0.8 }],
      [{ kind: 'resistance', milliohm: 0.9 }],
    ]);
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('a tug that let go wants to know at which force', async () => {
    const onRead = show('tug');
    await userEvent.click(screen.getByRole('button', { name: 'It let go' }));
    expect(onRead).not.toHaveBeenCalled();
    expect((await screen.findByRole('alert')).textContent).toBe('Enter a number from 0 to 10,000 N.');
    await userEvent.type(screen.getByLabelText('Pulled to'), '40');
    await userEvent.click(screen.getByRole('button', { name: 'It let go' }));
    expect(onRead).toHaveBeenCalledWith({ kind: 'tug', newtons: 40, held: false });
  });
  it('a resistance says its limits and refuses what is no number', async () => {
    const onRead = show('resistance');
    const resistance = check('resistance') as Extract<Check, { kind: 'resistance' }>;
    expect(screen.getByText(new RegExp(`Good up to ${figure(resistance.limits.goodMilliohm, 3)}`))).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(onRead).not.toHaveBeenCalled();
    await userEvent.type(screen.getByLabelText('Reads'), '0.1{Enter}');
    expect(onRead).toHaveBeenCalledWith({ kind: 'resistance', milliohm: 0.1 });
  });
});

import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, test, vi } from 'vitest';
import { FULL_SHELF } from '@mendum/core/catalogue';
import { plan, type Plan } from '@mendum/core/plan';
import { CRIMP_FIRST } from '@mendum/core/practice';
import { checkQuick, placeFacts, quickJob, type QuickRepair } from '@mendum/core/quick';
import * as planning from '../app/planner.ts';
import { EMPTY, missingFrom, repairOf, useQuickDraft, withDamage, withOneMore, withPlace, withWire } from './draft.ts';
import { Happened, Slack, Where } from './Happened.tsx';
import { useAnswer } from './useAnswer.ts';
import { WirePick } from './WirePick.tsx';
import { Provider } from 'react-redux';
import { makeStore } from '../app/store.ts';

/** The page's questions, with the repair that they come to. */
function Asked({ onRepair }: { readonly onRepair: (repair: QuickRepair | undefined) => void }) {
  const [draft, setDraft] = useQuickDraft();
  const repair = repairOf(draft);
  onRepair(repair);
  const asked = { draft, repair, onChange: setDraft };
  return (
    <Provider store={makeStore()}>
      <WirePick draft={draft} onChange={setDraft} />
      <Happened {...asked} />
      <Where {...asked} />
      <Slack {...asked} />
      <p>Missing: {missingFrom(draft).join(', ')}</p>
    </Provider>
  );
}

const asked = () => {
  let last: QuickRepair | undefined;
  const { unmount } = render(<Asked onRepair={(repair) => (last = repair)} />);
  const tap = (name: string | RegExp, at = 0) => userEvent.click(screen.getAllByRole('radio', { name })[at]!);
  return { tap, repair: () => last, unmount };
};

beforeEach(() => localStorage.clear());

describe('a wire in the hand', () => {
  it('four taps give all that an answer needs, and a reload keeps them', async () => {
    const { tap, repair, unmount } = asked();
    expect(screen.getByText('Missing: the size, what happened, where it is')).toBeTruthy();
    await tap('red');
    await tap('1.5');
    await tap(/cut or a length missing/);
    await tap('Chassis');
    const whole = repair();
    expect(whole).toMatchObject({
      wires: [{ size: { basis: 'metric', areaMm2: 1.5 }, colour: { base: 'red' } }],
      damage: 'parted',
      zone: { area: 'chassis', moisture: 'wet' },
      slackMm: 0,
    });
    unmount();
    expect(asked().repair()).toEqual(whole);
  });
  it('a number that is printed on it is a trade label, and not a gauge', async () => {
    const { tap, repair } = asked();
    await tap(/cut or a length/);
    await tap('Cabin');
    await tap('Number printed on it');
    await tap(/^16/);
    expect(repair()?.wires[0]?.size).toEqual({ basis: 'trade', awg: 16 });
    await tap('AWG, measured');
    await tap(/^16/);
    expect(repair()?.wires[0]?.size).toEqual({ basis: 'awg', awg: 16 });
  });
  it('slack is felt or measured', async () => {
    const { tap, repair } = asked();
    for (const name of ['1.5', /cut or a length/, 'Cabin'] as const) await tap(name);
    await tap(/a hand/);
    expect(repair()?.slackMm).toBe(80);
    const measured = await screen.findByRole('spinbutton', { name: 'Measured' });
    await userEvent.clear(measured);
    await userEvent.type(measured, '33');
    expect(repair()?.slackMm).toBe(33);
  });
});

const DRY = placeFacts('cabin').zone;

describe('what is changed goes with what it belongs to', () => {
  const whole = withPlace(withDamage(withWire(EMPTY, 0, { size: { basis: 'metric', areaMm2: 1 } }), 'parted'), 'boom');
  test.each([
    [
      'another damage brings its own loss',
      withDamage({ ...whole, changed: { lostMm: 77 } }, 'corroded'),
      { lostMm: 20 },
    ],
    ['and leaves slack alone', withDamage({ ...whole, changed: { slackMm: 9 } }, 'corroded'), { slackMm: 9 }],
    [
      'another place brings its own zone',
      withPlace({ ...whole, changed: { zone: { ...DRY, moisture: 'damp' } } }, 'cabin'),
      { zone: DRY },
    ],
    ['one more wire is of the size of the last', withOneMore(whole), { wires: { length: 2 } }],
  ])('%s', (_, draft, wanted) => expect(repairOf(draft)).toMatchObject(wanted));

  test.each(['7', '{"wires":[]}', '{"wires":[{}],"changed":{},"damage":"bent"}', 'no json'])(
    'a damaged memory counts as none: %s',
    (text) => {
      localStorage.setItem('mendum.quick', text);
      expect(asked().repair()).toBeUndefined();
    },
  );
});

const TAPPED = { check: checkQuick, jobOf: quickJob };

describe('the answer', () => {
  it('belongs to what was tapped: while the next is worked out, the last one is known to be old', async () => {
    const asked: ((plan: Plan) => void)[] = [];
    vi.spyOn(planning, 'thePlanner').mockReturnValue({
      plan: () => new Promise<Plan>((resolve) => asked.push(resolve)),
    } as unknown as ReturnType<typeof planning.thePlanner>);
    const draft = withPlace(
      withDamage(withWire(EMPTY, 0, { size: { basis: 'metric', areaMm2: 1 } }), 'parted'),
      'cabin',
    );
    const [one, other] = [repairOf(draft)!, repairOf(withDamage(draft, 'corroded'))!];
    const planOf = (repair: QuickRepair): Plan => plan(quickJob(repair), CRIMP_FIRST, FULL_SHELF);
    const { result, rerender } = renderHook(({ repair }) => useAnswer(TAPPED, repair, FULL_SHELF), {
      initialProps: { repair: one },
    });
    expect(result.current.plan).toBeUndefined();
    act(() => asked[0]?.(planOf(one)));
    await waitFor(() => expect(result.current).toMatchObject({ to: one, isOld: false }));
    rerender({ repair: other });
    expect(result.current).toMatchObject({ to: one, isOld: true });
    act(() => asked[1]?.(planOf(other)));
    await waitFor(() => expect(result.current).toMatchObject({ to: other, isOld: false }));
    rerender({ repair: { ...other, openMm: 50, lostMm: 400 } });
    expect(result.current.wrong?.message).toMatch(/430 mm with its cut-back, and 100 mm is opened/);
    vi.restoreAllMocks();
  });
});

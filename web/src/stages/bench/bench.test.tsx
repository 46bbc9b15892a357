import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { FULL_SHELF } from '@mendum/core/catalogue';
import type { Tick } from '@mendum/core/operations';
import { findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { BenchStage } from './BenchStage.tsx';
import { KitList } from './KitList.tsx';
import { StepScreen } from './StepScreen.tsx';
import { Timer } from './Timer.tsx';
import { TrueSize } from './TrueSize.tsx';

const view = viewOf([findingOf('F1')]);
const ticksFor = (count: number): Tick[] =>
  planFor(view)
    .findings[0]!.splices[0]!.steps.slice(0, count)
    .map((step) => ({ stepId: step.id, spliceId: step.spliceId, done: true, by: 'Ines', at: '2030-01-01T09:00:00Z' }));
const showStep = (ticks: readonly Tick[] = []) => {
  const shown = viewOf(view.job.findings, { ticks });
  const finding = planFor(shown).findings[0]!;
  const onMake = vi.fn();
  render(
    <InJob view={shown}>
      <StepScreen make={finding.splices[0]!} finding={finding} run={shown.job.harness.runs[0]!} onMake={onMake} />
    </InJob>,
  );
  return onMake;
};

afterEach(() => vi.useRealTimers());

describe('kit', () => {
  it('says that everything is there, with need and have', () => {
    render(
      <InJob view={view}>
        <KitList onBegin={() => undefined} begun={false} />
      </InJob>,
    );
    expect(screen.getByRole('heading', { name: 'Everything is there' })).toBeTruthy();
    expect(screen.getByRole('row', { name: /Sealed butt, middle/ }).textContent).toBe(
      'Sealed butt, middle1 piece100✓ have',
    );
  });
  it('says what is short and what to order', () => {
    const none = {
      ...viewOf([findingOf('F1')]),
      catalogue: { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) },
    };
    render(
      <InJob view={none}>
        <KitList onBegin={() => undefined} begun={false} />
      </InJob>,
    );
    expect(screen.getByRole('heading', { name: 'Something is short' })).toBeTruthy();
    expect(screen.getByText('Order 1.')).toBeTruthy();
  });
  it('shows the cautions, the manual first', () => {
    render(
      <InJob view={view}>
        <KitList onBegin={() => undefined} begun={false} />
      </InJob>,
    );
    expect(
      within(screen.getByRole('complementary').querySelector('[aria-label=Cautions]') as HTMLElement).getAllByRole(
        'listitem',
      )[0]?.textContent,
    ).toContain('service manual');
  });
});

describe('one step at a time', () => {
  it('begins with the first step that is not done', () => {
    showStep(ticksFor(2));
    expect(screen.getByRole('heading', { name: 'Strip both ends' })).toBeTruthy();
    expect(screen.getByText('7.0', { selector: 'span' })).toBeTruthy();
  });
  it('"Done, next" ticks the step in the name of who is at the bench and goes on', async () => {
    const sent = standInServer({ 'PUT /jobs/J/ticks': { body: { ticked: 1 } } });
    showStep();
    await userEvent.click(screen.getByRole('button', { name: 'Done, next' }));
    expect(screen.getByRole('heading', { name: 'Cut the X2 end' })).toBeTruthy();
    expect(writesOf(sent)).toMatchObject([
      { body: { done: true, steps: [{ stepId: 'F1:only#1/sealedButt/cutLeft' }] } },
    ]);
  });
  it('Enter and b do the same from the keyboard', async () => {
    standInServer({ 'PUT /jobs/J/ticks': { body: { ticked: 1 } } });
    showStep();
    await userEvent.keyboard('{Enter}');
    expect(screen.getByRole('heading', { name: 'Cut the X2 end' })).toBeTruthy();
    await userEvent.keyboard('b');
    expect(screen.getByRole('heading', { name: 'Cut the X1 end' })).toBeTruthy();
  });
  it('a step that was ticked can be taken back', async () => {
    const sent = standInServer({ 'PUT /jobs/J/ticks': { body: { ticked: 1 } } });
    showStep(ticksFor(7));
    await userEvent.click(screen.getByRole('button', { name: 'Not done after all' }));
    expect(writesOf(sent)).toMatchObject([{ body: { done: false } }]);
  });
  it('says what slack is left for what may go wrong', () => {
    showStep();
    expect(
      screen.getByText(/Enough for one redo|enough to strip one end again|the next mishap means an insert/),
    ).toBeTruthy();
  });
});

it('nothing to make says where to go', () => {
  render(
    <InJob view={viewOf([])}>
      <BenchStage />
    </InJob>,
  );
  expect(screen.getByRole('link', { name: 'Go to Decide' })).toBeTruthy();
});

it('a timer counts down and says when it is over', () => {
  vi.useFakeTimers();
  render(<Timer seconds={60} />);
  act(() => {
    screen.getByRole('button', { name: 'Wait 60 s' }).click();
  });
  act(() => {
    vi.advanceTimersByTime(21_000);
  });
  expect(screen.getByRole('timer').textContent).toContain('39 s, keep it still');
  act(() => {
    vi.advanceTimersByTime(40_000);
  });
  expect(screen.getByRole('timer').textContent).toContain('60 s done');
});

it('the strip gauge is set once against a card and remembered', async () => {
  const props = { open: true, onClose: () => undefined, lengthMm: 7, colour: { base: 'red' } } as const;
  const { unmount } = render(
    <InJob view={view}>
      <TrueSize {...props} />
    </InJob>,
  );
  await userEvent.click(screen.getByRole('button', { name: 'It is as wide as the card' }));
  expect(screen.getByRole('dialog', { name: 'Strip 7 mm, true size' })).toBeTruthy();
  unmount();
  render(
    <InJob view={view}>
      <TrueSize {...props} />
    </InJob>,
  );
  expect(screen.queryByText('Set the screen once')).toBeNull();
});

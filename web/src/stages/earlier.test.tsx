import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { EarlierRepair } from '@mendum/core/damage';
import { findingOf, InJob, viewOf } from '../test/job.tsx';
import { standInServer, writesOf } from '../test/server.ts';
import { DecideStage } from './decide/DecideStage.tsx';
import { LayoutStage } from './layout/LayoutStage.tsx';
import { SurveyStage } from './survey/SurveyStage.tsx';

// Nothing is worked out beside the page: the plan that it has is shown.
vi.mock('../app/planner.ts', () => ({ thePlanner: () => ({ board: () => Promise.resolve(undefined) }) }));

const earlier = (id: string, circuitId: string, fromMm: number): EarlierRepair => ({
  id,
  circuitId,
  runId: 'R1',
  kind: 'splice',
  fromMm,
  toMm: fromMm + 36,
  diameterMm: 4.2,
  words: `Sealed butt, job ${id}`,
});
/** Damage at 445 on circuit 1; what was repaired before. */
const jobAfter = (...repairs: readonly EarlierRepair[]) => {
  const view = viewOf([findingOf('F1', { fromMm: 443, toMm: 447, slackMm: 80 })]);
  return { ...view, job: { ...view.job, earlier: repairs } };
};
const onIt = earlier('0126', 'C1', 426);
const besideIt = earlier('0138', 'C2', 460);
const drawn = (): readonly (string | null)[] =>
  [...document.querySelectorAll('[data-earlier]')].map((one) => one.getAttribute('data-earlier'));
const crossed = (): readonly (string | null)[] =>
  [...document.querySelectorAll('[data-earlier]:has(path)')].map((one) => one.getAttribute('data-earlier'));
const reached = () => within(screen.getByRole('region', { name: 'What the layout reached' }));

describe('an old splice at 426, and new damage at 445', () => {
  it('Survey draws it, lists it, and warns at the finding that lies on it; not at one on another wire', () => {
    standInServer({});
    render(
      <InJob view={jobAfter(onIt, besideIt)}>
        <SurveyStage />
      </InJob>,
    );
    expect(drawn()).toEqual(['0126', '0138']);
    expect(screen.getByText(/On an earlier repair: Sealed butt, job 0126, at 426–462 mm/)).toBeTruthy();
    expect(screen.queryByText(/from an earlier repair/)).toBeNull();
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual(
      expect.arrayContaining(['1 at 426–462 mm: Sealed butt, job 0126', '2 at 460–496 mm: Sealed butt, job 0138']),
    );
  });
  it.each([
    ['wet', { repairId: '0126', failed: true, why: 'wet' }],
    ['unknown', { repairId: '0126', failed: true }],
    ['holds', { repairId: '0126', failed: false }],
  ])('Survey asks whether it failed: “%s” is kept with the finding', async (said, kept) => {
    const sent = standInServer({ 'PUT /jobs/job/findings/F1': { body: { version: 2, jobVersion: 2 } } });
    render(
      <InJob view={jobAfter(onIt)}>
        <SurveyStage />
      </InJob>,
    );
    fireEvent.change(screen.getByLabelText('Did it fail?'), { target: { value: said } });
    await waitFor(() => expect(writesOf(sent)).toHaveLength(1));
    expect(writesOf(sent)[0]?.body?.finding).toMatchObject({ id: 'F1', fromMm: 443, earlierSeen: [kept] });
  });
  it('Decide says that it failed, why, and that this would be the same again; its method is marked', () => {
    standInServer({});
    const view = jobAfter({ ...onIt, method: 'Sealed butt' });
    const findings = view.job.findings.map((one) => ({
      ...one,
      earlierSeen: [{ repairId: '0126', failed: true, why: 'wet' as const }],
    }));
    render(
      <InJob view={{ ...view, job: { ...view.job, findings } }}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByText(/Failed here before: Sealed butt, job 0126; water got in\./).textContent).toContain(
      'This would be the same joint again.',
    );
    expect(screen.getAllByText('▲ Failed here before.')).toHaveLength(1);
  });
  it('Lay out crosses out what is cut out, and counts the one that stays', () => {
    standInServer({});
    render(
      <InJob view={jobAfter(onIt, besideIt)}>
        <LayoutStage />
      </InJob>,
    );
    expect(drawn()).toEqual(['0126', '0138']);
    expect(crossed()).toEqual(['0126']);
    expect(screen.getByText('1 earlier splice on this run stays and is counted in.')).toBeTruthy();
    expect(screen.getAllByText(/and an earlier splice at 478 \(Sealed butt, job 0138\) are 21 mm apart/)).toHaveLength(
      2,
    );
    expect(reached().getByText('Proven best')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      '1 at 426–462 mm: Sealed butt, job 0126; cut out',
      '2 at 460–496 mm: Sealed butt, job 0138; stays',
    ]);
  });
  it('and where all of them are cut out nothing is left to be said', () => {
    standInServer({});
    render(
      <InJob view={jobAfter(onIt)}>
        <LayoutStage />
      </InJob>,
    );
    expect(reached().getByText('Proven best')).toBeTruthy();
    expect(screen.queryByText(/counted in/)).toBeNull();
  });
});

import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { knownSections } from '@mendum/core/bundle';
import type { Catalogue } from '@mendum/core/catalogue';
import type { Job } from '@mendum/core/job';
import { NO_WISHES } from '@mendum/core/layout';
import { boardOf, warm } from '@mendum/core/plan';
import type { Practice } from '@mendum/core/practice';
import { circuitOf, findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { SearchesContext, type Searches } from '../searches/searches.ts';
import { CutTable } from './CutTable.tsx';
import { LayoutStage } from './LayoutStage.tsx';

// The planner without a worker: the same work, on the page.
const boards = vi.hoisted(() => ({ come: Promise.resolve() }));
vi.mock('../../app/planner.ts', () => ({
  thePlanner: () => ({
    board: async (job: Job, practice: Practice, catalogue: Catalogue, runId: string) => {
      await boards.come;
      const board = boardOf(job, runId, warm(practice, catalogue));
      return board && { board, sections: knownSections((board.run.wires ?? []).map((wire) => wire.jacketMm)) };
    },
  }),
}));

const two = () =>
  viewOf([findingOf('F1', { slackMm: 0 }), findingOf('F2', { circuitId: 'C2', slackMm: 0, fromMm: 520, toMm: 530 })]);
const handle = (name: RegExp): HTMLElement => screen.getByRole('slider', { name });
const saved = (server: ReturnType<typeof standInServer>) =>
  writesOf(server).at(-1)?.body?.layout as
    { pins: { findingId: string; side: string; centreMm: number }[]; found: unknown[]; atOne: string[] } | undefined;

describe('the cut table', () => {
  it('lists cut points from the connector in reading order, with the figures of the plan', () => {
    standInServer({});
    const view = viewOf([
      findingOf('F1', { fromMm: 700, toMm: 705, slackMm: 0 }),
      findingOf('F2', { circuitId: 'C2', fromMm: 200, toMm: 205, slackMm: 0 }),
    ]);
    const plan = planFor(view);
    render(
      <InJob view={view}>
        <CutTable
          plans={plan.findings}
          run={view.job.harness.runs[0]!}
          live={{ wishes: NO_WISHES, save: () => undefined, unpin: () => undefined }}
          fixed={new Set()}
        />
      </InJob>,
    );
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map((row) => row.querySelector('td')?.textContent)).toEqual(['2 Function 2', '1 Function 1']);
    const second = plan.findings.find((finding) => finding.circuitId === 'C2')!;
    expect(rows[0]?.textContent).toContain(`${second.x1Mm} · ${second.x2Mm}`);
  });
});

describe('the layouts to choose from', () => {
  const card = (name: RegExp): HTMLElement => screen.getByRole('radio', { name });
  const shown = (view = two()) =>
    render(
      <InJob view={view}>
        <LayoutStage />
      </InJob>,
    );
  it('stand side by side with what each takes, before the board has come, and one is taken', () => {
    standInServer({});
    shown();
    expect(screen.getAllByRole('radio').map(({ textContent }) => textContent?.slice(0, 4))).toEqual([
      'Wide',
      'Even',
      'Shor',
    ]);
    expect(card(/^Wide/).getAttribute('aria-checked')).toBe('true');
    expect(card(/^Wide/).textContent).toMatch(/opens \d+ mm · \d+ min4 splices, \d+ mm new wire/);
    expect(card(/^Wide/).textContent).toContain('Taken · Proposed');
    expect(card(/^Even/).textContent).not.toContain('Taken');
  });
  it('say which are still being bettered, how far that is, and end it on a tap', async () => {
    standInServer({});
    const stop = vi.fn();
    const searches: Searches = {
      now: { runId: 'R1', asked: { kind: 'short' }, nth: 2, of: 3, openedMm: undefined },
      isToCome: (_runId, kind) => kind !== 'wide',
      stop,
      again: () => undefined,
    };
    render(
      <InJob view={two()}>
        <SearchesContext value={searches}>
          <LayoutStage />
        </SearchesContext>
      </InJob>,
    );
    expect(card(/^Wide/).textContent).toContain('Proven best');
    for (const name of [/^Even/, /^Short/]) expect(card(name).textContent).toContain('Still being bettered');
    expect(screen.getByText('Looking for a better Short layout, 2 of 3…')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Stop with the best so far' }));
    expect(stop).toHaveBeenCalledOnce();
  });
  it('a tap takes another one for this run, and lets go what was kept', async () => {
    const server = standInServer({ '/jobs/J1/layout': { body: { version: 2 } } });
    shown();
    await userEvent.click(card(/^Short/));
    await waitFor(() => expect(saved(server)).toMatchObject({ chosen: [{ runId: 'R1', kind: 'short' }], found: [] }));
  });
});

describe('the board', () => {
  it('says what is reached level by level, that it is proven, and that nothing breaks a rule', () => {
    standInServer({});
    render(
      <InJob view={two()}>
        <LayoutStage />
      </InJob>,
    );
    expect(screen.getByText('Nothing breaks a rule.')).toBeTruthy();
    const reached = screen.getByRole('region', { name: 'What the layout reached' });
    expect(within(reached).getByText('Proven best')).toBeTruthy();
    expect(screen.getByRole('rowheader', { name: 'Clear between bodies' }).parentElement?.textContent).toContain(
      '40 mm',
    );
    expect(screen.getByText(/thinner than with all splices at one place/)).toBeTruthy();
  });

  it('two splices pinned side by side are a lump, and it says so', () => {
    standInServer({});
    const pins = [
      { findingId: 'F1', side: 'only' as const, centreMm: 506 },
      { findingId: 'F2', side: 'only' as const, centreMm: 510 },
    ];
    render(
      <InJob view={viewOf([findingOf('F1'), findingOf('F2', { circuitId: 'C2' })], { job: { pins } })}>
        <LayoutStage />
      </InJob>,
    );
    expect(screen.getByText('One rule is broken.')).toBeTruthy();
    expect(screen.getAllByText(/lie side by side: a lump/).length).toBeGreaterThan(0);
  });

  it('arrow keys move a splice by 1 mm and with Shift by 10; cuts follow at once, and it is kept as a pin', async () => {
    const server = standInServer({});
    const view = two();
    render(
      <InJob view={view}>
        <LayoutStage />
      </InJob>,
    );
    const before = planFor(view).findings[0]!.splices.find((splice) => splice.side === 'left')!.centreMm;
    // Pressed before the board is there: once is enough.
    fireEvent.keyDown(handle(/Circuit 1 .*left/), { key: 'ArrowLeft' });
    await waitFor(() => expect(handle(/Circuit 1 .*left/).getAttribute('aria-valuetext')).toContain('pinned'));
    const now = (): number => Number(handle(/Circuit 1 .*left/).getAttribute('aria-valuenow'));
    const one = now();
    expect(Math.abs(one - Math.round(before - 1))).toBeLessThanOrEqual(0);
    fireEvent.keyDown(handle(/Circuit 1 .*left/), { key: 'ArrowLeft', shiftKey: true });
    expect(now()).toBe(one - 10);
    expect(
      within(screen.getByRole('table', { name: /Cut points/ })).getByRole('row', { name: /Function 1/ }).textContent,
    ).toContain(String(before - 11));
    await waitFor(
      () => expect(saved(server)?.pins).toEqual([{ findingId: 'F1', side: 'left', centreMm: before - 11 }]),
      { timeout: 5000 },
    );
    expect(saved(server)?.found).toHaveLength(4);
  });

  it('what is moved and let go before the board is there is moved, and saved, once it is', async () => {
    let come: () => void = () => undefined;
    boards.come = new Promise((done) => (come = done));
    const server = standInServer({});
    const view = two();
    render(
      <InJob view={view}>
        <LayoutStage />
      </InJob>,
    );
    const before = planFor(view).findings[0]!.splices.find((splice) => splice.side === 'left')!.centreMm;
    fireEvent.keyDown(handle(/Circuit 1 .*left/), { key: 'ArrowLeft', shiftKey: true });
    // The keys have rested by then, and the splice was let go.
    await new Promise((passed) => setTimeout(passed, 800));
    expect(Number(handle(/Circuit 1 .*left/).getAttribute('aria-valuenow'))).toBe(Math.round(before));
    expect(writesOf(server)).toEqual([]);
    come();
    await waitFor(
      () => expect(saved(server)?.pins).toEqual([{ findingId: 'F1', side: 'left', centreMm: before - 10 }]),
      { timeout: 5000 },
    );
  });

  it('what is dragged into a keep-out stays at its edge', async () => {
    standInServer({});
    render(
      <InJob view={two()}>
        <LayoutStage />
      </InJob>,
    );
    const key = { key: 'ArrowLeft', shiftKey: true };
    await waitFor(() => {
      fireEvent.keyDown(handle(/Circuit 1 .*left/), key);
      expect(handle(/Circuit 1 .*left/).getAttribute('aria-valuetext')).toContain('pinned');
    });
    for (let turn = 0; turn < 60; turn += 1) fireEvent.keyDown(handle(/Circuit 1 .*left/), key);
    // 40 kept at the connector, and half of a body of 36.
    expect(Number(handle(/Circuit 1 .*left/).getAttribute('aria-valuenow'))).toBe(58);
  });

  it('pins are taken out, one or all, and the run is solved again', async () => {
    const server = standInServer({});
    const pinned = two();
    const splices = planFor(pinned).findings.flatMap((finding) => finding.splices);
    const places = splices.map(({ findingId, side, centreMm }) => ({ findingId, side, centreMm }));
    const view = { ...pinned, job: { ...pinned.job, layout: { pins: places.slice(0, 1), atOne: [], found: places } } };
    render(
      <InJob view={view}>
        <LayoutStage />
      </InJob>,
    );
    expect(screen.getByText(/Your layout is kept/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Solve again around my pin' }));
    await waitFor(() => expect(saved(server)).toMatchObject({ pins: places.slice(0, 1), found: [] }));
    await userEvent.click(screen.getByRole('button', { name: /Unpin circuit 1/ }));
    await waitFor(() => expect(saved(server)).toMatchObject({ pins: [] }));
  });

  it('two that one would have done can be kept at one', async () => {
    const server = standInServer({});
    // Three losses at one place with just slack enough: one splice each would lie over the others.
    const circuits = [circuitOf('1'), circuitOf('2'), circuitOf('3')];
    const plain = viewOf(
      circuits.map((circuit, index) => findingOf(`F${index + 1}`, { circuitId: circuit.id, slackMm: 12 })),
    );
    render(
      <InJob view={{ ...plain, job: { ...plain.job, harness: { ...plain.job.harness, circuits } } }}>
        <LayoutStage />
      </InJob>,
    );
    const [keep] = screen.getAllByRole('button', { name: /Keep to one splice/ });
    await userEvent.click(keep!);
    await waitFor(() => expect(saved(server)?.atOne).toHaveLength(1));
  });

  it('what is made already cannot be moved', async () => {
    const server = standInServer({});
    const view = two();
    const splice = planFor(view).findings[0]!.splices[0]!;
    const made = {
      ...view,
      job: {
        ...view.job,
        pins: planFor(view).findings[0]!.splices.map(({ findingId, side, centreMm }) => ({
          findingId,
          side,
          centreMm,
        })),
      },
    };
    render(
      <InJob view={made}>
        <LayoutStage />
      </InJob>,
    );
    await waitFor(() => expect(handle(/Circuit 1 .*left/).getAttribute('aria-disabled')).toBe('true'));
    fireEvent.keyDown(handle(/Circuit 1 .*left/), { key: 'ArrowLeft' });
    expect(Number(handle(/Circuit 1 .*left/).getAttribute('aria-valuenow'))).toBe(Math.round(splice.centreMm));
    expect(writesOf(server)).toEqual([]);
  });
});

describe('a repair that reaches past a branch', () => {
  const branched = () => {
    const view = viewOf([findingOf('F1', { fromMm: 970, toMm: 980, slackMm: 0 })]);
    const [main] = view.job.harness.runs;
    const harness = {
      ...view.job.harness,
      nodes: [...view.job.harness.nodes, { id: 'B1', kind: 'branch' as const, name: 'Branch B1' }],
      runs: [
        { ...main!, toNodeId: 'B1' },
        { ...main!, id: 'R2', name: 'Arm run', fromNodeId: 'B1', lengthMm: 400 },
      ],
      circuits: view.job.harness.circuits.map((circuit) => ({ ...circuit, runIds: ['R1', 'R2'] })),
    };
    return { ...view, job: { ...view.job, harness } };
  };
  it('stands on both runs: here its left splice, with where it goes on, and there its right one', async () => {
    standInServer({});
    render(
      <InJob view={branched()}>
        <LayoutStage />
      </InJob>,
    );
    expect(screen.getAllByRole('slider').map((one) => one.getAttribute('aria-label'))).toEqual([
      'Circuit 1 Function 1, left splice',
    ]);
    const row = (): string =>
      within(screen.getByRole('table', { name: /Cut points/ })).getByRole('row', { name: /Function 1/ }).textContent;
    expect(row()).toContain('goes on past Branch B1');
    await userEvent.click(screen.getByRole('button', { name: 'Arm run, 400 mm, no findings, one splice of others' }));
    expect(screen.getAllByRole('slider').map((one) => one.getAttribute('aria-label'))).toEqual([
      'Circuit 1 Function 1, right splice',
    ]);
    expect(screen.getByRole('columnheader', { name: /from Branch B1/ })).toBeTruthy();
    const plan = planFor(branched()).findings[0]!;
    expect(row()).toContain(String(plan.splices[1]!.cutMm));
    expect(row()).not.toContain(String(plan.x2Mm));
  });
  it('moved on the run where it lies, it is kept with that run', async () => {
    const server = standInServer({});
    render(
      <InJob view={branched()}>
        <LayoutStage />
      </InJob>,
    );
    await userEvent.click(screen.getByRole('button', { name: /^Arm run/ }));
    const before = Number(handle(/right/).getAttribute('aria-valuenow'));
    await waitFor(() => {
      fireEvent.keyDown(handle(/right/), { key: 'ArrowRight', shiftKey: true });
      expect(Number(handle(/right/).getAttribute('aria-valuenow'))).toBeGreaterThan(before);
    });
    await waitFor(() => expect(saved(server)?.pins).toMatchObject([{ findingId: 'F1', side: 'right', runId: 'R2' }]), {
      timeout: 5000,
    });
  });
});

import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '@mendum/core/catalogue';
import type { Finding } from '@mendum/core/damage';
import { READY_PRACTICES } from '@mendum/core/practice';
import type { JobView } from '@mendum/core/operations';
import { findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { onlyChanged } from '../../app/atOnce.ts';
import { Compare } from './Compare.tsx';
import { DecideStage } from './DecideStage.tsx';
import { ElectricalTable } from './ElectricalTable.tsx';
import { OrderOrInstead } from './OrderOrInstead.tsx';
import { Terminals } from './Terminals.tsx';
import { Ways } from './Ways.tsx';
import { WhatIf } from './WhatIf.tsx';

const PRACTICES = {
  '/practices': {
    body: READY_PRACTICES.map((practice) => ({ practice, ready: true, jobs: 0, usual: practice.id === 'crimpFirst' })),
  },
};
const first = (view: JobView) => planFor(view).findings[0]!;
/** A burnt terminal at the end of circuit 1, in a housing that is known. */
function burnt(slackMm = 25): JobView {
  const finding = {
    ...findingOf('F1'),
    kind: 'terminalDamaged',
    sort: 'burnt',
    at: { nodeId: 'X2', cavity: '1' },
    fromMm: 999,
    toMm: 1000,
    slackMm,
  } as Finding;
  const view = viewOf([finding]);
  const nodes = view.job.harness.nodes.map((node) =>
    node.id === 'X2'
      ? { ...node, ways: 2, lock: 'frontLance' as const, fittings: { 1: { terminal: '2.8' as const } } }
      : node,
  );
  return { ...view, job: { ...view.job, harness: { ...view.job.harness, nodes } } };
}
const without = (view: JobView, id: string): JobView => ({
  ...view,
  catalogue: {
    ...FULL_SHELF,
    parts: FULL_SHELF.parts.map((part) => (part.id === id ? { ...part, quantity: 0 } : part)),
  },
});

describe('ways of mending it', () => {
  it('stand in their order, each with its reason and its cost; the refused say what would make them possible', () => {
    render(
      <InJob view={viewOf([findingOf('F1', { slackMm: 5 })])}>
        <Ways finding={first(viewOf([findingOf('F1', { slackMm: 5 })]))} />
      </InJob>,
    );
    const lines = screen.getAllByRole('listitem');
    expect(lines.map((line) => /✓ chosen|✕ refused|✓ possible/.exec(line.textContent ?? '')?.[0])).toEqual([
      '✕ refused',
      '✕ refused',
      '✓ chosen',
    ]);
    expect(lines[1]?.textContent).toContain('Possible if slack were 12 mm.');
    expect(lines[2]?.textContent).toMatch(/2 splices · 8 min · \d+ mm wire/);
  });
  it('another one that is possible is used with a reason', async () => {
    const sent = standInServer({ 'POST /jobs/J/choices': { status: 201, body: {} } });
    render(
      <InJob view={burnt()}>
        <Ways finding={first(burnt())} />
      </InJob>,
    );
    const lead = screen.getAllByRole('listitem').find((line) => line.textContent?.includes('New lead'))!;
    await userEvent.click(within(lead).getByRole('button', { name: 'Use instead' }));
    await userEvent.type(await screen.findByLabelText('Why?'), 'tail is stiff');
    await userEvent.click(screen.getByRole('button', { name: 'Use it, with this reason' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([{ body: { findingId: 'F1', use: 'relead', reason: 'tail is stiff' } }]),
    );
  });
  it('a new terminal shows its part, its strip and what is asked', () => {
    standInServer(PRACTICES);
    render(
      <InJob view={burnt()}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByRole('heading', { name: 'New terminal: 2.8 mm terminal + wire seal 2.2–2.9' })).toBeTruthy();
    expect(screen.getByText(/What burnt it\? Find the cause/)).toBeTruthy();
    expect(screen.getByText('Terminal strip').parentElement?.textContent).toContain('5.0');
  });
});

describe('two methods side by side', () => {
  it('show all figures, and either may be another one', async () => {
    const finding = first(viewOf([findingOf('F1')]));
    render(<Compare finding={finding} a="sealedButt" b="wrappedSolder" onClose={() => undefined} />);
    expect(screen.getByRole('row', { name: /^Strip/ }).textContent).toBe('Strip7 mm15 mm');
    expect(screen.getByText('Allowed if the zone did not vibrate.')).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Second'), 'clipSleeve');
    expect(screen.getByRole('row', { name: /^Part/ }).textContent).toBe('PartSealed butt, middleSplice clip XL');
    expect(screen.getByText('✓ Splice clip + adhesive sleeve may be used as it stands.')).toBeTruthy();
  });
});

describe('what if', () => {
  it('another place, slack, practice or shelf is tried, and nothing is sent', async () => {
    const sent = standInServer(PRACTICES);
    const view = viewOf([findingOf('F1', { slackMm: 5 })]);
    render(
      <InJob view={view}>
        <WhatIf finding={first(view)} onClose={() => undefined} />
      </InJob>,
    );
    const then = screen.getByRole('region', { name: 'Then' });
    expect(then.textContent).toContain('Two splices');
    await userEvent.clear(screen.getByLabelText('Slack'));
    await userEvent.type(screen.getByLabelText('Slack'), '40');
    expect(then.textContent).toContain('One splice: sealed butt, middle');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Sealed butt, middle' }));
    expect(then.textContent).toContain('One splice: splice clip XL');
    await userEvent.selectOptions(screen.getByLabelText('Vibration'), 'none');
    await userEvent.selectOptions(screen.getByLabelText('Moisture'), 'dry');
    await screen.findByRole('option', { name: 'Bench solder' });
    await userEvent.selectOptions(screen.getByLabelText('Practice'), 'benchSolder');
    expect(then.textContent).toContain('wrapped solder');
    expect(writesOf(sent)).toEqual([]);
  });
});

describe('a part that is not there', () => {
  it('what to order, and what stands in for it with what it loses', () => {
    const view = without(viewOf([findingOf('F1')]), 'sealedButt-middle');
    render(<OrderOrInstead finding={first(view)} />);
    const said = screen.getByRole('region', { name: 'What to order, and what to do meanwhile' }).textContent;
    expect(said).toContain('Sealed butt would go first. Order 1 × Sealed butt, middle: 1.04–2.63 mm² an end.');
    expect(said).toContain(
      'Meanwhile: Splice clip + adhesive sleeve. It loses: the built-in seal: a sleeve has to be slid on first; 0.8 mm thicker',
    );
  });
  it('says nothing while the best is there', () => {
    render(<OrderOrInstead finding={first(viewOf([findingOf('F1')]))} />);
    expect(screen.queryByRole('region')).toBeNull();
  });
});

it('the electrical check holds each figure against its limit', () => {
  const view = viewOf([findingOf('F1')]);
  const circuits = view.job.harness.circuits.map((circuit) => ({ ...circuit, loadA: 10, fuseA: 45 }));
  render(
    <ElectricalTable finding={first({ ...view, job: { ...view.job, harness: { ...view.job.harness, circuits } } })} />,
  );
  const line = (name: string) =>
    screen.getAllByRole('listitem').find((one) => one.textContent?.startsWith(name))?.textContent;
  expect(line('Fuse')).toMatch(/Fuse 45 A against \d+(\.\d)? A .*✕ over/);
  expect(line('Voltage drop')).toMatch(/a feed wire may take 0.4 V at 24 V\.✓ in order/);
});

describe('what is planned anew at once', () => {
  const before = viewOf([findingOf('F1'), findingOf('F2', { circuitId: 'C2' })]);
  const change = (job: Partial<JobView['job']>): JobView => ({ ...before, job: { ...before.job, ...job } });
  it.each([
    [
      'one finding changed',
      change({ findings: [before.job.findings[0]!, { ...before.job.findings[1]!, slackMm: 1 }] }),
      'F2',
    ],
    [
      'one choice more',
      change({
        choices: [{ findingId: 'F1', use: 'clipSleeve', reason: 'slim', by: 'Ines', at: '2030-01-01T09:00:00Z' }],
      }),
      'F1',
    ],
    ['nothing changed', change({}), undefined],
    ['two findings changed', change({ findings: before.job.findings.map((finding) => ({ ...finding })) }), undefined],
    ['a finding more', change({ findings: [...before.job.findings, findingOf('F3')] }), undefined],
    ['another harness', change({ harness: { ...before.job.harness } }), undefined],
    ['another practice', { ...before, practice: READY_PRACTICES[1]! }, undefined],
  ])('%s', (_why, now, id) => expect(onlyChanged(before, now)).toBe(id));
});

describe('terminals, ranked', () => {
  it('another one is taken with a reason', async () => {
    const view = burnt();
    const sent = standInServer({ ...PRACTICES, 'POST /jobs/J/choices': { status: 201, body: {} } });
    const bench = { ...view, job: { ...view.job, practice: undefined } };
    const finding = planFor(bench).findings[0]!;
    const other = finding.cavity!.work.terminals[1]!;
    const offered = {
      ...finding,
      cavity: {
        ...finding.cavity!,
        work: {
          ...finding.cavity!.work,
          terminals: [
            finding.cavity!.work.terminals[0]!,
            {
              ...other,
              status: 'allowed' as const,
              part: other.part ?? finding.cavity!.work.terminals[0]!.part,
              attach: 'solder' as const,
            },
          ],
        },
      },
    };
    render(
      <InJob view={bench}>
        <Terminals finding={offered} />
      </InJob>,
    );
    await userEvent.click(screen.getByRole('button', { name: `Use ${other.name} instead` }));
    await userEvent.type(screen.getByLabelText('Why?'), 'as the others');
    await userEvent.click(screen.getByRole('button', { name: 'Use it, with this reason' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        { body: { findingId: 'F1', use: finding.approach, terminal: other.id, reason: 'as the others' } },
      ]),
    );
  });
});

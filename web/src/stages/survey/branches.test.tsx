import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Finding } from '@mendum/core/damage';
import { useFields } from '../../form/useThing.ts';
import { circuitOf, findingOf, viewOf } from '../../test/job.tsx';
import { BranchFields } from './BranchFields.tsx';
import { draftOf, findingsOf, newDraft, type FindingDraft } from './draft.ts';
import { useDraftResolver, type DraftForm } from './draftForm.ts';

const { job } = viewOf([]);
const own = circuitOf('1').wire;
const adding: FindingDraft = { ...newDraft(['C1'], 'R1', 500, 510), kind: 'addCircuit', branchWires: [own] };

function Form({ start, onDraft }: { readonly start: FindingDraft; readonly onDraft: (draft: FindingDraft) => void }) {
  const form: DraftForm = useFields(useDraftResolver(job), start);
  onDraft(form.typed);
  return (
    <BranchFields
      form={form}
      own={own}
      harness={job.harness}
      onChange={(part) => {
        for (const [path, value] of Object.entries(part)) form.set(path, value);
      }}
    />
  );
}

describe('wires that join a circuit', () => {
  it('are added and taken away; one that is added always stays', async () => {
    let last = adding;
    render(
      <Form
        start={adding}
        onDraft={(draft) => {
          last = draft;
        }}
      />,
    );
    expect(screen.queryByRole('button', { name: 'Without this wire' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Add another wire' }));
    expect(last.branchWires).toHaveLength(2);
    await userEvent.click(screen.getAllByRole('button', { name: 'Without this wire' })[0]!);
    expect(last.branchWires).toHaveLength(1);
  });
  it('the main wire may have to stay whole, or a free cavity takes what is added', async () => {
    let last = adding;
    render(
      <Form
        start={adding}
        onDraft={(draft) => {
          last = draft;
        }}
      />,
    );
    await userEvent.click(screen.getByRole('checkbox', { name: 'The main wire must stay whole' }));
    await userEvent.selectOptions(screen.getByLabelText('Or into a free cavity of'), 'X2');
    await userEvent.type(screen.getByLabelText('Which cavity'), '9');
    expect(last).toMatchObject({ mainUncut: true, freeNodeId: 'X2', freeCavity: '9' });
    expect(findingsOf(last, job)).toMatchObject({
      ok: true,
      findings: [{ kind: 'addCircuit', mainUncut: true, freeCavity: { nodeId: 'X2', cavity: '9' } }],
    });
    expect(findingsOf({ ...last, freeCavity: ' ' }, job)).toMatchObject({
      ok: false,
      wrong: { freeCavity: 'Say which cavity is free.' },
    });
  });
  it('an earlier repair may have joined none, and then nothing is said of it', () => {
    render(<Form start={{ ...newDraft(['C1'], 'R1', 500, 510), kind: 'poorRepair' }} onDraft={() => undefined} />);
    expect(screen.getByRole('button', { name: 'Add a wire' })).toBeTruthy();
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(findingsOf({ ...newDraft(['C1'], 'R1', 500, 510), kind: 'poorRepair' }, job)).toMatchObject({
      ok: true,
      findings: [{ kind: 'poorRepair' }],
    });
  });
  it('a finding that is opened again keeps them', () => {
    const tap = { ...findingOf('F1'), kind: 'poorRepair', sort: 'clampTap', branchWires: [own] } as Finding;
    expect(draftOf(tap)).toMatchObject({ branchWires: [own], sort: 'clampTap' });
    const cavity = {
      ...findingOf('F1'),
      kind: 'addCircuit',
      branchWires: [own],
      mainUncut: true,
      freeCavity: { nodeId: 'X1', cavity: '7' },
    } as Finding;
    expect(draftOf(cavity)).toMatchObject({ mainUncut: true, freeNodeId: 'X1', freeCavity: '7' });
  });
  it('wire lost behind a terminal is kept with the finding', () => {
    const draft: FindingDraft = {
      ...newDraft(['C1'], 'R1', undefined, undefined),
      kind: 'terminalDamaged',
      atNodeId: 'X2',
      cutBackLeftMm: '6',
      slackMm: '20',
    };
    expect(findingsOf(draft, job)).toMatchObject({
      ok: true,
      findings: [
        {
          kind: 'terminalDamaged',
          cutBackLeftMm: 6,
          cutBackRightMm: 0,
          slackMm: 20,
          at: { nodeId: 'X2', cavity: '1' },
        },
      ],
    });
    const atStart = findingsOf({ ...draft, atNodeId: 'X1' }, job);
    expect(atStart).toMatchObject({
      ok: true,
      findings: [{ cutBackLeftMm: 0, cutBackRightMm: 6, at: { nodeId: 'X1' } }],
    });
    if (atStart.ok) expect(draftOf(atStart.findings[0]!).cutBackLeftMm).toBe('6');
  });
});

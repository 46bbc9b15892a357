import { FULL_SHELF } from '../catalogue/index.ts';
import { describe, expect, it } from 'vitest';
import type { Job } from '../job/index.ts';
import type { Plan } from '../plan/index.ts';
import type { Check, Reading, ReadingValue } from '../prove/index.ts';
import { jobWith, planOf, WET_SHAKING } from '../test/samples.ts';
import { buildRecords, jobSheet, recordColumns, recordRow, RecordRefused } from './index.ts';

const SIGNED = { by: 'Ines', at: '2030-01-01T12:00:00Z', note: 'done' };
const job: Job = jobWith([{ kind: 'parted', slackMm: 30, temporaryUntil: '2030-03-01' }], { zone: WET_SHAKING });
const plan: Plan = planOf(job);
const splice = plan.findings[0]!.splices[0]!;

const good = (check: Check): ReadingValue | undefined =>
  check.kind === 'look'
    ? { kind: 'look', answer: 'good' }
    : check.kind === 'tug'
      ? { kind: 'tug', newtons: 111, held: true }
      : check.kind === 'resistance'
        ? { kind: 'resistance', milliohm: 0.08 }
        : undefined;
const reading = (checkId: string, value: ReadingValue, make = 1): Reading => ({
  id: `${checkId} ${make}`,
  spliceId: splice.id,
  make,
  checkId,
  value,
  by: 'Marek',
  at: '2030-01-01T11:00:00Z',
});
const allGood = splice.checks.flatMap((check) => {
  const value = good(check);
  return value ? [reading(check.id, value)] : [];
});
const refusal = (readings: readonly Reading[], on: Job = job): string => {
  try {
    buildRecords(on, planOf(on), readings, SIGNED);
  } catch (error) {
    if (error instanceof RecordRefused) return error.message;
    throw error;
  }
  return 'not refused';
};

describe('a record', () => {
  it('is refused without readings, naming the circuit', () =>
    expect(refusal([])).toBe(
      'No readings yet for the splices of circuit 1. Take them in Prove; a record without readings is refused.',
    ));
  it('is refused while a check is open', () => expect(refusal(allGood.slice(1))).toContain('not all passed'));
  it('is refused while one failed', () =>
    expect(refusal([...allGood, reading('tug', { kind: 'tug', newtons: 40, held: false })])).toContain(
      'not all passed',
    ));
  it('is refused behind a closed gate', () =>
    expect(refusal(allGood, { ...job, gate: {} })).toContain('The gate is not open'));
  it('names the lot of each part that has one noted, and of no other', () => {
    const withLots = (lots: Readonly<Record<string, string>>) =>
      buildRecords(job, plan, allGood, SIGNED, undefined, [], {
        ...FULL_SHELF,
        parts: FULL_SHELF.parts.map((part) => ({ ...part, lot: lots[part.id] })),
      })[0]?.materials;
    expect(withLots({ [splice.joint.partId]: 'T-0412' })).toEqual(['Sealed butt, middle, lot T-0412']);
    expect(withLots({ clip: 'T-0412' })).toEqual(['Sealed butt, middle']);
  });
  it('says what was done, where, how, with what, how it read, by whom', () => {
    const [record] = buildRecords(job, plan, allGood, SIGNED);
    expect(record).toMatchObject({
      circuitNumber: '1',
      atMm: 506,
      fromName: 'X1',
      method: 'Sealed butt',
      materials: ['Sealed butt, middle'],
      temporaryUntil: '2030-03-01',
      redos: 0,
      signedBy: 'Ines',
      isolation: 'proved dead with a meter, Ines, 2030-01-01 08:00 UTC',
      practice: { id: 'crimpFirst', version: 1 },
      catalogue: { id: 'full', version: 1 },
    });
    expect(record!.readings.map((one) => [one.title, one.words, one.ruling.verdict])).toContainEqual([
      'Tug',
      '111 N, held',
      'pass',
    ]);
    expect(record!.cautions[0]?.id).toBe('manual');
  });
  it('keeps the failed make of a joint that was made again', () => {
    const again: Job = {
      ...job,
      redos: [
        {
          id: 'R',
          findingId: 'F1',
          lostFromMm: 491,
          lostToMm: 521,
          because: 'let go',
          by: 'Marek',
          at: '2030-01-01T10:30:00Z',
        },
      ],
    };
    const second = allGood.map((one) => ({ ...one, id: `${one.id} again`, make: 2 }));
    const [record] = buildRecords(
      again,
      planOf(again),
      [reading('tug', { kind: 'tug', newtons: 40, held: false }), ...second],
      SIGNED,
    );
    expect(record).toMatchObject({ redos: 1 });
    expect(record!.readings.filter((one) => one.make === 1).map((one) => one.ruling.verdict)).toEqual(['scrap']);
  });
  it('is a row with a cell for every column', () => {
    const [record] = buildRecords(job, plan, allGood, SIGNED);
    const row = recordRow(record!);
    expect(row).toHaveLength(recordColumns.length);
    expect(row[recordColumns.indexOf('at_mm')]).toBe(506);
  });
});

describe('the sheet', () => {
  it('shows the work as it stands before it is signed', () => {
    const sheet = jobSheet(job, plan, allGood.slice(0, 2));
    expect(sheet.lines[0]).toMatchObject({
      circuit: '1 Function 1',
      place: '506 mm from X1',
      standing: 'unproved',
      temporaryUntil: '2030-03-01',
    });
    expect(jobSheet(job, plan, allGood).lines[0]?.standing).toBe('passed');
  });
  it('once signed, it stays what was recorded even if the plan would be another now', () => {
    const records = buildRecords(job, plan, allGood, SIGNED);
    const moved: Job = { ...job, findings: job.findings.map((finding) => ({ ...finding, fromMm: 700, toMm: 712 })) };
    expect(jobSheet(moved, planOf(moved), allGood, records).lines[0]?.place).toBe('506 mm from X1');
  });
  it('names what is left to a person', () => {
    const stuck = jobWith([{ kind: 'parted', fromMm: 20, toMm: 30 }], { lengthMm: 70 });
    expect(jobSheet(stuck, planOf(stuck), []).leftToYou).toMatchObject([
      { circuit: '1 Function 1', what: expect.stringContaining('Nothing is possible as it stands') },
    ]);
  });
  it('at a connector says what was noted, and whether its pigtail is mapped and proved', () => {
    const melted = (note?: string, readings?: boolean): Job => {
      const wires = [
        { cavity: '1', colour: { base: 'blue' as const }, size: { basis: 'metric' as const, areaMm2: 2.5 } },
      ];
      const mappings =
        readings === undefined
          ? undefined
          : [
              {
                nodeId: 'X2',
                pigtail: wires,
                joins: [{ circuitId: 'C1', pigtailCavity: '1' }],
                readings: readings
                  ? [{ cavity: '1', soundsAt: '1', neighbourSounds: false, by: 'Ines', at: '2030-01-01T08:00:00Z' }]
                  : [],
              },
            ];
      return {
        ...jobWith([]),
        ...(mappings ? { mappings } : {}),
        findings: [
          {
            id: 'F1',
            circuitId: 'C1',
            runId: 'R1',
            kind: 'housingMelted',
            at: { nodeId: 'X2', cavity: '1' },
            fromMm: 999,
            toMm: 1000,
            cutBackLeftMm: 0,
            cutBackRightMm: 0,
            ...(note === undefined ? {} : { note }),
          },
        ],
      };
    };
    const left = (of: Job): string => jobSheet(of, planOf(of), []).lines[0]!.note!;
    expect(left(melted())).toBe('X2, cavity 1: housing melted. What was done is not noted.');
    expect(left(melted('Pigtail fitted.', false))).toBe(
      'X2, cavity 1: housing melted. Pigtail fitted. Pigtail mapped by cavity, continuity not proved yet.',
    );
    expect(left(melted('Pigtail fitted.', true))).toContain('continuity proved.');
  });
});

describe('the record of a splice past a branch', () => {
  const base = jobWith([{ kind: 'parted', fromMm: 775, toMm: 785, slackMm: 0 }], {
    zone: WET_SHAKING,
    lengthMm: 800,
    circuits: [{ runIds: ['R1', 'R2'] }],
  });
  const [trunk] = base.harness.runs;
  const far: Job = {
    ...base,
    harness: {
      ...base.harness,
      runs: [
        { ...trunk!, toNodeId: 'B1' },
        { ...trunk!, id: 'R2', name: 'Arm', fromNodeId: 'B1', lengthMm: 400 },
      ],
      nodes: [...base.harness.nodes, { id: 'B1', kind: 'branch', name: 'Branch B1' }],
    },
  };
  const planned = planOf(far);
  const all = planned.findings[0]!.splices.flatMap((one) =>
    one.checks.flatMap((check): Reading[] => {
      const value = good(check);
      return value ? [{ ...reading(check.id, value), id: `${one.id} ${check.id}`, spliceId: one.id }] : [];
    }),
  );
  it('says the run on which it lies and from where it is measured; so does the sheet', () => {
    expect(buildRecords(far, planned, all, SIGNED).map((record) => [record.run, record.fromName, record.atMm])).toEqual(
      [
        ['Main run', 'X1', planned.findings[0]!.splices[0]!.centreMm],
        ['Arm', 'Branch B1', planned.findings[0]!.splices[1]!.centreMm],
      ],
    );
    expect(jobSheet(far, planned, all).lines.map((line) => line.place.replace(/^\d+ /, ''))).toEqual([
      'mm from X1',
      'mm from Branch B1',
    ]);
  });
});

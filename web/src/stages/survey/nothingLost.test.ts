import { describe, expect, it, test } from 'vitest';
import {
  CAVITY_FINDING_KINDS,
  damageOf,
  FINDING_KINDS,
  NOTED,
  type EarlierSeen,
  type CavityFindingKind,
  type Finding,
  type FindingKind,
  type OwnField,
} from '@mendum/core/damage';
import type { Job } from '@mendum/core/job';
import type { WireSpec } from '@mendum/core/wire';
import { viewOf } from '../../test/job.tsx';
import { draftOf, findingsOf } from './draft.ts';

/** A thing with every field that its type has: the compiler fails where one is missing. */
type Whole<T> = { readonly [K in keyof T]-?: Exclude<T[K], undefined> };

const WIRE: Whole<WireSpec> = {
  size: { basis: 'awg', awg: 14 },
  conductor: { kind: 'stranded', strands: 19 },
  jacket: { material: 'etfe', wall: 'general', outerDiameterMm: 3.3 },
  colour: { base: 'green', stripe: 'yellow' },
};
/** The members of the union that may be of a kind. */
type Of<K extends FindingKind> = Finding extends infer F
  ? F extends { readonly kind: infer Kinds }
    ? K extends Kinds
      ? F
      : never
    : never
  : never;
const JOB: Job = { ...viewOf([]).job, findings: [] };

/** Whatever may be noted of a finding, each as its sort asks it. */
const NOTES = Object.fromEntries(
  Object.entries<OwnField>(NOTED).map(([name, { type, options }]) => [
    name,
    type === 'date' ? '2031-02-03' : (Object.keys(options ?? {})[0] ?? `seen as ${name}`),
  ]),
) as Readonly<Record<keyof typeof NOTED, string>>;

const RECORDS: readonly string[] = ['record-1'];
const SEEN: readonly EarlierSeen[] = [{ repairId: 'A', failed: true, why: 'wet' }];
const base = {
  id: 'F',
  circuitId: 'C1',
  runId: 'R1',
  fromMm: 300,
  toMm: 330,
  cutBackLeftMm: 3,
  cutBackRightMm: 4,
  slackMm: 12,
  freedEndMm: 5.2,
  farWire: WIRE,
  insertWire: { ...WIRE, colour: { base: 'pink' } },
  makesGood: RECORDS,
  earlierSeen: SEEN,
  ...NOTES,
} as const;
const at = { nodeId: 'X1', cavity: '1' };
const atEnd = { ...base, fromMm: 0, toMm: 1, cutBackLeftMm: 0, at };
const more = {
  strandsLost: { strandsLost: 3, strandsTotal: 19 },
  addCircuit: {
    branchWires: [WIRE],
    mainUncut: true,
    freeCavity: { nodeId: 'X2', cavity: '14' },
    otherEnd: { nodeId: 'X1', cavity: '13' },
    addedMm: 900,
    addedLoadA: 2,
    addedFuseA: 5,
  },
  poorRepair: { branchWires: [WIRE] },
};
const sortOf = (kind: FindingKind): string => Object.keys(damageOf(kind).sorts ?? { none: '' })[0]!;

/** A finding of every kind with every field of its type. */
const FULL: { readonly [K in FindingKind]: Whole<Of<K>> } = {
  jacketRubbed: { ...base, kind: 'jacketRubbed', sort: '' },
  parted: { ...base, kind: 'parted', sort: '' },
  brokenInside: { ...base, kind: 'brokenInside', sort: '' },
  corroded: { ...base, kind: 'corroded', sort: '' },
  cooked: { ...base, kind: 'cooked', sort: '' },
  strandsLost: { ...base, ...more.strandsLost, kind: 'strandsLost', sort: '' },
  poorRepair: { ...base, ...more.poorRepair, kind: 'poorRepair', sort: sortOf('poorRepair') },
  addCircuit: { ...base, ...more.addCircuit, kind: 'addCircuit', sort: '' },
  ...(Object.fromEntries(
    CAVITY_FINDING_KINDS.map((kind) => [
      kind,
      {
        ...atEnd,
        kind,
        sort: sortOf(kind),
        ...(kind === 'tooShort' ? { shortByMm: 40 } : {}),
        ...(kind === 'cavityDamaged' ? { otherCavity: '14' } : {}),
      },
    ]),
  ) as { readonly [K in CavityFindingKind]: Whole<Of<K>> }),
};
/** A sort belongs to kinds that have sorts. */
const stored = (kind: FindingKind): Finding => {
  const { sort, ...finding } = FULL[kind];
  return damageOf(kind).sorts ? { ...finding, sort } : finding;
};

describe('a finding opened and saved', () => {
  test.each(FINDING_KINDS)('%s keeps every field that it has', (kind) => {
    const finding = stored(kind);
    const result = findingsOf(draftOf(finding), JOB);
    expect(result.ok ? result.findings[0] : result.wrong).toEqual(finding);
  });
  it('keeps a field that the form has never heard of', () => {
    const finding = { ...stored('parted'), weather: 'rain' } as unknown as Finding;
    const result = findingsOf(draftOf(finding), JOB);
    expect(result.ok && result.findings[0]).toEqual(finding);
  });
  it('lets go of what is emptied', () => {
    const result = findingsOf({ ...draftOf(stored('parted')), slackMm: '', noted: {}, insertWire: undefined }, JOB);
    expect(result.ok && Object.keys(result.findings[0]!)).not.toEqual(expect.arrayContaining(['slackMm']));
    expect(result.ok && result.findings[0]).not.toHaveProperty('insertWire');
  });
});

import { v4 as uuid } from 'uuid';
import {
  branchesOf,
  checkFinding,
  checkOverlap,
  endOfCircuit,
  FINDING_SORTS,
  isAtCavity,
  isCavityKind,
  type Circuit,
  type Finding,
  type FindingKind,
  type Job,
  type JobProblem,
  type WireSpec,
} from '@mendum/core';
import { restOf } from '../../ui/rest.ts';
import { numberOf } from '../../ui/typed.ts';

/** A finding as it is being typed: text until it is checked. Lengths in mm. */
export interface Draft {
  readonly id: string;
  readonly circuitIds: readonly string[];
  readonly runId: string;
  readonly kind: FindingKind;
  readonly fromMm: string;
  readonly toMm: string;
  readonly cutBackLeftMm: string;
  readonly cutBackRightMm: string;
  readonly slackMm: string;
  readonly freedEndMm: string;
  readonly strandsLost: string;
  readonly strandsTotal: string;
  /** What exactly, for kinds of which there are several sorts. */
  readonly sort: string;
  /** Connector or end at which a cavity finding is. */
  readonly atNodeId: string;
  readonly shortByMm: string;
  readonly branchWires: readonly WireSpec[];
  readonly mainUncut: boolean;
  /** A free cavity that takes what is added, in place of a joint. */
  readonly freeNodeId: string;
  readonly freeCavity: string;
  readonly farWire: WireSpec | undefined;
  /** The wire asked for as an insert. */
  readonly insertWire: WireSpec | undefined;
  /** What of a finding that is edited has no field here: it is kept as it is. */
  readonly rest: Readonly<Record<string, unknown>>;
  readonly temporaryUntil: string;
  readonly note: string;
}

const shown = (value: number | undefined): string => (value === undefined ? '' : String(value));

/** A new draft on some circuits and a stretch. */
export function newDraft(
  circuitIds: readonly string[],
  runId: string,
  fromMm: number | undefined,
  toMm: number | undefined,
): Draft {
  return {
    id: uuid(),
    circuitIds,
    runId,
    kind: 'parted',
    fromMm: shown(fromMm),
    toMm: shown(toMm),
    cutBackLeftMm: '0',
    cutBackRightMm: '0',
    slackMm: '',
    freedEndMm: '',
    strandsLost: '',
    strandsTotal: '',
    sort: '',
    atNodeId: '',
    shortByMm: '',
    branchWires: [],
    mainUncut: false,
    freeNodeId: '',
    freeCavity: '',
    farWire: undefined,
    insertWire: undefined,
    rest: {},
    temporaryUntil: '',
    note: '',
  };
}

/** What the form has fields for, of every kind of finding. */
const MADE_HERE = [
  'id',
  'circuitId',
  'runId',
  'kind',
  'fromMm',
  'toMm',
  'cutBackLeftMm',
  'cutBackRightMm',
  'slackMm',
  'freedEndMm',
  'farWire',
  'insertWire',
  'temporaryUntil',
  'note',
  'sort',
  'at',
  'shortByMm',
  'strandsLost',
  'strandsTotal',
  'branchWires',
  'mainUncut',
  'freeCavity',
] as const;

/** The draft of a finding that is there. */
export function draftOf(finding: Finding): Draft {
  return {
    id: finding.id,
    circuitIds: [finding.circuitId],
    runId: finding.runId,
    kind: finding.kind,
    fromMm: shown(finding.fromMm),
    toMm: shown(finding.toMm),
    cutBackLeftMm: shown(isAtCavity(finding) ? finding.cutBackLeftMm + finding.cutBackRightMm : finding.cutBackLeftMm),
    cutBackRightMm: shown(finding.cutBackRightMm),
    slackMm: shown(finding.slackMm),
    freedEndMm: shown(finding.freedEndMm),
    strandsLost: finding.kind === 'strandsLost' ? shown(finding.strandsLost) : '',
    strandsTotal: finding.kind === 'strandsLost' ? shown(finding.strandsTotal) : '',
    sort: finding.sort ?? '',
    atNodeId: isAtCavity(finding) ? finding.at.nodeId : '',
    shortByMm: finding.kind === 'tooShort' ? shown(finding.shortByMm) : '',
    branchWires: branchesOf(finding),
    mainUncut: finding.kind === 'addCircuit' && finding.mainUncut === true,
    freeNodeId: finding.kind === 'addCircuit' ? (finding.freeCavity?.nodeId ?? '') : '',
    freeCavity: finding.kind === 'addCircuit' ? (finding.freeCavity?.cavity ?? '') : '',
    farWire: finding.farWire,
    insertWire: finding.insertWire,
    rest: restOf(finding, MADE_HERE),
    temporaryUntil: finding.temporaryUntil ?? '',
    note: finding.note ?? '',
  };
}

/** What is wrong with a draft, by field; `job` is for what concerns no field of its own. */
export type Wrongs = Readonly<Record<string, string>>;

export type DraftResult =
  { readonly ok: true; readonly findings: readonly Finding[] } | { readonly ok: false; readonly wrong: Wrongs };

const MUST = ['fromMm', 'toMm', 'cutBackLeftMm', 'cutBackRightMm'] as const;

const fieldOf = (problem: JobProblem): string => problem.pointer.split('/')[2] ?? 'job';

function build(draft: Draft, circuitId: string, id: string, { harness }: Job): Finding {
  const optional = (text: string): { readonly value?: number } => (text.trim() === '' ? {} : { value: numberOf(text) });
  const slack = optional(draft.slackMm).value;
  const freed = optional(draft.freedEndMm).value;
  const base = {
    ...draft.rest,
    id,
    circuitId,
    runId: draft.runId,
    fromMm: numberOf(draft.fromMm),
    toMm: numberOf(draft.toMm),
    cutBackLeftMm: numberOf(draft.cutBackLeftMm),
    cutBackRightMm: numberOf(draft.cutBackRightMm),
    ...(slack === undefined ? {} : { slackMm: slack }),
    ...(freed === undefined ? {} : { freedEndMm: freed }),
    ...(draft.farWire ? { farWire: draft.farWire } : {}),
    ...(draft.insertWire ? { insertWire: draft.insertWire } : {}),
    ...(draft.temporaryUntil === '' ? {} : { temporaryUntil: draft.temporaryUntil }),
    ...(draft.note.trim() === '' ? {} : { note: draft.note.trim() }),
    ...(draft.sort !== '' && FINDING_SORTS[draft.kind]?.[draft.sort] !== undefined ? { sort: draft.sort } : {}),
  };
  if (draft.kind === 'strandsLost')
    return {
      ...base,
      kind: draft.kind,
      strandsLost: numberOf(draft.strandsLost),
      strandsTotal: numberOf(draft.strandsTotal),
    };
  if (draft.kind === 'addCircuit')
    return {
      ...base,
      kind: draft.kind,
      branchWires: draft.branchWires,
      ...(draft.mainUncut ? { mainUncut: true } : {}),
      ...(draft.freeNodeId === '' ? {} : { freeCavity: { nodeId: draft.freeNodeId, cavity: draft.freeCavity.trim() } }),
    };
  if (draft.kind === 'poorRepair')
    return { ...base, kind: draft.kind, ...(draft.branchWires.length === 0 ? {} : { branchWires: draft.branchWires }) };
  if (isCavityKind(draft.kind)) {
    const circuit = harness.circuits.find((one) => one.id === circuitId);
    const { cavity = '', ...place } = (circuit && endOfCircuit(circuit, harness.runs, draft.atNodeId)) ?? {
      runId: draft.runId,
      fromMm: 0,
      toMm: 1,
    };
    const behindMm = Number.isFinite(base.cutBackLeftMm) ? base.cutBackLeftMm : 0;
    // What is lost behind a terminal lies inward from its end of the run.
    const inward =
      place.fromMm === 0
        ? { cutBackLeftMm: 0, cutBackRightMm: behindMm }
        : { cutBackLeftMm: behindMm, cutBackRightMm: 0 };
    const here = { ...base, ...place, ...inward, at: { nodeId: draft.atNodeId, cavity } };
    return draft.kind === 'tooShort'
      ? { ...here, kind: draft.kind, shortByMm: numberOf(draft.shortByMm) }
      : { ...here, kind: draft.kind };
  }
  return { ...base, kind: draft.kind };
}

/** Checks a draft and makes its findings, one for each circuit; the first keeps the draft's id. */
export function findingsOf(draft: Draft, job: Job): DraftResult {
  const wrong: Record<string, string> = {};
  const atCavity = isCavityKind(draft.kind);
  if (!atCavity)
    for (const key of MUST) if (!Number.isFinite(numberOf(draft[key]))) wrong[key] = 'Give a length in mm.';
  for (const key of ['slackMm', 'freedEndMm'] as const) {
    if (draft[key].trim() !== '' && !(numberOf(draft[key]) >= 0))
      wrong[key] = 'Give a length of 0 mm or more, or leave it empty.';
  }
  for (const key of ['cutBackLeftMm', 'cutBackRightMm'] as const)
    if (numberOf(draft[key]) < 0) wrong[key] = 'A cut-back is 0 mm or more.';
  if (atCavity && draft.atNodeId === '') wrong.at = 'Say at which connector.';
  if (draft.kind === 'tooShort' && !(numberOf(draft.shortByMm) > 0))
    wrong.shortByMm = 'Give what it lacks, above 0 mm.';
  if (draft.circuitIds.length === 0) wrong.circuitId = 'Pick the circuit that it is on.';
  if (draft.kind === 'strandsLost') {
    for (const key of ['strandsLost', 'strandsTotal'] as const) {
      const count = numberOf(draft[key]);
      if (!Number.isInteger(count) || count < 1) wrong[key] = 'Count the strands: a whole number from 1.';
    }
  }
  if (draft.kind === 'addCircuit' && draft.freeNodeId !== '' && draft.freeCavity.trim() === '')
    wrong.freeCavity = 'Say which cavity is free.';
  if (draft.kind === 'addCircuit' && draft.branchWires.length === 0) wrong.branchWires = 'Say which wire is added.';
  if (Object.keys(wrong).length > 0) return { ok: false, wrong };
  const findings = draft.circuitIds.map((circuitId, index) =>
    build(draft, circuitId, index === 0 ? draft.id : uuid(), job),
  );
  for (const finding of findings) {
    for (const problem of [
      ...checkFinding(finding, job, '/finding'),
      ...checkOverlap(finding, job.findings, '/finding'),
    ]) {
      wrong[fieldOf(problem)] ??= `${problem.message} ${problem.hint}`;
    }
  }
  return Object.keys(wrong).length > 0 ? { ok: false, wrong } : { ok: true, findings };
}

/** The runs that every picked circuit goes through. */
export const runsOf = (circuits: readonly Circuit[], circuitIds: readonly string[]): ReadonlySet<string> => {
  const picked = circuits.filter((circuit) => circuitIds.includes(circuit.id));
  const [first] = picked;
  return new Set((first?.runIds ?? []).filter((id) => picked.every((circuit) => circuit.runIds.includes(id))));
};

/** Where every picked circuit ends: the connectors at which a cavity finding can be. */
export const endsOf = (circuits: readonly Circuit[], circuitIds: readonly string[]): ReadonlySet<string> => {
  const picked = circuits.filter((circuit) => circuitIds.includes(circuit.id));
  const [first] = picked;
  return new Set(
    (first ? [first.from.nodeId, first.to.nodeId] : []).filter((id) =>
      picked.every((circuit) => circuit.from.nodeId === id || circuit.to.nodeId === id),
    ),
  );
};

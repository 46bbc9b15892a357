import { v4 as uuid } from 'uuid';
import {
  branchesOf,
  damageOf,
  endOfCircuit,
  isAtCavity,
  isCavityKind,
  NOTED,
  NOTED_NAMES,
  ownFieldsOf,
  type Finding,
  type FindingKind,
  type OwnField,
} from '@mendum/core/damage';
import { checkFinding, checkOverlap, type Job, type JobProblem } from '@mendum/core/job';
import type { WireSpec } from '@mendum/core/wire';
import { findingSchema } from '@mendum/core/schemas';
import { judged, type Wrongs } from '../../form/resolver.ts';
import { restOf } from '../../ui/rest.ts';
import { numberOf } from '../../ui/typed.ts';

/** Where it is, as it is typed; lengths in mm. */
interface DraftPlace {
  readonly circuitIds: readonly string[];
  readonly runId: string;
  readonly fromMm: string;
  readonly toMm: string;
  readonly cutBackLeftMm: string;
  readonly cutBackRightMm: string;
  readonly slackMm: string;
  readonly freedEndMm: string;
  /** Connector or end at which a cavity finding is. */
  readonly atNodeId: string;
}

/** What exactly, as far as only some kinds ask it. */
interface DraftOwn {
  /** One of the kind's sorts. */
  readonly sort: string;
  /** Figures that only its kind has, by name. */
  readonly own: Readonly<Record<string, string>>;
  readonly branchWires: readonly WireSpec[];
  readonly mainUncut: boolean;
  /** A free cavity that takes what is added, in place of a joint. */
  readonly freeNodeId: string;
  readonly freeCavity: string;
  /** Where a wire that is added ends: its node, and its cavity or place there. */
  readonly otherEnd: string;
  readonly otherPlace: string;
}

/** A finding as it is being typed: text until it is checked. */
export interface FindingDraft extends DraftPlace, DraftOwn {
  readonly id: string;
  readonly kind: FindingKind;
  readonly farWire: WireSpec | undefined;
  /** The wire asked for as an insert. */
  readonly insertWire: WireSpec | undefined;
  /** What of a finding that is edited has no field here: it is kept as it is. */
  readonly rest: Readonly<Record<string, unknown>>;
  /** What is noted beside the figures, by name. */
  readonly noted: Readonly<Record<string, string>>;
}

const shown = (value: number | undefined): string => (value === undefined ? '' : String(value));

/** A new draft on some circuits and a stretch. */
export function newDraft(
  circuitIds: readonly string[],
  runId: string,
  fromMm: number | undefined,
  toMm: number | undefined,
): FindingDraft {
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
    own: {},
    sort: '',
    atNodeId: '',
    branchWires: [],
    mainUncut: false,
    freeNodeId: '',
    freeCavity: '',
    otherEnd: '',
    otherPlace: '',
    farWire: undefined,
    insertWire: undefined,
    rest: {},
    noted: {},
  };
}

const FIGURES: readonly OwnField['type'][] = ['count', 'length', 'amps'];

/** The figures that a kind has of its own: each is typed in a field of its own. */
export const figuresOf = (kind: FindingKind): readonly (readonly [name: string, field: OwnField])[] =>
  Object.entries(ownFieldsOf(kind)).filter(([, { type }]) => FIGURES.includes(type));

/** What a kind asks for in words: the name of another cavity. */
export const wordsOf = (kind: FindingKind): readonly (readonly [name: string, field: OwnField])[] =>
  Object.entries(ownFieldsOf(kind)).filter(([, { type }]) => type === 'ofSame');

/** Figures and words of a finding as text, by name. */
function textsOf(finding: Finding, names: readonly string[]): Readonly<Record<string, string>> {
  const values: Readonly<Record<string, unknown>> = { ...finding };
  return Object.fromEntries(
    names.map((name) => {
      const value = values[name];
      return [name, typeof value === 'number' || typeof value === 'string' ? String(value) : ''];
    }),
  );
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
  'sort',
  'at',
] as const;

/** The draft of a finding that is there. */
export function draftOf(finding: Finding): FindingDraft {
  const all: Readonly<Record<string, unknown>> = { ...finding };
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
    own: textsOf(
      finding,
      [...figuresOf(finding.kind), ...wordsOf(finding.kind)].map(([name]) => name),
    ),
    sort: finding.sort ?? '',
    atNodeId: isAtCavity(finding) ? finding.at.nodeId : '',
    branchWires: branchesOf(finding),
    mainUncut: 'mainUncut' in finding && finding.mainUncut === true,
    freeNodeId: 'freeCavity' in finding ? (finding.freeCavity?.nodeId ?? '') : '',
    freeCavity: 'freeCavity' in finding ? (finding.freeCavity?.cavity ?? '') : '',
    otherEnd: 'otherEnd' in finding ? (finding.otherEnd?.nodeId ?? '') : '',
    otherPlace: 'otherEnd' in finding ? (finding.otherEnd?.cavity ?? '') : '',
    farWire: finding.farWire,
    insertWire: finding.insertWire,
    rest: restOf(all, [...MADE_HERE, ...NOTED_NAMES, ...Object.keys(ownFieldsOf(finding.kind))]),
    noted: textsOf(finding, NOTED_NAMES),
  };
}

/** What is wrong is said by field; under `root`, what concerns no field of its own. */
export type DraftResult =
  { readonly ok: true; readonly findings: readonly Finding[] } | { readonly ok: false; readonly wrong: Wrongs };

const fieldOf = (problem: JobProblem): string => problem.pointer.split('/')[2] ?? 'root';

/** What is written of some fields; those left empty are not there. */
const written = (texts: Readonly<Record<string, string>>, names: readonly string[]): object =>
  Object.fromEntries(
    names.flatMap((name) => {
      const word = texts[name]?.trim() ?? '';
      return word === '' ? [] : [[name, word]];
    }),
  );

/** The fields that a kind has of its own, as they are typed and picked. */
function ownBuilt(draft: FindingDraft): object {
  const has = ownFieldsOf(draft.kind);
  const figures = figuresOf(draft.kind).flatMap(([name, { required }]) => {
    const typed = draft.own[name] ?? '';
    return !required && typed.trim() === '' ? [] : [[name, numberOf(typed)] as const];
  });
  return {
    ...Object.fromEntries(figures),
    ...written(
      draft.own,
      wordsOf(draft.kind).map(([name]) => name),
    ),
    ...(has.branchWires && (has.branchWires.required || draft.branchWires.length > 0)
      ? { branchWires: draft.branchWires }
      : {}),
    ...(has.mainUncut && draft.mainUncut ? { mainUncut: true } : {}),
    ...(has.freeCavity && draft.freeNodeId !== ''
      ? { freeCavity: { nodeId: draft.freeNodeId, cavity: draft.freeCavity.trim() } }
      : {}),
    ...(has.otherEnd && draft.otherEnd !== ''
      ? { otherEnd: { nodeId: draft.otherEnd, cavity: draft.otherPlace.trim() } }
      : {}),
  };
}

function build(draft: FindingDraft, circuitId: string, id: string, { harness }: Job): Finding {
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
    ...written(draft.noted, NOTED_NAMES),
    ...(draft.sort !== '' && damageOf(draft.kind).sorts?.[draft.sort] !== undefined ? { sort: draft.sort } : {}),
    ...ownBuilt(draft),
  };
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
    return { ...here, kind: draft.kind } as Finding;
  }
  return { ...base, kind: draft.kind } as Finding;
}

/** What has to be picked, and is not. */
function unpicked(draft: FindingDraft): Wrongs {
  const has = ownFieldsOf(draft.kind);
  return {
    ...(draft.circuitIds.length === 0 ? { circuitId: 'Pick the circuit that it is on.' } : {}),
    ...(isCavityKind(draft.kind) && draft.atNodeId === '' ? { at: 'Say at which connector.' } : {}),
    ...(has.freeCavity && draft.freeNodeId !== '' && draft.freeCavity.trim() === ''
      ? { freeCavity: has.freeCavity.wanted }
      : {}),
    ...(has.otherEnd && draft.otherEnd !== '' && draft.otherPlace.trim() === ''
      ? { otherPlace: has.otherEnd.wanted }
      : {}),
    ...(has.branchWires?.required && draft.branchWires.length === 0 ? { branchWires: has.branchWires.wanted } : {}),
  };
}

/** A finding as its schema takes it, or what it says against it; a field of a kind's own has words of its own. */
function checked(finding: object, kind: FindingKind): { readonly finding: Finding; readonly wrong: Wrongs } {
  const { made, wrong } = judged<Finding>(findingSchema, finding);
  const own: Readonly<Record<string, OwnField>> = { ...ownFieldsOf(kind), ...NOTED };
  const byField = Object.entries(wrong).map(([path, message]) => {
    const [name = 'root'] = path.split('.');
    return [name, own[name]?.wanted ?? message];
  });
  return { finding: made, wrong: Object.fromEntries(byField) as Wrongs };
}

/** Checks a draft and makes its findings, one for each circuit; the first keeps the draft's id. */
export function findingsOf(draft: FindingDraft, job: Job): DraftResult {
  const [first = '', ...others] = draft.circuitIds;
  const made = [first, ...others].map((circuitId, index) =>
    checked(build(draft, circuitId, index === 0 ? draft.id : uuid(), job), draft.kind),
  );
  const findings = made.map(({ finding }) => finding);
  const wrong: Record<string, string> = { ...made[0]?.wrong, ...unpicked(draft) };
  if (Object.keys(wrong).length > 0) return { ok: false, wrong };
  for (const finding of findings) {
    for (const problem of [
      ...checkFinding(finding, job, '/finding'),
      ...checkOverlap(finding, job.findings, job.harness, '/finding'),
    ]) {
      wrong[fieldOf(problem)] ??= `${problem.message} ${problem.hint}`;
    }
  }
  return Object.keys(wrong).length > 0 ? { ok: false, wrong } : { ok: true, findings };
}

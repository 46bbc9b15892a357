import { EntitySchema } from 'typeorm';
import { NO_WISHES } from '@mendum/core/layout';
import { atVersion, inChain, json, key, ofHarness, ofJob, optional, real, text, whole } from './columns.ts';
import { PARCEL_ENTITIES } from './parcelEntities.ts';
import { FacePhotoEntity, PhotoEntity } from './photoEntities.ts';
import { TodoEntity } from './todoEntities.ts';
import { AccountEntity, SignInEntity } from './peopleEntities.ts';
import type * as Rows from './rows.ts';

export const MachineEntity = new EntitySchema<Rows.MachineRow>({
  name: 'machine',
  columns: { id: key, name: text, kind: text, systemVoltageV: real },
});
export const HarnessEntity = new EntitySchema<Rows.HarnessRow>({
  name: 'harness',
  columns: {
    id: key,
    machineId: text,
    name: text,
    version: { ...whole, default: 1 },
    keptFor: optional(text),
    placed: optional(json),
    cables: { ...json, default: '[]' },
    sources: optional(json),
  },
  foreignKeys: [{ target: 'machine', columnNames: ['machineId'], referencedColumnNames: ['id'] }],
});

export const NodeEntity = new EntitySchema<Rows.NodeRow>({
  name: 'node',
  columns: {
    harnessId: key,
    id: key,
    position: whole,
    kind: text,
    name: text,
    ways: optional(whole),
    face: optional(json),
    identity: optional(json),
    lock: optional(text),
    fittings: optional(json),
  },
  foreignKeys: ofHarness,
});
export const RunEntity = new EntitySchema<Rows.RunRow>({
  name: 'run',
  columns: {
    harnessId: key,
    id: key,
    position: whole,
    name: text,
    fromNodeId: text,
    toNodeId: text,
    lengthMm: real,
    atLeast: { type: 'boolean', default: false },
    conduitInsideMm: optional(real),
    zone: json,
    features: json,
  },
  foreignKeys: ofHarness,
});
export const CircuitEntity = new EntitySchema<Rows.CircuitRow>({
  name: 'circuit',
  columns: {
    harnessId: key,
    id: key,
    position: whole,
    number: text,
    function: text,
    kind: text,
    areaMm2: real,
    colourBase: text,
    fromNodeId: text,
    fromCavity: text,
    toNodeId: text,
    toCavity: text,
    fuseA: optional(real),
    loadA: optional(real),
    shield: optional(json),
    pairWith: optional(text),
    remark: optional(text),
    wire: json,
    runIds: json,
  },
  uniques: [{ name: 'one_circuit_per_number', columns: ['harnessId', 'number'] }],
  foreignKeys: ofHarness,
});
export const JobEntity = new EntitySchema<Rows.JobRow>({
  name: 'job',
  columns: {
    id: key,
    number: { ...text, unique: true },
    title: text,
    harnessId: text,
    practiceId: text,
    status: text,
    openedOn: text,
    gate: json,
    mappings: { ...json, default: '[]' },
    functions: { ...json, default: '[]' },
    held: { ...json, default: '[]' },
    earlier: { ...json, default: '[]' },
    earlierEnds: { ...json, default: '[]' },
    layout: { ...json, default: JSON.stringify(NO_WISHES) },
    version: whole,
    createdBy: text,
    createdAt: text,
    updatedAt: text,
  },
  indices: [
    { name: 'job_by_change', columns: ['updatedAt', 'id'] },
    { name: 'job_by_harness', columns: ['harnessId'] },
  ],
  foreignKeys: ofHarness,
});
export const FindingEntity = new EntitySchema<Rows.FindingRow>({
  name: 'finding',
  columns: {
    jobId: key,
    id: key,
    position: whole,
    circuitId: text,
    runId: text,
    kind: text,
    fromMm: real,
    toMm: real,
    body: json,
    version: whole,
  },
  foreignKeys: ofJob,
});
export const ChoiceEntity = new EntitySchema<Rows.ChoiceRow>({
  name: 'choice',
  columns: {
    id: key,
    jobId: text,
    findingId: text,
    use: optional(text),
    terminal: optional(text),
    reason: text,
    by: text,
    at: text,
    jobVersion: atVersion,
  },
  foreignKeys: ofJob,
});
export const PinEntity = new EntitySchema<Rows.PinRow>({
  name: 'pin',
  columns: { jobId: key, findingId: key, side: key, centreMm: real, runId: optional(text) },
  foreignKeys: ofJob,
});
export const TickEntity = new EntitySchema<Rows.TickRow>({
  name: 'tick',
  columns: {
    jobId: key,
    stepId: key,
    spliceId: text,
    done: { type: 'boolean' },
    by: text,
    at: text,
    jobVersion: atVersion,
  },
  foreignKeys: ofJob,
});
export const ReadingEntity = new EntitySchema<Rows.ReadingRow>({
  name: 'reading',
  columns: {
    id: key,
    jobId: text,
    spliceId: text,
    make: whole,
    checkId: text,
    value: json,
    inOneGo: { type: 'boolean', default: false },
    instrument: optional(text),
    by: text,
    at: text,
    sequence: whole,
    jobVersion: atVersion,
  },
  indices: [{ name: 'reading_by_splice', columns: ['jobId', 'spliceId'] }],
  foreignKeys: ofJob,
});
export const RedoEntity = new EntitySchema<Rows.RedoRow>({
  name: 'redo',
  columns: {
    id: key,
    jobId: text,
    findingId: text,
    lostFromMm: real,
    lostToMm: real,
    mishap: optional(json),
    because: text,
    by: text,
    at: text,
    sequence: whole,
  },
  foreignKeys: ofJob,
});
export const RecordEntity = new EntitySchema<Rows.RecordRow>({
  name: 'record',
  columns: {
    id: key,
    jobId: text,
    spliceId: text,
    circuitNumber: text,
    temporaryUntil: optional(text),
    replacesId: optional(text),
    body: json,
    signedBy: text,
    signedAt: text,
    ...inChain,
  },
  indices: [
    { name: 'record_in_chain', columns: ['chainRow'], unique: true },
    { name: 'record_by_job', columns: ['jobId'] },
    { name: 'record_by_replaced', columns: ['replacesId'] },
    { name: 'record_by_due', columns: ['temporaryUntil', 'id'] },
    { name: 'record_by_signed', columns: ['signedAt', 'id'] },
  ],
  foreignKeys: ofJob,
});
export const RecordTextEntity = new EntitySchema<Rows.RecordTextRow>({
  name: 'found',
  columns: { chainRow: { ...whole, primary: true }, text },
});
/** A repair that another job set out to make good, or cut out; ended once that job was signed. */
export const GoodEntity = new EntitySchema<Rows.GoodRow>({
  name: 'good',
  columns: { jobId: key, spliceId: key, byJobId: key, endedAt: optional(text) },
  foreignKeys: [...ofJob, { target: 'job', columnNames: ['byJobId'], referencedColumnNames: ['id'] }],
});
export const AuditEntity = new EntitySchema<Rows.AuditRow>({
  name: 'audit',
  columns: {
    id: { type: 'integer', primary: true, generated: 'increment' },
    at: text,
    by: text,
    what: text,
    jobId: optional(text),
    detail: json,
    ...inChain,
  },
  indices: [{ name: 'audit_in_chain', columns: ['chainRow'], unique: true }],
});
export const ReceiptEntity = new EntitySchema<Rows.ReceiptRow>({
  name: 'receipt',
  columns: { writeId: key, at: text, digest: text, status: whole, body: json },
});
export const PersonEntity = new EntitySchema<Rows.PersonRow>({ name: 'person', columns: { name: key, since: text } });
export const CatalogueEntity = new EntitySchema<Rows.CatalogueRow>({
  name: 'catalogue',
  columns: { id: key, version: whole, body: json },
});

export const SettingEntity = new EntitySchema<Rows.SettingRow>({ name: 'setting', columns: { id: key, value: text } });

export const PracticeEntity = new EntitySchema<Rows.PracticeRow>({
  name: 'practice',
  columns: { id: key, version: whole, kept: { type: 'boolean' }, body: json },
});

export const ENTITIES = [
  MachineEntity,
  HarnessEntity,
  NodeEntity,
  RunEntity,
  CircuitEntity,
  JobEntity,
  FindingEntity,
  ChoiceEntity,
  PinEntity,
  TickEntity,
  ReadingEntity,
  RedoEntity,
  RecordEntity,
  RecordTextEntity,
  GoodEntity,
  AuditEntity,
  ReceiptEntity,
  PersonEntity,
  AccountEntity,
  SignInEntity,
  CatalogueEntity,
  PracticeEntity,
  SettingEntity,
  PhotoEntity,
  FacePhotoEntity,
  ...PARCEL_ENTITIES,
  TodoEntity,
];

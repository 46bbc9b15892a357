import type { Gate, BegunWork, Mishap } from '@mendum/core/approach';
import type { ConnectorFace, ConnectorIdentity, FaceSide, LockFamily } from '@mendum/core/connector';
import type { EarlierEnd, EarlierRepair, Finding } from '@mendum/core/damage';
import type { Circuit, Feature, HarnessNode, Cable, PinoutSource, Zone } from '@mendum/core/harness';
import type { LayoutWishes } from '@mendum/core/layout';
import type { MappingCard } from '@mendum/core/mapping';
import type { Practice } from '@mendum/core/practice';
import type { FunctionSeen, ReadingValue } from '@mendum/core/prove';
import type { CavityMark, Role } from '@mendum/core/operations';
import type { SpliceRecord } from '@mendum/core/record';
import type { WirePlace } from '@mendum/core/survey';

/** Rows as they are stored. Units are in the names; JSON columns hold what is not searched. */
export interface MachineRow {
  id: string;
  name: string;
  kind: string;
  systemVoltageV: number;
}
/** `keptFor`: the harness that went on when this state of it was kept aside for signed jobs. */
export interface HarnessRow {
  id: string;
  machineId: string;
  name: string;
  version: number;
  keptFor: string | null;
  /** Where repairs lie that edits have moved since they were recorded, by job and splice; none where their wire is gone. */
  placed: Readonly<Record<string, WirePlace | null>> | null;
  cables: readonly Cable[];
  sources: readonly PinoutSource[] | null;
}
export interface NodeRow {
  harnessId: string;
  id: string;
  position: number;
  kind: HarnessNode['kind'];
  name: string;
  ways: number | null;
  face: ConnectorFace | null;
  identity: ConnectorIdentity | null;
  lock: LockFamily | null;
  fittings: HarnessNode['fittings'] | null;
}
export interface RunRow {
  harnessId: string;
  id: string;
  position: number;
  name: string;
  fromNodeId: string;
  toNodeId: string;
  lengthMm: number;
  atLeast: boolean;
  conduitInsideMm: number | null;
  zone: Zone;
  features: readonly Feature[];
}
export interface CircuitRow {
  harnessId: string;
  id: string;
  position: number;
  number: string;
  function: string;
  kind: Circuit['kind'];
  areaMm2: number;
  colourBase: string;
  fromNodeId: string;
  fromCavity: string;
  toNodeId: string;
  toCavity: string;
  fuseA: number | null;
  loadA: number | null;
  shield: Circuit['shield'] | null;
  pairWith: string | null;
  remark: string | null;
  wire: Circuit['wire'];
  runIds: readonly string[];
}
export interface JobRow {
  id: string;
  number: string;
  title: string;
  harnessId: string;
  practiceId: string;
  status: 'open' | 'signed';
  openedOn: string;
  gate: Gate;
  mappings: readonly MappingCard[];
  functions: readonly FunctionSeen[];
  held: readonly BegunWork[];
  /** Repairs on its harness that came with its file. */
  earlier: readonly EarlierRepair[];
  earlierEnds: readonly EarlierEnd[];
  layout: LayoutWishes;
  version: number;
  createdBy: string;
  createdAt: string;
  updatedAt: string;
}
export interface FindingRow {
  jobId: string;
  id: string;
  position: number;
  circuitId: string;
  runId: string;
  kind: Finding['kind'];
  fromMm: number;
  toMm: number;
  body: Finding;
  version: number;
}
export interface ChoiceRow {
  id: string;
  jobId: string;
  findingId: string;
  use: string | null;
  terminal: string | null;
  reason: string;
  by: string;
  at: string;
  /** The version of the job that came of it. */
  jobVersion: number;
}
export interface PinRow {
  jobId: string;
  findingId: string;
  side: 'only' | 'left' | 'right';
  centreMm: number;
  runId: string | null;
}
export interface TickRow {
  jobId: string;
  stepId: string;
  spliceId: string;
  done: boolean;
  by: string;
  at: string;
  /** The version of the job that came of it. */
  jobVersion: number;
}
export interface ReadingRow {
  id: string;
  jobId: string;
  spliceId: string;
  make: number;
  checkId: string;
  value: ReadingValue;
  inOneGo: boolean;
  instrument: string | null;
  by: string;
  at: string;
  sequence: number;
  /** The version of the job that came of it. */
  jobVersion: number;
}
export interface RedoRow {
  id: string;
  jobId: string;
  findingId: string;
  lostFromMm: number;
  lostToMm: number;
  mishap: Mishap | null;
  because: string;
  by: string;
  at: string;
  sequence: number;
}
/** A place in the chain of records and audit lines. */
export interface InChain {
  /** From 1, without gaps, over both tables. */
  chainRow: number;
  /** SHA-256 of the row, its place and the hash of the row before, in hex. */
  hash: string;
  /** Ed25519 over the hash, base64, where the server has a key. */
  signature: string | null;
}
export interface RecordRow extends InChain {
  id: string;
  jobId: string;
  spliceId: string;
  circuitNumber: string;
  temporaryUntil: string | null;
  replacesId: string | null;
  body: SpliceRecord;
  signedBy: string;
  signedAt: string;
}
/** All that a record that counts is found by: the words that it says, their letters folded; by its row in the chain. */
export interface RecordTextRow {
  chainRow: number;
  text: string;
}
export interface GoodRow {
  jobId: string;
  spliceId: string;
  byJobId: string;
  endedAt: string | null;
}
export interface AuditRow extends InChain {
  id: number;
  at: string;
  by: string;
  what: string;
  jobId: string | null;
  detail: unknown;
}
export interface ReceiptRow {
  writeId: string;
  at: string;
  digest: string;
  status: number;
  body: unknown;
}
export interface PersonRow {
  name: string;
  since: string;
}
export interface CatalogueRow {
  id: string;
  version: number;
  body: unknown;
}
/** `kept`: no longer offered, and kept for the jobs that are planned by it. */
export interface PracticeRow {
  id: string;
  version: number;
  kept: boolean;
  body: Practice;
}
/** What the shop has settled for all jobs, a word each. */
export interface SettingRow {
  id: 'usualPractice' | 'chainHead' | 'calendarKey' | 'originId' | 'searches';
  value: string;
}
/** A photo beside the face of a connector of a harness as it goes on, never of a state that was kept. */
export interface FacePhotoRow {
  id: string;
  harnessId: string;
  nodeId: string;
  version: number;
  side: FaceSide;
  name: string;
  type: string;
  sizeBytes: number;
  widthPx: number;
  heightPx: number;
  marks: readonly CavityMark[];
  by: string;
  at: string;
  removed: boolean;
}
export interface PhotoRow {
  id: string;
  jobId: string;
  findingId: string;
  name: string;
  type: string;
  sizeBytes: number;
  widthPx: number;
  heightPx: number;
  by: string;
  at: string;
  removed: boolean;
}

/** Somebody who may sign in; `secret` is an argon2id hash with its own salt. */
export interface AccountRow {
  id: string;
  name: string;
  /** As it is compared. */
  nameKey: string;
  role: Role;
  active: boolean;
  secret: string;
  /** Somebody else set it: its owner takes their own before anything else. */
  mustChange: boolean;
  since: string;
}
/** A sign-in; of its token only the hash is kept. */
export interface SignInRow {
  id: string;
  accountId: string;
  tokenHash: string;
  device: string;
  shared: boolean;
  since: string;
  seen: string;
}

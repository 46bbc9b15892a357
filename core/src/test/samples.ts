import { CRIMP_FIRST, type Practice } from '../practice/index.ts';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Circuit, Feature, Run, Zone } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import { plan, type FindingPlan, type Plan } from '../plan/index.ts';
import { wireFacts, type WireFacts, type WireSpec } from '../wire/index.ts';

/** A stranded, thin-wall, cross-linked wire of a metric size, unless said otherwise. */
export const wire = (areaMm2: number, more: Partial<WireSpec> = {}): WireSpec => ({
  size: { basis: 'metric', areaMm2 },
  conductor: { kind: 'stranded' },
  jacket: { material: 'xlpe', wall: 'thin' },
  colour: { base: 'red' },
  ...more,
});

export const facts = (areaMm2: number, more: Partial<WireSpec> = {}): WireFacts => wireFacts(wire(areaMm2, more));

export const WET_SHAKING: Zone = { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false };
export const DRY_CABIN: Zone = { area: 'cabin', vibration: 'none', moisture: 'dry', fuelVapour: false };

export const GATE_OPEN: Job['gate'] = { isolation: { how: 'provedDead', by: 'Ines', at: '2030-01-01T08:00:00Z' } };

export interface CaseOptions {
  readonly zone?: Zone;
  readonly features?: readonly Feature[];
  readonly lengthMm?: number;
  readonly conduitInsideMm?: number;
  readonly gate?: Job['gate'];
  readonly circuits?: readonly Partial<Circuit>[];
  readonly practice?: Practice;
  readonly catalogue?: Catalogue;
}

export const runOf = (options: CaseOptions): Run => ({
  id: 'R1',
  name: 'Main run',
  fromNodeId: 'X1',
  toNodeId: 'X2',
  lengthMm: options.lengthMm ?? 1000,
  zone: options.zone ?? DRY_CABIN,
  features: options.features ?? [],
  conduitInsideMm: options.conduitInsideMm,
});

/** A job on one run from X1 to X2 with the circuits and findings given; circuit n has the id Cn. */
export function jobWith(
  findings: readonly (Partial<Finding> & { readonly kind: Finding['kind'] })[],
  options: CaseOptions = {},
): Job {
  const circuits = (options.circuits ?? [{}]).map((circuit, index): Circuit => ({
    id: `C${index + 1}`,
    number: String(index + 1),
    function: `Function ${index + 1}`,
    kind: 'power',
    wire: wire(2.5),
    from: { nodeId: 'X1', cavity: String(index + 1) },
    to: { nodeId: 'X2', cavity: String(index + 1) },
    runIds: ['R1'],
    ...circuit,
  }));
  return {
    id: 'J1',
    number: 'J1',
    title: 'Sample',
    machine: { id: 'M', name: 'Ovrell 420', kind: 'harvester', systemVoltageV: 24 },
    harness: {
      id: 'H',
      name: 'W1',
      runs: [runOf(options)],
      circuits,
      nodes: [
        { id: 'X1', kind: 'connector', name: 'X1' },
        { id: 'X2', kind: 'connector', name: 'X2' },
      ],
    },
    findings: findings.map(
      (finding, index) =>
        ({
          id: `F${index + 1}`,
          circuitId: 'C1',
          runId: 'R1',
          fromMm: 500,
          toMm: 512,
          cutBackLeftMm: 0,
          cutBackRightMm: 0,
          slackMm: 0,
          ...finding,
        }) as Finding,
    ),
    gate: options.gate ?? GATE_OPEN,
    choices: [],
    pins: [],
    redos: [],
  };
}

export const planOf = (job: Job, options: CaseOptions = {}): Plan =>
  plan(job, options.practice ?? CRIMP_FIRST, options.catalogue ?? FULL_SHELF);

/** The plan of the only finding of a job. */
export function onlyFinding(
  finding: Partial<Finding> & { readonly kind: Finding['kind'] },
  options: CaseOptions = {},
): FindingPlan {
  const [only] = planOf(jobWith([finding], options), options).findings;
  if (!only) throw new Error('no finding was planned');
  return only;
}

/** The full shelf with some ids taken off it. */
export const shelfWithout = (...ids: readonly string[]): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (ids.includes(part.id) ? { ...part, quantity: 0 } : part)),
});

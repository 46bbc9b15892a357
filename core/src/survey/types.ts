import type { Finding } from '../damage/index.ts';
import type { Cable, Circuit, Growth, Harness, HarnessNode, PinoutSource, Run } from '../harness/index.ts';

/** What may be changed on a run without moving anything on it. */
export interface RunChange {
  readonly name?: string | undefined;
  readonly zone?: Run['zone'] | undefined;
  readonly features?: Run['features'] | undefined;
  /** mm; null takes the conduit away. */
  readonly conduitInsideMm?: number | null | undefined;
  /** Nobody has measured all of it; null says that its length is measured. */
  readonly atLeast?: true | null | undefined;
}

/**
 * One change to a harness, as data: done again in order it gives the same harness, and everything found on it goes
 * along. `addRun` brings a run to a node that is new or there; `splitRun` sets a node `atMm` from the run's start, and
 * the part behind it becomes `newRunId`; `joinRuns` takes a node out between two runs; `moveNode` slides a node along
 * its line by `byMm`, away from the first node; `growRun` makes a run longer where wires were made longer, and moves all
 * that lies beyond along; `extendEnd` says what an end really is, `byMm` beyond where it was.
 */
export type HarnessEdit =
  | { readonly do: 'addRun'; readonly run: Run; readonly node?: HarnessNode | undefined }
  | { readonly do: 'changeRun'; readonly runId: string; readonly change: RunChange }
  | { readonly do: 'setLength'; readonly runId: string; readonly lengthMm: number }
  | { readonly do: 'growRun'; readonly runId: string; readonly growths: readonly Growth[] }
  | {
      readonly do: 'splitRun';
      readonly runId: string;
      readonly atMm: number;
      readonly node: HarnessNode;
      readonly newRunId: string;
      readonly newName: string;
    }
  | { readonly do: 'joinRuns'; readonly nodeId: string }
  | { readonly do: 'moveNode'; readonly nodeId: string; readonly byMm: number }
  | { readonly do: 'changeNode'; readonly node: HarnessNode }
  | { readonly do: 'extendEnd'; readonly byMm: number; readonly node: HarnessNode }
  | { readonly do: 'removeRun'; readonly runId: string }
  | { readonly do: 'setCable'; readonly cable: Cable }
  | { readonly do: 'removeCable'; readonly cableId: string }
  | { readonly do: 'setCircuit'; readonly circuit: Circuit }
  | { readonly do: 'removeCircuit'; readonly circuitId: string }
  | { readonly do: 'setCircuits'; readonly circuits: readonly Circuit[] }
  | { readonly do: 'setSources'; readonly sources: readonly PinoutSource[] };

/** A harness with what was found on it: the findings go along with every edit. */
export interface Surveyed {
  readonly harness: Harness;
  readonly findings: readonly Finding[];
}

/** An edit that cannot be: what stands in the way, and what to do. */
export class EditRefused extends Error {
  constructor(
    message: string,
    readonly remedy: string,
  ) {
    super(message);
    this.name = 'EditRefused';
  }
}

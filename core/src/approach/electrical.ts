import { bundleDiameterMm } from '../bundle/index.ts';
import { addedBy, branchesOf } from '../damage/index.ts';
import { ambientC, countsAsLoaded, thingsAlong, type Cable, type Circuit, type Run } from '../harness/index.ts';
import {
  allowedCurrentA,
  areaMm2,
  bundleFactor,
  CANNOT_BE_C,
  conductorInWords,
  conductorTemperatureC,
  resistanceMilliohm,
  type WireSpec,
} from '../wire/index.ts';
import type { DecideInput, Electrical, RunFacts } from './types.ts';

/** What two wires must share to carry the same current in the same place. */
const kindOf = ({ size, conductor, jacket }: WireSpec): string =>
  `${areaMm2(size)} ${conductorInWords(conductor)} ${jacket.material} ${jacket.wall} ${jacket.outerDiameterMm ?? ''}`;

/** What all circuits of a run share: ambient, which of them heat the bundle, and how thick it is. */
export function runFacts(run: Run, circuitsInRun: readonly Circuit[], cables?: readonly Cable[]): RunFacts {
  const ambient = ambientC(run.zone);
  // Most wires of a run are alike: the heat balance is solved once for each kind of them.
  const ofKind = new Map<string, number>();
  const alone = (wire: WireSpec): number => {
    const kind = kindOf(wire);
    const amps = ofKind.get(kind) ?? allowedCurrentA(wire, ambient);
    ofKind.set(kind, amps);
    return amps;
  };
  const aloneA = new Map(circuitsInRun.map((circuit) => [circuit.id, alone(circuit.wire)]));
  return {
    ambientC: ambient,
    aloneA,
    loadedIds: new Set(
      circuitsInRun
        .filter((circuit) => countsAsLoaded(circuit, aloneA.get(circuit.id) ?? 0))
        .map((circuit) => circuit.id),
    ),
    temperatures: new Map(),
    bundleMm: bundleDiameterMm(thingsAlong(run.id, circuitsInRun, cables).map(({ jacketMm }) => jacketMm)),
  };
}

/** Conductor temperature under a load, °C, solved once for wires that are alike. */
function temperatureC(wire: WireSpec, amps: number, facts: RunFacts, share: number): number {
  const key = `${kindOf(wire)} ${amps} ${share}`;
  const celsius = facts.temperatures.get(key) ?? conductorTemperatureC(wire, amps, facts.ambientC, share);
  facts.temperatures.set(key, celsius);
  return celsius;
}

/** A piece of the path with its own wire and surroundings: another run, the wire beyond the damage, an insert. */
export interface Section {
  readonly where: string;
  readonly wire: WireSpec;
  readonly facts: RunFacts;
}

/** The load that figures are worked out with: none where the noted one cannot be. */
export const believedLoadA = (
  { impossibleLoadA }: Pick<Electrical, 'impossibleLoadA'>,
  { loadA }: Pick<Circuit, 'loadA'>,
): number | undefined => (impossibleLoadA === undefined ? loadA : undefined);

const loadedWith = (facts: RunFacts, circuitId: string): number =>
  facts.loadedIds.size + (facts.loadedIds.has(circuitId) ? 0 : 1);

/**
 * Current, temperature and fuse of a circuit in a run; the wire looked at always counts as loaded. The fuse must
 * protect the weakest section of the whole path, which is not always the thinnest.
 * @param share of the copper that stays in service at the weakest place: 1 once lost strands are cut out, less where
 * they are covered
 * @param sections further pieces of the same path
 */
export function electricalOf(
  circuit: Circuit,
  facts: RunFacts,
  share = 1,
  sections: readonly Section[] = [],
): Electrical {
  const loadedWires = loadedWith(facts, circuit.id);
  const factor = bundleFactor(loadedWires);
  const whole = facts.aloneA.get(circuit.id);
  const aloneA =
    share === 1 && whole !== undefined ? whole : allowedCurrentA(circuit.wire, facts.ambientC, undefined, share);
  const bundledA = aloneA * factor;
  const weakest = sections.reduce(
    (least, section) => {
      const amps =
        allowedCurrentA(section.wire, section.facts.ambientC) * bundleFactor(loadedWith(section.facts, circuit.id));
      return amps < least.amps - 1e-9 ? { amps, where: section.where } : least;
    },
    { amps: bundledA, where: 'here' },
  );
  const { loadA } = circuit;
  const heatedC = loadA === undefined ? facts.ambientC : temperatureC(circuit.wire, loadA / factor, facts, share);
  const cannotBe = heatedC > CANNOT_BE_C;
  return {
    areaMm2: areaMm2(circuit.wire.size) * share,
    milliohmPerMetre: resistanceMilliohm(circuit.wire, 1000, undefined, share),
    ambientC: facts.ambientC,
    loadedWires,
    aloneA,
    bundledA,
    weakest,
    placeC: cannotBe ? facts.ambientC : heatedC,
    ...(cannotBe ? { impossibleLoadA: loadA } : {}),
    fuseA: circuit.fuseA,
    fuseProtects: circuit.fuseA === undefined ? undefined : circuit.fuseA <= weakest.amps + 1e-9,
  };
}

/** What a wire that is joined on is called among the sections of a path. */
export const ADDED_WIRE = 'the added wire';

/**
 * The rest of the path that the fuse must protect as well: other runs, a wire beyond the damage that is another one,
 * and wires joined on that have no fuse of their own.
 */
const pathOf = ({ circuit, finding, elsewhere, runFacts }: DecideInput): Section[] => [
  ...elsewhere.map(({ where, facts }) => ({ where, facts, wire: circuit.wire })),
  ...(finding.farWire ? [{ where: 'the wire beyond the damage', facts: runFacts, wire: finding.farWire }] : []),
  ...(addedBy(finding)?.from || addedBy(finding)?.fuseA !== undefined
    ? []
    : branchesOf(finding).map((wire) => ({ where: ADDED_WIRE, facts: runFacts, wire }))),
];

/** The standing of a finding's circuit along its whole path, with a share of its copper left. */
export const electricalAlong = (input: DecideInput, share = 1): Electrical =>
  electricalOf(input.circuit, input.runFacts, share, pathOf(input));

/** The same with a piece of new wire in the path. */
export const withSection = (input: DecideInput, section: Section): Electrical =>
  electricalOf(input.circuit, input.runFacts, 1, [...pathOf(input), section]);

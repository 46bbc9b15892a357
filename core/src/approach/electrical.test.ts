import { describe, expect, it } from 'vitest';
import type { Circuit } from '../harness/index.ts';
import { DRY_CABIN, jobWith, runOf, WET_SHAKING, wire } from '../test/samples.ts';
import { allowedCurrentA, bundleFactor, conductorTemperatureC } from '../wire/index.ts';
import { believedLoadA, electricalOf, runFacts } from './electrical.ts';

const circuits = (...list: readonly Partial<Circuit>[]): readonly Circuit[] =>
  jobWith([], { circuits: list }).harness.circuits;
const RUN = runOf({ zone: { ...WET_SHAKING, ambientC: 60 } });

describe('what the circuits of a run share', () => {
  const [thick, thin, idle, signal] = circuits(
    { wire: wire(2.5), loadA: 12 },
    { wire: wire(1), loadA: 5 },
    { wire: wire(1), loadA: 0.1 },
    { wire: wire(0.5), kind: 'signal' },
  );
  const facts = runFacts(RUN, [thick!, thin!, idle!, signal!]);
  it('each wire by itself, by its own copper and jacket', () => {
    for (const one of [thick!, thin!, idle!, signal!])
      expect(facts.aloneA.get(one.id)).toBeCloseTo(allowedCurrentA(one.wire, 60), 9);
    const pvc = { ...wire(1), jacket: { material: 'pvc', wall: 'thin' } } as const;
    const fat = { ...wire(1), jacket: { material: 'xlpe', wall: 'thin', outerDiameterMm: 4 } } as const;
    const [a, b, c] = circuits({ wire: wire(1) }, { wire: pvc }, { wire: fat });
    const of = runFacts(RUN, [a!, b!, c!]).aloneA;
    expect([...of.values()]).toEqual([wire(1), pvc, fat].map((one) => allowedCurrentA(one, 60)));
  });
  it('only those that carry a fifth of what they may heat the bundle', () =>
    expect([...facts.loadedIds]).toEqual([thick!.id, thin!.id]));
  it('a wire that is looked at counts as loaded, and once', () => {
    expect(electricalOf(thick!, facts).loadedWires).toBe(2);
    expect(electricalOf(idle!, facts).loadedWires).toBe(3);
  });
});

describe('the standing of a circuit', () => {
  const [own, other] = circuits({ wire: wire(1.5), loadA: 8, fuseA: 15 }, { wire: wire(1.5), loadA: 8 });
  const facts = runFacts(RUN, [own!, other!]);
  const alone = allowedCurrentA(wire(1.5), 60);
  it('its current in the bundle, and its heat by the load over the bundle’s factor', () => {
    const standing = electricalOf(own!, facts);
    expect(standing).toMatchObject({ aloneA: alone, bundledA: alone * bundleFactor(2), weakest: { where: 'here' } });
    expect(standing.placeC).toBeCloseTo(conductorTemperatureC(wire(1.5), 8 / bundleFactor(2), 60), 6);
    expect(standing.placeC).toBeGreaterThan(60);
  });
  it('with strands lost: what is left carries less, and is hotter', () => {
    const standing = electricalOf(own!, facts, 0.5);
    expect(standing.areaMm2).toBeCloseTo(0.75, 9);
    expect(standing.aloneA).toBeCloseTo(allowedCurrentA(wire(1.5), 60, undefined, 0.5), 9);
    expect(standing.placeC).toBeGreaterThan(electricalOf(own!, facts).placeC);
  });
  it('no load noted: as warm as the place', () =>
    expect(electricalOf({ ...own!, loadA: undefined }, facts).placeC).toBe(60));
  it('the weakest section is the one that may carry least in its own bundle, the first of equals', () => {
    const cool = runFacts(runOf({ zone: { ...DRY_CABIN, ambientC: 20 } }), [own!]);
    const section = (where: string, areaMm2: number, of = cool) => ({ where, facts: of, wire: wire(areaMm2) });
    expect(electricalOf(own!, facts, 1, [section('cool', 1.5)]).weakest.where).toBe('here');
    const { weakest } = electricalOf(own!, facts, 1, [section('a', 0.35), section('b', 0.35), section('c', 0.5)]);
    expect(weakest.where).toBe('a');
    expect(weakest.amps).toBeCloseTo(allowedCurrentA(wire(0.35), 20) * bundleFactor(1), 9);
    const crowded = electricalOf(own!, facts, 1, [section('crowded', 0.35, facts)]).weakest;
    expect(crowded.amps).toBeCloseTo(allowedCurrentA(wire(0.35), 60) * bundleFactor(2), 9);
  });
  it('a fuse protects up to what the weakest may carry, and no further', () => {
    const { amps } = electricalOf(own!, facts).weakest;
    const protects = (fuseA: number | undefined) => electricalOf({ ...own!, fuseA }, facts).fuseProtects;
    expect([protects(amps), protects(amps + 0.01), protects(undefined)]).toEqual([true, false, undefined]);
  });
  it('a load that cannot be is not believed', () => {
    const standing = electricalOf({ ...own!, loadA: 500 }, facts);
    expect(standing).toMatchObject({ impossibleLoadA: 500, placeC: 60 });
    expect(believedLoadA(standing, { loadA: 500 })).toBeUndefined();
    expect(believedLoadA(electricalOf(own!, facts), own!)).toBe(8);
  });
});

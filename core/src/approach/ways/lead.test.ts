import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import { DRY_CABIN, WET_SHAKING, wire } from '../../test/samples.ts';
import type { WireSpec } from '../../wire/index.ts';
import { at, NO_TERMINALS } from '../test/atCavity.ts';
import { electrical, inputOf, type InputOf } from '../test/input.ts';
import { leadFrom, NO_ROOM, releadFrom } from './lead.ts';

const AT_END = { fromMm: 999, toMm: 1000 };

describe('a new lead from a connector', () => {
  const lead = (
    atStart: boolean,
    lost: { fromMm: number; toMm: number },
    of: { wire?: WireSpec; mostMm?: number } = {},
  ) => {
    const input = inputOf();
    return leadFrom(input, electrical(input), lost, atStart, 20, of);
  };
  test.each([
    ['at the end', false, { fromMm: 940, toMm: 1000 }, { fromMm: 940, toMm: 1000 }],
    ['at the end, nothing lost yet', false, { fromMm: 1000, toMm: 1000 }, { fromMm: 999, toMm: 1000 }],
    ['at the start', true, { fromMm: 0, toMm: 60 }, { fromMm: 0, toMm: 60 }],
    ['at the start, nothing lost yet', true, { fromMm: 0, toMm: 0 }, { fromMm: 0, toMm: 1 }],
  ])('%s it takes all wire from the back of the connector', (_, atStart, lost, takes) =>
    expect(lead(atStart, lost)).toMatchObject({
      atStart,
      lost: takes,
      terminalTakesMm: 20,
      site: { lead: { atStart } },
    }),
  );
  it('is free wire itself, so that a sleeve can be parked on it', () => {
    expect(lead(true, { fromMm: 0, toMm: 5 }).site.freeLeftMm).toBe(200);
    expect(lead(false, AT_END).site.freeRightMm).toBe(200);
  });
  it('is cut out of the same colour, and no smaller', () =>
    expect(lead(false, AT_END).insertWire).toMatchObject({ wire: wire(1.5), colourDiffers: false, larger: false }));
  test.each<[string, WireSpec, boolean, boolean]>([
    ['its own', wire(1.5), false, false],
    ['another base colour', wire(1.5, { colour: { base: 'blue' } }), true, false],
    ['another stripe', wire(1.5, { colour: { base: 'red', stripe: 'black' } }), true, false],
    ['5 % more copper', wire(1.57), false, false],
    ['6 % more copper', wire(1.59), false, true],
  ])('the wire of a pigtail: %s', (_, own, colourDiffers, larger) =>
    expect(lead(false, AT_END, { wire: own, mostMm: 200 })).toMatchObject({
      insertWire: { wire: own, colourDiffers, larger },
      mostMm: 200,
      site: { lead: { atStart: false, mostMm: 200 } },
    }),
  );
  it('wire that was asked for is taken where it may be', () => {
    const input = inputOf({
      finding: { insertWire: wire(2.5, { colour: { base: 'black' } }) },
      circuits: [{ wire: wire(1.5) }],
    });
    const { insertWire } = leadFrom({ ...input, otherColours: true }, electrical(input), AT_END, false, 20);
    expect(insertWire.wire).toEqual(wire(2.5, { colour: { base: 'black' } }));
  });
});

describe('a relead, judged', () => {
  const relead = (of: InputOf = {}, lost = AT_END) => {
    const input = inputOf(of);
    return releadFrom(input, electrical(input), lost, { nodeId: 'X2', cavity: '1' });
  };
  it('allowed: its terminal and its splice, the wire beyond the clearance', () =>
    expect(relead({ zone: WET_SHAKING }).way).toEqual({
      way: 'relead',
      status: 'allowed',
      ruleId: 'way.relead',
      because:
        'A new lead with its own terminal (2.8 mm terminal) needs no slack: one splice, beyond the 40 mm that stay clear at the connector.',
      // A terminal of 6 and a sealed butt of 4 minutes; 1 mm lost and 40 kept clear.
      cost: {
        splices: 1,
        minutes: 10,
        wireMm: 41,
        parts: ['2.8 mm terminal', 'Wire seal 2.2–2.9', 'Sealed butt, middle'],
      },
      lacks: [],
    }));
  it('what is not there is ordered: of the terminal, then of the splice', () => {
    const noButts = {
      ...NO_TERMINALS,
      parts: NO_TERMINALS.parts.map((part) => (part.kind === 'wireSeal' ? part : { ...part, quantity: 0 })),
    };
    const { way } = relead({ catalogue: noButts, zone: WET_SHAKING });
    expect(way).toMatchObject({ status: 'shelf', ruleId: 'way.relead' });
    expect(way.lacks.map(({ name }) => name)).toEqual(['2.8 mm terminal', 'Sealed butt, middle']);
    expect(way.because).toBe('Not on the shelf: 2.8 mm terminal, Sealed butt, middle. It can be ordered.');
  });
  it('no terminal of its family takes the wire: it waits, and says which', () => {
    const { way } = relead({ terminal: '0.64', circuits: [{ wire: wire(6) }] });
    expect(way).toMatchObject({ status: 'shelf', lacks: [] });
    expect(way.because).toMatch(/^No 0.64 mm terminal holds 6 mm²/);
  });
  it('no room on the run: refused by the rule that bars its splice', () => {
    const { way } = relead({ lengthMm: 60 }, { fromMm: 59, toMm: 60 });
    expect(way).toMatchObject({
      status: 'refused',
      ruleId: 'place.noRoom',
      allowedIf: 'a splice found a legal place on the run',
      lacks: [],
      cost: { splices: 1, minutes: 6 },
    });
    expect(way.because).toMatch(/finds no legal place/);
    expect(way.because).not.toBe(NO_ROOM);
  });
  it('a terminal that may not be used at the place refuses the lead with it', () => {
    const { way } = relead({ zone: { ...DRY_CABIN, ambientC: 124 }, catalogue: cool });
    expect(way).toMatchObject({ status: 'refused', ruleId: 'rated.under' });
  });
  it('a lead that was too short gets what it lacked', () => {
    expect(relead().decided.extraMm).toBeUndefined();
    const input = { ...inputOf(), finding: at('tooShort', { shortByMm: 60 }) };
    expect(releadFrom(input, electrical(input), AT_END, { nodeId: 'X2', cavity: '1' }).decided.extraMm).toBe(60);
  });
  it('its terminal takes its strip and what lies inside the housing', () =>
    expect(relead().decided.lead).toEqual({ atStart: false, mostMm: undefined, terminalTakesMm: 5 + 15 }));
});

const cool: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (part.kind === 'terminal' ? { ...part, ratedC: 90 } : part)),
};

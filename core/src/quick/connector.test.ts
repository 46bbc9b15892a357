import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { cavitiesOf, type ConnectorFace } from '../connector/index.ts';
import { checkJob } from '../job/index.ts';
import { mappingLines } from '../mapping/index.ts';
import { plan } from '../plan/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { METRIC_SIZES_MM2, USUAL_CONDUCTOR, USUAL_JACKET, type ColourName, type WireSpec } from '../wire/index.ts';
import {
  checkConnector,
  QUICK_CONNECTOR_DAMAGES,
  QUICK_PLACES,
  quickConnectorJob,
  quickConnectorOf,
  type QuickConnector,
} from './index.ts';

const rows = (count: number, columns: number): ConnectorFace => ({
  describedFrom: 'wire',
  layout: { kind: 'rows', rows: count, columns },
  numbering: { kind: 'rowWise' },
});
const ring: ConnectorFace = {
  describedFrom: 'wire',
  layout: { kind: 'round', rings: [{ count: 4 }] },
  numbering: { kind: 'rowWise' },
};
const wire = (areaMm2: number, base: ColourName = 'red'): WireSpec => ({
  size: { basis: 'metric', areaMm2 },
  conductor: USUAL_CONDUCTOR,
  jacket: USUAL_JACKET,
  colour: { base },
});
const lead = (cavity: string, areaMm2: number, base: ColourName = 'black') => ({
  cavity,
  colour: { base },
  size: { basis: 'metric' as const, areaMm2 },
});
const FOUR: QuickConnector = quickConnectorOf({
  face: rows(2, 2),
  wires: [
    { cavity: '3', wire: wire(1, 'red') },
    { cavity: '1', wire: wire(1.5, 'black') },
  ],
  damage: 'housingBroken',
  pigtail: [],
  place: 'chassis',
});
const planOf = (quick: QuickConnector) => plan(quickConnectorJob(quick), CRIMP_FIRST, FULL_SHELF);

describe('a connector in the hand is enough for an answer', () => {
  it('each wire is a circuit called by its cavity, and one finding', () => {
    const { harness, findings } = quickConnectorJob(FOUR);
    expect(harness.circuits.map(({ number, from }) => [number, from])).toEqual([
      ['3', { nodeId: 'X', cavity: '3' }],
      ['1', { nodeId: 'X', cavity: '1' }],
    ]);
    expect(findings.map(({ circuitId, kind }) => [circuitId, kind])).toEqual([
      ['C3', 'housingBroken'],
      ['C1', 'housingBroken'],
    ]);
  });
  it('the new connector that lies there is mapped by cavity, whatever its colours', () => {
    const quick = { ...FOUR, pigtail: [lead('1', 1.5, 'red'), lead('3', 1.5, 'black')] };
    const job = quickConnectorJob(quick);
    expect(job.mappings?.[0]?.joins).toEqual([
      { circuitId: 'C3', pigtailCavity: '3' },
      { circuitId: 'C1', pigtailCavity: '1' },
    ]);
    const [node] = job.harness.nodes;
    const traps = node ? mappingLines(node, job.harness.circuits, quick.pigtail).map(({ trap }) => trap) : [];
    expect(traps.filter(Boolean)).toHaveLength(2);
    for (const { approach, splices } of planOf(quick).findings) {
      expect(approach).toBe('pigtail');
      expect(splices).toHaveLength(1);
    }
  });
  it('its body is on the shelf or is ordered: it is never silent', () => {
    for (const { splices, asks } of planOf(FOUR).findings) expect(splices.length + asks.length).toBeGreaterThan(0);
  });
  it('how its terminals are held, once it is known, saves the splices', () => {
    for (const { approach, splices } of planOf({ ...FOUR, lock: 'frontLance' }).findings) {
      expect(approach).toBe('rehouse');
      expect(splices).toEqual([]);
    }
  });
  test.each([
    ['two rows of two', rows(2, 2), ['1', '2', '3', '4']],
    ['a ring of four', ring, ['1', '2', '3', '4']],
  ])('%s', (_, face, cavities) => expect(cavitiesOf(face).map(({ cavity }) => cavity)).toEqual(cavities));
});

describe('what is tapped makes a job that holds', () => {
  const cases = QUICK_CONNECTOR_DAMAGES.flatMap((damage) =>
    QUICK_PLACES.flatMap((place) =>
      METRIC_SIZES_MM2.filter((area) => area <= 6).map((area) => ({ damage, place, area })),
    ),
  );
  it(`of every damage, place and size: ${cases.length}`, () => {
    for (const { damage, place, area } of cases) {
      const quick = quickConnectorOf({
        face: rows(1, 3),
        wires: [
          { cavity: '1', wire: wire(area) },
          { cavity: '3', wire: wire(area, 'green') },
        ],
        damage,
        place,
        pigtail: [lead('1', area), lead('3', area)],
      });
      expect(checkConnector(quick)).toEqual([]);
      expect(checkJob(quickConnectorJob(quick))).toEqual([]);
    }
  });
});

describe('what cannot be is refused by name', () => {
  test.each<[string, Partial<QuickConnector>, string, RegExp]>([
    ['a wire beside the face', { wires: [{ cavity: '5', wire: wire(1) }] }, 'wires', /cavity 5.*4 cavities/],
    [
      'two wires in one cavity',
      {
        wires: [
          { cavity: '2', wire: wire(1) },
          { cavity: '2', wire: wire(1) },
        ],
      },
      'wires',
      /Cavity 2 has two wires/,
    ],
    ['a new wire beside the face', { pigtail: [lead('9', 1)] }, 'pigtail', /cavity 9/],
    ['a new wire that is smaller', { pigtail: [lead('1', 1), lead('3', 1)] }, 'pigtail', /1\.5/],
    ['more cavities than are tapped', { face: rows(5, 13) }, 'face', /65 cavities.*60 at most/],
  ])('%s', (_, more, field, words) => {
    const [problem] = checkConnector({ ...FOUR, ...more });
    expect(problem?.field).toBe(field);
    expect(problem?.message).toMatch(words);
    expect(problem?.hint).not.toBe('');
  });
  test.each<[string, Partial<QuickConnector>]>([
    ['as many cavities as are tapped', { face: rows(5, 12) }],
    ['a new connector that lacks a wire: the plan says so', { pigtail: [lead('1', 1.5)] }],
  ])('%s is taken', (_, more) => expect(checkConnector({ ...FOUR, ...more })).toEqual([]));
});

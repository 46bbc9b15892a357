import { describe, expect, it, test } from 'vitest';
import type { InsertWireChoice } from '../../sizing/index.ts';
import { jobWith, wire } from '../../test/samples.ts';
import type { RankedMethod } from '../../method/index.ts';
import { electricalOf, runFacts } from '../electrical.ts';
import { at } from '../test/atCavity.ts';
import type { Choice, DecideInput, Decision, RankedWay } from '../types.ts';
import { finish, type Around, type Candidate, type Undecided } from './finish.ts';

const [circuit] = jobWith([], { circuits: [{ wire: wire(2.5), fuseA: 20 }] }).harness.circuits;
const RUN = jobWith([]).harness.runs[0]!;
const FACTS = runFacts(RUN, [circuit!]);
const FINDING = at('terminalDamaged', { slackMm: 30 });

const method = (methodId: RankedMethod['methodId'], more: Partial<RankedMethod> = {}): RankedMethod =>
  ({
    methodId,
    name: methodId,
    status: 'allowed',
    usableWithReason: true,
    because: `${methodId} because.`,
    hits: [],
    joints: [],
    ...more,
  }) as unknown as RankedMethod;
const choice = (use: Choice['use']): Choice => ({ findingId: 'F1', use, reason: 'why', by: 'Ines', at: '2030-01-01' });
const input = (more: Partial<DecideInput> = {}): DecideInput =>
  ({
    circuit,
    finding: FINDING,
    runFacts: FACTS,
    elsewhere: [],
    share: { slackKnown: true, slackMm: 30 },
    ...more,
  }) as unknown as DecideInput;
const way = (more: Partial<RankedWay> = {}): RankedWay => ({
  way: 'relead',
  status: 'allowed',
  because: 'Way because.',
  ruleId: 'way.relead',
  cost: { splices: 1, minutes: 10, wireMm: 240, parts: [] },
  lacks: [],
  ...more,
});
const BASE = { electrical: electricalOf(circuit!, FACTS), warnings: ['base'], asks: [] } as unknown as Undecided;
const around = (more: Partial<Around> = {}): Around => ({
  ways: [],
  because: [],
  warnings: [],
  wayAsked: false,
  ...more,
});
const cavity = (more: Partial<NonNullable<Decision['cavity']>> = {}): NonNullable<Decision['cavity']> =>
  ({ acts: [], at: { nodeId: 'X2', cavity: '1' }, warnings: [], asks: [], ...more }) as never;
const made = (
  { way: of, ...decided }: Partial<Candidate['decided']> & { readonly way?: RankedWay } = {},
  on: Partial<DecideInput> = {},
  more: Partial<Around> = {},
): Decision => finish(input(on), BASE, { way: of ?? way(), decided }, around(more));
const insert = (areaMm2: number, more: Partial<InsertWireChoice> = {}): InsertWireChoice => ({
  wire: wire(areaMm2),
  colourDiffers: false,
  larger: false,
  ...more,
});

const CLIP = method('clipSleeve');
const BUTT = method('sealedButt');
const BARRED = method('plainWrap', { status: 'refused', usableWithReason: false });
const OVERRIDDEN = method('wrappedSolder', { status: 'refused', usableWithReason: true });
const NOT_THERE = method('stepDown', { status: 'shelf', usableWithReason: false });
const RANKED = { ranked: [BUTT, CLIP, BARRED, OVERRIDDEN, NOT_THERE], method: BUTT };

describe('the splice of a way', () => {
  test.each<[string, Partial<DecideInput>, string, Choice | undefined, boolean]>([
    ['nobody chose: the first', {}, 'sealedButt', undefined, false],
    ['chosen and allowed', { choice: choice('clipSleeve') }, 'clipSleeve', choice('clipSleeve'), false],
    [
      'chosen against a rule that a reason lifts',
      { choice: choice('wrappedSolder') },
      'wrappedSolder',
      choice('wrappedSolder'),
      false,
    ],
    ['chosen and barred: the first, and that is said', { choice: choice('plainWrap') }, 'sealedButt', undefined, true],
    ['chosen and not there: the first', { choice: choice('stepDown') }, 'sealedButt', undefined, true],
    ['chosen and not looked at', { choice: choice('cap') }, 'sealedButt', undefined, true],
    [
      'begun by it',
      { held: { findingId: 'F1', way: 'relead', use: 'clipSleeve', partIds: [] } },
      'clipSleeve',
      undefined,
      false,
    ],
    [
      'chosen after it was begun otherwise',
      { choice: choice('clipSleeve'), held: { findingId: 'F1', way: 'relead', use: 'sealedButt', partIds: [] } },
      'clipSleeve',
      choice('clipSleeve'),
      false,
    ],
  ])('%s', (_, on, methodId, chosenBy, isDropped) => {
    const decision = made(RANKED, on);
    expect(decision.method?.methodId).toBe(methodId);
    expect(decision.chosenBy).toEqual(chosenBy);
    expect(decision.warnings).toEqual(
      isDropped ? ['The choice of Ines can no longer be used here; the first that is possible stands instead.'] : [],
    );
  });
  it('a way that somebody chose is theirs, with the first splice', () => {
    const decision = made(RANKED, { choice: choice('relead') }, { wayAsked: true });
    expect(decision).toMatchObject({ method: { methodId: 'sealedButt' }, chosenBy: { use: 'relead' }, warnings: [] });
  });
  it('nothing was chosen, even where the way was asked for by work that has begun', () =>
    expect(made(RANKED, {}, { wayAsked: true }).chosenBy).toBeUndefined());
  it('a way without a splice has none', () =>
    expect(made({}, { choice: choice('clipSleeve') }).method).toBeUndefined());
});

describe('what is said', () => {
  it('what led to it, the way, the splice; nothing that is empty', () => {
    expect(made(RANKED, {}, { because: ['Found.', ''] }).because).toEqual([
      'Found.',
      'Way because.',
      'sealedButt because.',
    ]);
    expect(made({ way: way({ because: '' }) }, {}, { because: ['Found.'] }).because).toEqual(['Found.']);
  });
  it('warnings: of the new wire, of the finding, of the work at the cavity, of the splice', () => {
    const warned = method('sealedButt', {
      hits: [
        { verdict: 'warn', because: 'A warning.' },
        { verdict: 'prefer', because: 'A preference.' },
      ] as never,
    });
    expect(
      made(
        {
          ranked: [warned],
          method: warned,
          insertWire: insert(1, { refusedBecause: 'Too small.' }),
          cavity: cavity({ warnings: ['At the cavity.'] }),
        },
        {},
        { warnings: ['Of the finding.'] },
      ).warnings,
    ).toEqual(['Too small.', 'Of the finding.', 'At the cavity.', 'A warning.']);
    expect(made({ ...RANKED, insertWire: insert(2.5) }).warnings).toEqual([]);
  });
  it('the ways that were looked at, and which was taken', () => {
    const ways = [way(), way({ way: 'pigtail' })];
    expect(made({ way: ways[1]! }, {}, { ways })).toMatchObject({ approach: 'pigtail', ways });
  });
});

describe('what new wire does to the fuse', () => {
  const weakest = (of: Parameters<typeof made>[0]) => made(of).electrical.weakest.where;
  it('an insert that is thinner is the weakest of the path', () =>
    expect(weakest({ ...RANKED, insertWire: insert(1) })).toBe('the insert'));
  it('of a new lead it is called so', () =>
    expect(weakest({ ...RANKED, insertWire: insert(1), lead: {} as never })).toBe('the new lead'));
  it('without a splice it is not made', () => expect(weakest({ insertWire: insert(1) })).toBe('here'));
  it('without new wire nothing changes', () => expect(weakest(RANKED)).toBe('here'));
});

describe('what is asked', () => {
  const SEALS = [{ name: 'Wire seal', number: 2 }];
  const asks = (of: Parameters<typeof made>[0], more: Partial<Around> = {}) => made(of, {}, more).asks;
  it('what is not there is ordered, of a way that waits for it', () => {
    expect(asks({ way: way({ status: 'shelf', lacks: SEALS }) })).toMatchObject([
      { does: 'order', words: expect.stringContaining('2 × Wire seal') as string, at: { on: 'shelf' } },
    ]);
    expect(asks({ way: way({ lacks: SEALS }) })).toEqual([]);
  });
  it('a terminal that is to be crimped and has no name', () => {
    const fitting = { on: 'fitting', nodeId: 'X2', cavity: '1' };
    expect(asks({ cavity: cavity({ acts: ['crimpTerminal'], unknown: 'Which family?' }) })).toEqual([
      { does: 'note', words: 'Which family?', at: fitting },
    ]);
    expect(asks({ cavity: cavity({ acts: ['crimpTerminal'] }) })).toEqual([
      { does: 'note', words: 'The terminal is not noted', at: fitting },
    ]);
    expect(asks({ cavity: cavity({ acts: ['crimpTerminal'], terminal: {} as never }) })).toEqual([]);
    expect(asks({ cavity: cavity({ acts: ['refit'] }) })).toEqual([]);
  });
  it('a way that waits for something nobody can name: what it says, where it is answered', () => {
    const waits = way({ status: 'shelf', ruleId: 'way.lockUnknown', because: 'Nobody knows the lock.' });
    expect(asks({ way: waits, cavity: cavity() })).toEqual([
      { does: 'note', words: 'Nobody knows the lock.', at: { on: 'node', nodeId: 'X2', field: 'lock' } },
    ]);
    expect(asks({ way: waits })).toEqual([]);
    expect(asks({ way: way({ status: 'shelf', ruleId: 'way.relead' }), cavity: cavity() })).toEqual([
      { does: 'note', words: 'Way because.', at: { on: 'fitting', nodeId: 'X2', cavity: '1' } },
    ]);
  });
  it('what the connector asks, then the cause', () => {
    const own = { does: 'note', words: 'Which keying?', at: { on: 'node', nodeId: 'X2', field: 'keying' } } as const;
    expect(asks({ cavity: cavity({ asks: [own] }) }, { cause: 'What burnt it?' })).toEqual([
      own,
      { does: 'note', words: 'What burnt it?', at: { on: 'finding', findingId: 'F1', field: 'note' } },
    ]);
  });
  it('a fuse that does not protect the insert', () =>
    expect(asks({ ...RANKED, insertWire: insert(0.35) })).toMatchObject([
      { does: 'measure', at: { on: 'circuit', circuitId: 'C1', field: 'fuseA' } },
    ]));
});

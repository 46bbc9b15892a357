import { describe, expect, it, test } from 'vitest';
import { lackNamed } from '../catalogue/index.ts';
import { methodById, type MethodId, type SizedJoint } from '../family/index.ts';
import { counted } from '../units/index.ts';
import { caseOf, sleeve, twoOf } from './test/caseOf.ts';
import { redoLossMm, redoTakesMm, spareOf } from './redo.ts';
import {
  compareMethods,
  substituteFor,
  whatItLoses,
  type MethodCase,
  type RankedMethod,
  type RuleHit,
} from './index.ts';

/** A line of a ranking made of a case. */
const line = ({ method, joints, splices }: MethodCase, more: Partial<RankedMethod> = {}): RankedMethod => ({
  methodId: method.id,
  name: method.name,
  status: 'allowed',
  splices,
  joints,
  hits: [],
  because: '',
  toolNames: [],
  lacks: [],
  passed: [],
  usableWithReason: true,
  firstIfStocked: false,
  ...more,
});
const of = (id: MethodId, joint: Partial<SizedJoint> = {}): RankedMethod => line(caseOf(id, { joint }));
const both = (id: MethodId, first: Partial<SizedJoint>, second: Partial<SizedJoint>): RankedMethod =>
  line(twoOf(id, first, second));
const folded = (joint: SizedJoint | undefined, is: boolean): SizedJoint['left'] => {
  if (!joint) throw new Error('nothing was sized');
  return { ...joint.left, folded: is };
};
const END = caseOf('sealedButt').joints[0];
const [PLAIN, FOLDED] = [folded(END, false), folded(END, true)];
const hit = (ruleId: string, verdict: RuleHit['verdict'], more: Partial<RuleHit> = {}): RuleHit => ({
  ruleId,
  verdict,
  because: `${ruleId} spoke.`,
  source: 'trade practice',
  overridable: false,
  ...more,
});

describe('what one method has less than another', () => {
  test.each<[string, RankedMethod, RankedMethod, readonly string[]]>([
    ['the same loses nothing', of('sealedButt'), of('sealedButt'), []],
    [
      'thicker by 0.06 mm',
      of('sealedButt', { bodyDiameterMm: 5 }),
      of('sealedButt', { bodyDiameterMm: 5.1 }),
      ['0.1 mm thicker'],
    ],
    [
      'thicker by 0.05 mm is nothing',
      of('sealedButt', { bodyDiameterMm: 5 }),
      of('sealedButt', { bodyDiameterMm: 5.05 }),
      [],
    ],
    ['slimmer is no loss', of('sealedButt', { bodyDiameterMm: 5 }), of('sealedButt', { bodyDiameterMm: 4 }), []],
    ['longer by 2 mm', of('sealedButt', { bodyLengthMm: 30 }), of('sealedButt', { bodyLengthMm: 32 }), ['2 mm longer']],
    [
      'longer by half a millimetre is nothing',
      of('sealedButt', { bodyLengthMm: 30 }),
      of('sealedButt', { bodyLengthMm: 30.5 }),
      [],
    ],
    ['shorter is no loss', of('sealedButt', { bodyLengthMm: 30 }), of('sealedButt', { bodyLengthMm: 20 }), []],
    [
      'the thickest and longest of two counts',
      both('sealedButt', { bodyDiameterMm: 5, bodyLengthMm: 30 }, { bodyDiameterMm: 4, bodyLengthMm: 20 }),
      both('sealedButt', { bodyDiameterMm: 4, bodyLengthMm: 20 }, { bodyDiameterMm: 6, bodyLengthMm: 33 }),
      ['1 mm thicker', '3 mm longer'],
    ],
    [
      'less heat: the least that any part of it is made for',
      of('sealedButt', {
        rated: [
          { name: 'a', ratedC: 150 },
          { name: 'b', ratedC: 130 },
        ],
      }),
      of('sealedButt', {
        rated: [
          { name: 'a', ratedC: 200 },
          { name: 'b', ratedC: 105 },
        ],
      }),
      ['rated 105 °C instead of 130'],
    ],
    [
      'as much heat is no loss',
      of('sealedButt', { rated: [{ name: 'a', ratedC: 125 }] }),
      of('sealedButt', { rated: [{ name: 'a', ratedC: 125 }] }),
      [],
    ],
    [
      'doubled over on one side',
      of('sealedButt', { left: PLAIN, right: PLAIN }),
      of('sealedButt', { left: PLAIN, right: FOLDED }),
      ['the copper has to be doubled over'],
    ],
    [
      'doubled over on the other',
      of('sealedButt', { left: PLAIN, right: PLAIN }),
      of('sealedButt', { left: FOLDED, right: PLAIN }),
      ['the copper has to be doubled over'],
    ],
    [
      'both doubled over',
      of('sealedButt', { left: FOLDED, right: PLAIN }),
      of('sealedButt', { left: PLAIN, right: FOLDED }),
      [],
    ],
    [
      'doubled over in one of its two',
      both('sealedButt', { left: PLAIN, right: PLAIN }, { left: PLAIN, right: PLAIN }),
      both('sealedButt', { left: PLAIN, right: PLAIN }, { left: FOLDED, right: PLAIN }),
      ['the copper has to be doubled over'],
    ],
    [
      'only the wanted is doubled over',
      of('sealedButt', { left: FOLDED, right: PLAIN }),
      of('sealedButt', { left: PLAIN, right: PLAIN }),
      [],
    ],
  ])('%s', (_, wanted, other, loses) => expect(whatItLoses(wanted, other)).toEqual(loses));
  const sealLoss = (wanted: MethodId, other: MethodId): string | undefined =>
    whatItLoses(of(wanted), of(other)).find((words) => words.includes('seal'));
  it('a seal of its own: a sleeve is slid on first, or none is there', () => {
    expect(sealLoss('sealedButt', 'plainSleeve')).toBe('the built-in seal: a sleeve has to be slid on first');
    expect(sealLoss('sealedButt', 'plainWrap')).toBe('the seal');
    expect(sealLoss('sealedButt', 'solderSleeve')).toBeUndefined();
    expect(sealLoss('plainSleeve', 'plainWrap')).toBeUndefined();
    expect(sealLoss('plainSleeve', 'sealedButt')).toBeUndefined();
  });
  it('steps and minutes only where there are more of them', () => {
    const [a, b] = [methodById('sealedButt'), methodById('wrappedSolder')];
    const there = whatItLoses(of('sealedButt'), of('wrappedSolder')).join('; ');
    expect(there).toContain(counted(b.steps - a.steps, 'step') + ' more');
    expect(there).toContain(counted(b.minutes - a.minutes, 'minute') + ' more');
    expect(whatItLoses(of('wrappedSolder'), of('sealedButt')).join('; ')).not.toMatch(/more/);
  });
});

describe('what to order, and what is done meanwhile', () => {
  const wanted = line(caseOf('sealedButt'), {
    status: 'shelf',
    firstIfStocked: true,
    lacks: [lackNamed('Sealed butt, middle')],
  });
  const all = [
    line(caseOf('plainSleeve')),
    line(caseOf('clipSleeve'), { status: 'refused' }),
    line(caseOf('multiClipSleeve')),
    line(caseOf('wrappedSolder')),
    line(caseOf('solderSleeve')),
    wanted,
  ];
  it('the first three that are allowed, and no other', () => {
    const { order, instead } = substituteFor(all)!;
    expect(order).toEqual([{ name: 'Sealed butt, middle', number: 1 }]);
    expect(instead.map(({ method }) => method.methodId)).toEqual(['plainSleeve', 'multiClipSleeve', 'wrappedSolder']);
  });
  it.each([
    ['allowed', true],
    ['shelf', false],
  ] as const)('nothing where the first is %s and would be first: %s', (status, firstIfStocked) =>
    expect(substituteFor([{ ...wanted, status, firstIfStocked }])).toBeUndefined(),
  );
});

describe('figures side by side', () => {
  const row = (a: RankedMethod, name: string): string | undefined =>
    compareMethods(a, of('sealedButt')).figures.find((one) => one.name === name)?.a;
  const butt = of('sealedButt');
  test.each<[string, RankedMethod, string]>([
    ['Splices', { ...butt, splices: 2 }, '2'],
    ['Splices', { ...butt, joints: [] }, ''],
    ['Fits', of('sealedButt', { fitsWords: '1.5 in 1–2' }), '1.5 in 1–2'],
    ['Fits', { ...butt, joints: [] }, ''],
    ['Strip', of('sealedButt', { left: { ...PLAIN, stripMm: 7 }, right: { ...PLAIN, stripMm: 7 } }), '7 mm'],
    ['Strip', of('sealedButt', { left: { ...PLAIN, stripMm: 7 }, right: { ...PLAIN, stripMm: 8.5 } }), '7 and 8.5 mm'],
    [
      'Strip',
      of('sealedButt', { left: { ...FOLDED, stripMm: 14 }, right: { ...PLAIN, stripMm: 14 } }),
      '14 mm, folded',
    ],
    [
      'Strip',
      of('sealedButt', { left: { ...PLAIN, stripMm: 14 }, right: { ...FOLDED, stripMm: 14 } }),
      '14 mm, folded',
    ],
    ['Wire taken by the lap', of('sealedButt', { reach: { kind: 'butt', gapMm: 1 } as SizedJoint['reach'] }), 'none'],
    ['Wire taken by the lap', of('sealedButt', { reach: { kind: 'lapped', lapMm: 15 } }), '15 mm'],
    ['Wire taken by the lap', of('sealedButt', { reach: { kind: 'lapped', lapMm: 0 } as SizedJoint['reach'] }), 'none'],
    ['Wire taken by the lap', { ...butt, joints: [] }, ''],
    ['Body', of('sealedButt', { bodyLengthMm: 36, bodyDiameterMm: 5.2 }), '36 long, 5.2 thick'],
    ['Seal', of('sealedButt', sleeve(45)), 'Sleeve, cut 45 mm'],
    ['Seal', of('sealedButt', { seal: { kind: 'wrap', partId: 't', name: 'Tape', lengthMm: 300 } }), 'Tape, 300 mm'],
    ['Seal', of('sealedButt', { seal: { kind: 'none' } }), 'none'],
    ['Seal', of('sealedButt', { seal: { kind: 'builtIn' } }), 'built in'],
    [
      'Rated',
      of('sealedButt', {
        rated: [
          { name: 'a', ratedC: 150 },
          { name: 'b', ratedC: 125 },
        ],
      }),
      '125 °C',
    ],
    ['Steps', butt, String(methodById('sealedButt').steps)],
    ['Minutes a splice', butt, String(methodById('sealedButt').minutes)],
    ['Tools', { ...butt, toolNames: ['Crimper', 'Hot-air gun'] }, 'Crimper, Hot-air gun'],
  ])('%s', (name, method, words) => expect(row(method, name)).toBe(words));
  it('every rule that spoke of either, once, but for what only orders them', () => {
    const [a, b] = [
      { ...butt, hits: [hit('x', 'refuse'), hit('y', 'warn'), hit('p', 'prefer')] },
      { ...butt, hits: [hit('y', 'warn', { because: 'Of b.' }), hit('z', 'shelf')] },
    ];
    expect(
      compareMethods(a, b).rules.map(({ ruleId, a: ofA, b: ofB }) => [ruleId, ofA?.because, ofB?.because]),
    ).toEqual([
      ['x', 'x spoke.', undefined],
      ['y', 'y spoke.', 'Of b.'],
      ['z', undefined, 'z spoke.'],
    ]);
  });
  it('what either would need: what bars it or is not there, and whether anything lifts it', () => {
    const hits = [
      hit('x', 'refuse'),
      hit('y', 'warn'),
      hit('z', 'shelf', { allowedIf: 'the part were on the shelf', overridable: true }),
    ];
    expect(compareMethods({ ...butt, hits }, butt).aNeeds).toEqual([
      { ruleId: 'x', hard: true, words: 'Nothing would allow it: x spoke.' },
      { ruleId: 'z', hard: false, words: 'Allowed if the part were on the shelf.' },
    ]);
  });
});

describe('wire that a joint takes when it is cut out again', () => {
  const base = { left: { ...PLAIN, stripMm: 7 }, right: { ...PLAIN, stripMm: 9 }, jointLengthMm: 14, bodyLengthMm: 40 };
  const joint = (more: Partial<SizedJoint>): SizedJoint => ({ ...caseOf('plainSleeve').joints[0]!, ...base, ...more });
  const bare = joint({ seal: { kind: 'none' } });
  const sleeved = joint(sleeve(40));
  it('before its sleeve has shrunk, each side its own strip; after it, the overhang too; one without a seal never shrinks', () => {
    expect([redoLossMm(sleeved, 'left', false), redoLossMm(sleeved, 'right', false)]).toEqual([9, 11]);
    expect([redoLossMm(bare, 'left', true), redoLossMm(bare, 'right', true)]).toEqual([9, 11]);
    expect([redoLossMm(sleeved, 'left', true), redoLossMm(sleeved, 'right', true)]).toEqual([22, 24]);
    expect(redoTakesMm(sleeved)).toBe(46);
  });
  it('slack to spare keeps one redo after shrinking in hand, on both sides', () => {
    const lost = { fromMm: 100, toMm: 104 };
    const own = joint({ ...sleeve(40), reach: { kind: 'butt', gapMm: 0 } as SizedJoint['reach'] });
    const inHand = redoTakesMm(own);
    expect(spareOf(own, lost, 4 + inHand + 10)).toBeCloseTo(10, 6);
    expect(spareOf(own, lost, 4 + inHand)).toBeCloseTo(0, 6);
  });
});

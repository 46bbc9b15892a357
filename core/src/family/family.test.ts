import { describe, expect, it, test } from 'vitest';
import { stepsFor } from '../bench/index.ts';
import { FULL_SHELF, GENERIC_PARTS, GENERIC_TOOLS, PART_KINDS, TOOL_TASKS } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { facts } from '../test/samples.ts';
import { FAMILIES, familyOf, methodById, METHOD_IDS, METHODS, type SizedJoint, type SizingRequest } from './index.ts';

/** Wires that each method can be tried on: one each side, two sizes, or one that joins a whole wire. */
const TRIES: readonly Pick<SizingRequest, 'wires' | 'duty'>[] = [
  { duty: 'join', wires: { left: [facts(1.5)], right: [facts(1.5)] } },
  { duty: 'join', wires: { left: [facts(1)], right: [facts(4)] } },
  { duty: 'join', wires: { left: [facts(25)], right: [facts(25)] } },
  { duty: 'add', wires: { left: [facts(1.5)], right: [facts(1.5), facts(1.5)] } },
];
const sizesOf = (id: string): readonly SizedJoint[] =>
  TRIES.flatMap((wires) => {
    const sized = methodById(id).size({ ...wires, parts: FULL_SHELF.parts, practice: CRIMP_FIRST });
    return sized.ok ? sized.joints : [];
  });
const actsOf = (joint: SizedJoint): string[] => {
  const method = methodById(joint.methodId);
  const steps = stepsFor({
    spliceId: 'F1:only',
    make: 1,
    joint,
    side: 'only',
    whole: method.leavesWhole === true,
    leftName: 'X1',
    rightName: 'X2',
    cutLeftMm: 500,
    cutRightMm: 510,
    fromName: 'X1',
    isLead: false,
    parkSide: 'left',
    parkAtMm: 30,
    tugN: 50,
    twistBack: false,
    untwistedAtMostMm: 50,
    notch: '1.5 mm²',
    solid: false,
    ironW: 70,
    habits: CRIMP_FIRST.habits,
    stillAndDry: false,
  });
  return [...new Set(steps.flatMap(({ acts }) => acts))].filter((act) => !['cut', 'strip', 'pull'].includes(act));
};

describe('families, methods and parts', () => {
  test.each<[string, readonly string[]]>([
    ['method', METHOD_IDS],
    ['kind of part', PART_KINDS.map(({ kind }) => kind)],
    ['part', GENERIC_PARTS.map(({ id }) => id)],
    ['tool', GENERIC_TOOLS.map(({ id }) => id)],
    ['task', FAMILIES.flatMap(({ tasks }) => Object.keys(tasks))],
  ])('every %s has a name of its own', (_what, ids) => expect(new Set(ids).size).toBe(ids.length));
  it('every task of a method is one that some tool of the full shelf does', () => {
    const done = new Set(GENERIC_TOOLS.flatMap(({ tasks }) => tasks));
    expect(METHODS.flatMap(({ tasks }) => tasks.filter((task) => !done.has(task)))).toEqual([]);
    expect(Object.keys(TOOL_TASKS).sort()).toEqual([...done].sort());
  });
  it('a method that nobody has is refused by name', () =>
    expect(() => familyOf('glueGun')).toThrow(/no method "glueGun": use sealedButt, /));
});

describe.each(METHOD_IDS.map((id) => [id] as const))('%s', (id) => {
  it('is sized from the full shelf, and by parts that are there', () => {
    const joints = sizesOf(id);
    expect(joints.length).toBeGreaterThan(0);
    const known = new Set<string>(FULL_SHELF.parts.map((part) => part.id));
    expect(joints.flatMap(({ usesPartIds }) => usesPartIds.filter((partId) => !known.has(partId)))).toEqual([]);
  });
  it('does in its steps what it says that it does, and nothing else', () => {
    for (const joint of sizesOf(id)) {
      // Build-up tube is hot air of its own, where jackets are too unlike.
      const builtUp = joint.seal.kind === 'sleeve' && joint.seal.buildUp ? ['hotAir'] : [];
      expect(actsOf(joint).sort()).toEqual([...new Set([...methodById(joint.methodId).acts, ...builtUp])].sort());
    }
  });
  it('is sealed as it says', () => {
    for (const joint of sizesOf(id)) expect(joint.seal.kind).toBe(methodById(joint.methodId).seal);
  });
});

describe('a tap takes a wire off another', () => {
  const size = (...added: readonly number[]) =>
    methodById('piercingTap').size({
      duty: 'add',
      wires: { left: [facts(1.5)], right: [facts(1.5), ...added.map((area) => facts(area))] },
      parts: FULL_SHELF.parts,
      practice: CRIMP_FIRST,
    });
  test.each<[string, readonly number[], RegExp | undefined]>([
    ['one that its range holds', [1.1], undefined],
    ['one too thin for the range that holds the main wire', [0.5], /No tap takes 1.5 and 0.5 mm²/],
    ['two', [1.5, 1.5], /2 wires are to be added; a tap takes one/],
  ])('%s', (_why, added, refused) => {
    const sized = size(...added);
    expect(sized.ok ? undefined : sized.because).toEqual(
      refused === undefined ? undefined : expect.stringMatching(refused),
    );
  });
});

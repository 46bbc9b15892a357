import { describe, expect, it, test } from 'vitest';
import { GENERIC_PARTS, type Part } from '../catalogue/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST } from '../practice/index.ts';
import { facts, wire } from '../test/samples.ts';
import { wireFacts, type WireFacts } from '../wire/index.ts';
import { methodById, type MethodId, type SizedJoint } from '../family/index.ts';

const size = (
  id: MethodId,
  left: readonly WireFacts[],
  right: readonly WireFacts[],
  parts: readonly Part[] = GENERIC_PARTS,
  duty: 'join' | 'add' = 'join',
) => methodById(id).size({ wires: { left, right }, duty, parts, practice: CRIMP_FIRST });
function joint(
  id: MethodId,
  left: readonly WireFacts[],
  right: readonly WireFacts[],
  duty: 'join' | 'add' = 'join',
): SizedJoint {
  const sized = size(id, left, right, GENERIC_PARTS, duty);
  if (!sized.ok) throw new Error(sized.because);
  return sized.joints[0]!;
}
const because = (
  id: MethodId,
  left: readonly WireFacts[],
  right: readonly WireFacts[],
  parts?: readonly Part[],
): string => {
  const sized = size(id, left, right, parts);
  return sized.ok ? 'it fits' : `${sized.lacks}: ${sized.because}`;
};
const pvc = (area: number): WireFacts => wireFacts(wire(area, { jacket: { material: 'pvc', wall: 'pvcPrimary' } }));

describe('joints by size', () => {
  test.each([
    [0.13, 'sealedButt-extra small', 6, 30],
    [0.35, 'sealedButt-extra small', 6, 30],
    [0.5, 'sealedButt-small', 7, 36],
    [1, 'sealedButt-small', 7, 36],
    [1.5, 'sealedButt-middle', 7, 36],
    [2.5, 'sealedButt-middle', 7, 36],
    [4, 'sealedButt-large', 7, 41],
    [6, 'sealedButt-large', 7, 41],
  ])('%f mm² both sides: %s, strip %f, body %f', (area, partId, stripMm, bodyLengthMm) =>
    expect(joint('sealedButt', [facts(area)], [facts(area)])).toMatchObject({
      partId,
      left: { stripMm, folded: false },
      bodyLengthMm,
    }),
  );
  test.each([
    [0.35, 'clip-S', 8],
    [0.5, 'clip-S', 8],
    [0.75, 'clip-M', 9],
    [1, 'clip-M', 9],
    [1.5, 'clip-L', 10],
    [2.5, 'clip-XL', 12],
  ])('a clip for %f + %f mm²: %s, lap %f', (area, partId, lapMm) =>
    expect(joint('clipSleeve', [facts(area)], [facts(area)])).toMatchObject({
      partId,
      reach: { kind: 'lapped', lapMm },
      left: { stripMm: lapMm },
    }),
  );
  it('4 + 4 mm² is over every clip', () =>
    expect(because('clipSleeve', [facts(4)], [facts(4)])).toBe('barrel: No clip holds 4 + 4 = 8 mm².'));
  it('copper below every range is doubled over, where it lies in the bore', () => {
    const bigOnly = GENERIC_PARTS.filter((part) => part.id === 'sealedButt-small');
    const sized = size('sealedButt', [facts(0.22)], [facts(0.22)], bigOnly);
    expect(sized).toMatchObject({ ok: true, joints: [{ left: { stripMm: 14, folded: true } }] });
  });
});

describe('seals', () => {
  it('the sleeve passes the joint and grips the thinner jacket', () => {
    const { seal, bodyLengthMm, bodyDiameterMm } = joint('clipSleeve', [facts(2.5)], [facts(2.5)]);
    expect(seal).toMatchObject({ kind: 'sleeve', suppliedIdMm: 6, recoveredIdMm: 2, cutMm: 40, passesMm: 4.9 });
    expect(bodyLengthMm).toBeCloseTo(36, 9);
    expect(bodyDiameterMm).toBeCloseTo(Math.sqrt(4.9 ** 2 + 4 * 1 * (2 + 1)), 9);
  });
  it('two jackets too unlike: the thinner is built up with a short sleeve of its own', () => {
    const thick = wireFacts(wire(2.5, { jacket: { material: 'silicone', wall: 'heavy', outerDiameterMm: 9 } }));
    const { seal } = joint('plainSleeve', [facts(1.5)], [thick]);
    expect(seal).toMatchObject({ kind: 'sleeve', buildUp: { side: 'left', cutMm: 20 } });
  });
  it('a wrap needs self-fusing tape', () =>
    expect(
      because(
        'clipWrap',
        [facts(1)],
        [facts(1)],
        GENERIC_PARTS.filter((part) => part.kind !== 'tape'),
      ),
    ).toContain('no self-fusing tape'));
  it('no sleeve at all says which bore would be wanted', () =>
    expect(
      because(
        'clipSleeve',
        [facts(1)],
        [facts(1)],
        GENERIC_PARTS.filter((part) => part.kind !== 'sleeve'),
      ),
    ).toMatch(/^sleeve: No adhesive sleeve passes 2\.9 mm \(3\.19 of bore wanted\)/));
});

describe('several wires', () => {
  it('two wires in one end of a butt add up', () =>
    expect(joint('sealedButt', [facts(1.5)], [facts(0.75), facts(0.75)])).toMatchObject({
      partId: 'sealedButt-middle',
    }));
  it('four wires are too many for a butt', () =>
    expect(because('sealedButt', [facts(0.5), facts(0.5)], [facts(0.5), facts(0.5)])).toBe(
      'wires: 4 wires meet here; a butt takes 3 in all.',
    ));
  it('a wrapped joint takes one from each side', () =>
    expect(because('wrappedSolder', [facts(0.5)], [facts(0.5), facts(0.5)])).toContain('wires: 3 wires meet here'));
  it('a tap takes a branch off a whole wire and rejoins nothing', () => {
    expect(because('piercingTap', [facts(1.5)], [facts(1.5)])).toContain('cannot rejoin');
    expect(joint('piercingTap', [facts(1.5)], [facts(1.5), facts(1.25)], 'add')).toMatchObject({
      partId: 'piercingTap-middle',
      seal: { kind: 'none' },
    });
  });
});

describe('solder', () => {
  it('up to 4 mm² can be wrapped, strip 15, used up in the wrapping', () => {
    expect(joint('wrappedSolder', [pvc(1.5)], [pvc(1.5)])).toMatchObject({
      left: { stripMm: 15 },
      reach: { kind: 'lapped', lapMm: 0 },
      jointLengthMm: 18,
    });
    expect(because('wrappedSolder', [facts(6)], [facts(6)])).toContain('over the 4 mm²');
  });
  it('acid core does not count as solder, in any practice', () => {
    const acid = GENERIC_PARTS.map((part): Part => (part.kind === 'solder' ? { ...part, core: 'acid' } : part));
    const sized = methodById('wrappedSolder').size({
      wires: { left: [facts(1)], right: [facts(1)] },
      duty: 'join',
      parts: acid,
      practice: BENCH_SOLDER,
    });
    expect(sized).toMatchObject({
      ok: false,
      because: 'There is no rosin-core solder of the alloy that the practice wants; acid core is refused.',
    });
  });
});

import { describe, expect, it, test } from 'vitest';
import { CAVITY_FINDING_KINDS, endOfCircuit, findingInWords, type CavityFindingKind, type Finding } from '../damage/index.ts';
import { checkJob } from '../job/index.ts';
import { jobWith, planOf } from '../test/samples.ts';

/** A finding in cavity 1 of X2, at the end of the run of 1000. */
const at = (kind: CavityFindingKind, more: object = {}): Finding => ({ id: 'F1', circuitId: 'C1', runId: 'R1', kind, at: { nodeId: 'X2', cavity: '1' }, fromMm: 999, toMm: 1000, cutBackLeftMm: 0, cutBackRightMm: 0, ...(kind === 'tooShort' ? { shortByMm: 40 } : {}), ...more }) as Finding;
const planned = (finding: Finding, lock?: 'frontLance') => {
  const job = jobWith([]);
  const nodes = job.harness.nodes.map((node) => (node.id === 'X2' && lock ? { ...node, lock } : node));
  return planOf({ ...job, harness: { ...job.harness, nodes }, findings: [finding] });
};

describe('damage at a cavity', () => {
  test.each(CAVITY_FINDING_KINDS.map((kind) => [kind]))('%s is left to a person, with the order of ways', (kind) => {
    const [finding] = planned(at(kind)).findings;
    expect(finding).toMatchObject({ approach: 'byHand', asks: 'Work at X2, cavity 1', headline: 'Needs you: work at X2, cavity 1', splices: [] });
    expect(finding!.because.length).toBeGreaterThan(1);
  });
  test.each<[CavityFindingKind, object, 'frontLance' | undefined, RegExp]>([
    ['terminalDamaged', { sort: 'burnt' }, undefined, /find out which circuit did and why/],
    ['terminalDamaged', { sort: 'bent' }, 'frontLance', /new terminal on when the tail’s slack covers its strip, 2 mm .* held by: front lance/],
    ['housingBroken', {}, undefined, /Knowing the lock family would save them all/],
    ['housingBroken', {}, 'frontLance', /move them into a new housing, cavity by cavity: nothing is cut/],
    ['housingMelted', {}, undefined, /no wire smaller.*never by colour/],
    ['tooShort', {}, undefined, /It lacks 40 mm/],
    ['noMatingPart', {}, undefined, /Solder to its pin and pot the back/],
  ])('%s %o: the sentence of the trade', (kind, more, lock, words) => expect(planned(at(kind, more), lock).findings[0]!.because.join(' ')).toMatch(words));
  it('an airbag circuit still stops at the gate', () => {
    const job = jobWith([], { circuits: [{ kind: 'airbag' }] });
    expect(planOf({ ...job, findings: [at('terminalDamaged')] }).findings[0]?.approach).toBe('stopped');
  });
  it('does not count as a cut elsewhere on the wire', () => {
    const job = jobWith([{ kind: 'jacketRubbed', fromMm: 300, toMm: 320 }]);
    const cover = planOf({ ...job, findings: [...job.findings, { ...at('terminalDamaged'), id: 'F2' }] }).findings[0];
    expect(cover?.covers.find((one) => one.coverId === 'sleeveCover')?.status).toBe('refused');
  });
});

describe('where a cavity finding lies', () => {
  const { harness } = jobWith([]);
  it('is the end of the run at its connector', () => {
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X1')).toEqual({ runId: 'R1', cavity: '1', fromMm: 0, toMm: 1 });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X2')).toEqual({ runId: 'R1', cavity: '1', fromMm: 999, toMm: 1000 });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X9')).toBeUndefined();
  });
  test.each<[string, Finding[], string, RegExp]>([
    ['a cavity that is another circuit’s', [at('sealLost', { at: { nodeId: 'X2', cavity: '7' } })], 'NOT_ITS_CAVITY', /Circuit 1 is not in cavity 7 of X2/],
    ['the same thing twice', [at('sealLost'), { ...at('sealLost'), id: 'F2' }], 'FOUND_TWICE', /is noted for cavity 1 already/],
    ['a sort of another kind', [at('sealLost', { sort: 'burnt' })], 'NO_SUCH_SORT', /"burnt" is no sort of seal or plug lost/],
  ])('%s is refused', (_name, findings, code, message) => expect(checkJob({ ...jobWith([]), findings })).toMatchObject([{ code, message: expect.stringMatching(message) as string }]));
  it('two kinds at one cavity stand beside each other, and beside a break further along', () => {
    expect(checkJob({ ...jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]), findings: [at('sealLost'), { ...at('terminalDamaged'), id: 'F2' }, jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]).findings[0]!].map((finding, index) => ({ ...finding, id: `F${index}` })) })).toEqual([]);
  });
  it('is said in words with its sort', () => {
    expect([findingInWords(at('terminalDamaged', { sort: 'burnt' })), findingInWords(at('tooShort'))]).toEqual(['terminal damaged: burnt', 'lead too short after a part moved, by 40 mm']);
  });
});

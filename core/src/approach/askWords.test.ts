import { describe, expect, it } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { RankedMethod } from '../method/index.ts';
import { jobWith } from '../test/samples.ts';
import { asksWithoutMethod, fuseAsks } from './asks.ts';
import { ADDED_WIRE } from './electrical.ts';
import { aloneOnWire, type DecideInput, type Electrical } from './types.ts';

describe('what to do where no method may be used', () => {
  const finding = jobWith([{ kind: 'parted' }]).findings[0] as Finding;
  const input = (slackKnown: boolean): DecideInput =>
    ({ finding, share: { ...aloneOnWire(finding), slackKnown } }) as DecideInput;
  const bar = (ruleId: string, more: object = {}) => ({
    ruleId,
    verdict: 'refuse',
    because: `${ruleId} bars it.`,
    allowedIf: `${ruleId} were lifted`,
    ...more,
  });
  const method = (name: string, ...hits: readonly object[]): RankedMethod =>
    ({ name, hits }) as unknown as RankedMethod;
  const does = (ranked: readonly RankedMethod[], slackKnown = true) =>
    asksWithoutMethod(ranked, input(slackKnown)).map(({ does: what, words }) => `${what}: ${words.slice(0, 40)}`);
  const OR = 'decide: Or ask the maker of the harness for its ';
  it('a wire that no method takes is the maker’s, and nothing else is asked', () => {
    const ranked = [
      method('Clip', bar('size.range')),
      method('Butt', { verdict: 'warn' }, bar('wire.aluminium', { isOfWire: true })),
    ];
    expect(does(ranked, false)).toEqual(['decide: Ask the maker of the harness for its own']);
  });
  it('slack that nobody measured comes first', () =>
    expect(does([], false)).toEqual(['measure: Pull the harness together by hand and no', OR]));
  it('then what lifts the one bar of a method; what two bars keep out is not named', () => {
    const warned = method('Clip', { verdict: 'warn', ruleId: 'x' }, bar('solder.vibrating'));
    const twice = method('Butt', bar('rated.under'), bar('place.noRoom'));
    expect(does([warned, twice])).toEqual(['note: Clip would do if solder.vibrating were l', OR]);
  });
  it('three at most, each remedy once', () => {
    const ids = ['solder.vibrating', 'solder.flexing', 'rated.under', 'place.noRoom'];
    const ranked = [method('Again', bar('solder.vibrating')), ...ids.map((id) => method(id, bar(id)))];
    expect(does(ranked).map((words) => words.split(' ')[0])).toEqual(['note:', 'note:', 'note:', 'decide:']);
    expect(does(ranked)[1]).toContain('solder.flexing would do');
  });
  it('with nothing to lift the maker is all there is', () =>
    expect(does([method('Clip', bar('size.range', { allowedIf: undefined }))])).toEqual([
      'decide: Ask the maker of the harness for its own',
    ]));
});

describe('a fuse that does not protect', () => {
  const [circuit] = jobWith([]).harness.circuits;
  const standing = (more: Partial<Electrical>): Electrical =>
    ({ fuseA: 20, fuseProtects: false, weakest: { amps: 12.5, where: 'here' }, ...more }) as Electrical;
  const words = (more: Partial<Electrical>) => fuseAsks({ circuit: circuit! }, standing(more)).map((ask) => ask.words);
  it('nothing where it does, or where none is noted', () => {
    expect([words({ fuseProtects: true }), words({ fuseProtects: undefined }), words({ fuseA: undefined })]).toEqual([
      [],
      [],
      [],
    ]);
  });
  it('is read in its holder; where the weakest lies elsewhere, that is said', () => {
    expect(words({})[0]).toMatch(/^The 20 A fuse does not protect this wire, which may carry 12.5 A: read the fuse/);
    expect(words({ weakest: { amps: 12.5, where: 'Arm run' } })[0]).toContain('where it is weakest (Arm run): read');
  });
  it.each([
    [12.5, /a fuse of its own, 10 A at most/],
    [10, /a fuse of its own, 10 A at most/],
    [9.9, /a fuse of its own, 7.5 A at most/],
    [0.5, /: take a thicker wire/],
  ])('an added wire for %f A', (amps, what) =>
    expect(words({ weakest: { amps, where: ADDED_WIRE } })[0]).toMatch(what),
  );
});

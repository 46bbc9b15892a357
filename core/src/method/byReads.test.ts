import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rememberByReads } from './byReads.ts';

interface Place {
  readonly wet: boolean;
  readonly ambientC: number;
  readonly run?: { readonly name: string; readonly marks: readonly number[] } | undefined;
  readonly part: { readonly id: string };
}
const PARTS = [{ id: 'a' }, { id: 'b' }] as const;
const isPart = (value: object): boolean => (PARTS as readonly object[]).includes(value);
const DRY: Place = { wet: false, ambientC: 40, run: { name: 'Main', marks: [10, 20] }, part: PARTS[0] };

/** Counts how often the work is really done. */
function counted(work: (place: Place) => string) {
  const remember = rememberByReads<Place, string>(isPart);
  let times = 0;
  return {
    of: (place: Place): string =>
      remember.recall(place, (seen) => {
        times += 1;
        return work(seen);
      }),
    times: () => times,
  };
}

describe('an answer remembered by what was read for it', () => {
  it('holds for whatever differs only in what nobody read', () => {
    const { of, times } = counted(({ wet }) => (wet ? 'seal' : 'none'));
    expect([of(DRY), of({ ...DRY, ambientC: 90, run: undefined }), times()]).toEqual(['none', 'none', 1]);
    expect([of({ ...DRY, wet: true }), times()]).toEqual(['seal', 2]);
  });
  it('what is read only sometimes counts only then', () => {
    const { of, times } = counted((place) => (place.wet ? `seal for ${place.ambientC}` : 'none'));
    of(DRY);
    of({ ...DRY, ambientC: 90 });
    expect(times()).toBe(1);
    expect([of({ ...DRY, wet: true }), of({ ...DRY, wet: true, ambientC: 90 })]).toEqual([
      'seal for 40',
      'seal for 90',
    ]);
    expect(times()).toBe(3);
  });
  it('lists count by their length and what was looked at, nested things by being there', () => {
    const { of, times } = counted(({ run }) => run?.marks.map((mark) => mark * 2).join() ?? 'no run');
    expect([of(DRY), of({ ...DRY, run: { name: 'Other', marks: [10, 20] } }), times()]).toEqual(['20,40', '20,40', 1]);
    expect(of({ ...DRY, run: { name: 'Main', marks: [10, 20, 30] } })).toBe('20,40,60');
    expect(of({ ...DRY, run: { name: 'Main', marks: [10, 21] } })).toBe('20,42');
    expect(of({ ...DRY, run: undefined })).toBe('no run');
  });
  it('atoms count by being the same thing, and come out as they went in', () => {
    const remember = rememberByReads<Place, Place['part']>(isPart);
    expect(remember.recall(DRY, ({ part }) => part)).toBe(PARTS[0]);
    expect(remember.recall({ ...DRY, part: PARTS[1] }, ({ part }) => part)).toBe(PARTS[1]);
  });
  it('work that reads less once it is warm still answers right', () => {
    const cache = new Map<boolean, string>();
    const { of } = counted(({ wet, ambientC }) => {
      const known = cache.get(wet);
      if (known !== undefined) return known;
      const made = `${wet} ${ambientC > 0}`;
      cache.set(wet, made);
      return made;
    });
    expect([of(DRY), of({ ...DRY, ambientC: 50 }), of({ ...DRY, wet: true }), of(DRY)]).toEqual([
      'false true',
      'false true',
      'true true',
      'false true',
    ]);
  });
  it('gives what the work gives, for any work over any places', () => {
    const place: fc.Arbitrary<Place> = fc.record({
      wet: fc.boolean(),
      ambientC: fc.constantFrom(20, 60, 130),
      run: fc.option(fc.record({ name: fc.constantFrom('A', 'B'), marks: fc.array(fc.nat(2), { maxLength: 3 }) }), {
        nil: undefined,
      }),
      part: fc.constantFrom(...PARTS),
    });
    const work = ({ wet, ambientC, run, part }: Place): string => {
      if (ambientC > 100) return 'hot';
      if (run?.marks.some((mark) => mark === 2)) return `at ${run.name}`;
      return wet && run ? `${part.id} ${run.marks.length}` : String('run' in { run } && run === undefined);
    };
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 25 }), (places) => {
        const { of } = counted(work);
        for (const one of places) expect(of(one)).toBe(work(one));
      }),
    );
  });
});

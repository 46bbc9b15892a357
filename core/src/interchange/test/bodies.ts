import fc from 'fast-check';
import { allowedOf, casesOf, type Described } from '../schema/described.ts';

/** What no field takes for long: other types, empty and odd values. */
const ODD: fc.Arbitrary<unknown> = fc.constantFrom(null, '', ' x', 'x ', -1, 0, 0.5, 1e17, true, [], {}, [1], { a: 1 });

/** Mostly the first, now and then an odd one. */
const mostly = (right: fc.Arbitrary<unknown>, odd: fc.Arbitrary<unknown> = ODD): fc.Arbitrary<unknown> =>
  fc.oneof({ weight: 60, arbitrary: right }, { weight: 1, arbitrary: odd });

const limit = ({ rules = [] }: Described, name: string): number | undefined => {
  const found = rules.findLast((rule) => rule.name === name)?.args?.limit;
  return typeof found === 'number' ? found : undefined;
};

/** Numbers within the limits, at them, and just past them. */
function numbers(of: Described): fc.Arbitrary<unknown> {
  const whole = of.rules?.some(({ name }) => name === 'integer') === true;
  const step = whole ? 1 : 0.25;
  const low = limit(of, 'min') ?? (limit(of, 'greater') ?? 0) + step;
  const high = limit(of, 'max') ?? low + 1000;
  return mostly(
    fc.oneof(
      fc.constantFrom(low, high),
      fc.integer({ min: Math.ceil(low), max: Math.max(Math.ceil(low), Math.floor(high)) }),
    ),
    fc.constantFrom(low - step, high + step, low - 1e-9, low + 0.5, 'seven', null),
  );
}

const LETTERS = 'aB3-._ é'.split('');
function texts(of: Described): fc.Arbitrary<unknown> {
  const regex = of.rules?.find(({ name }) => name === 'pattern')?.args?.regex;
  const pattern = typeof regex === 'string' ? regex : '';
  const most = limit(of, 'max') ?? 30;
  const words = fc.constantFrom('A', 'x1', '12', 'some-words', 'a'.repeat(most));
  const byPattern = pattern.includes('T([01]')
    ? fc.constantFrom('2030-05-31T09:30:00.000Z', '2030-12-01', '2030-05-31T09:30+02:00')
    : pattern.includes('(0[1-9]')
      ? fc.constantFrom('2030-05-31', '1999-01-01')
      : pattern.includes('A-Z')
        ? fc.constantFrom('A', 'I')
        : words;
  return mostly(
    byPattern,
    fc.oneof(
      fc.string({ unit: fc.constantFrom(...LETTERS), maxLength: 4 }),
      fc.constantFrom('a'.repeat(most + 1), '2030-13-01', '2030-05-31T25:00:00Z', ' ', 'a b', 'a\nb', '\u00a0a'),
      ODD,
    ),
  );
}

/** Objects with their fields, now and then without one or with one too many. */
function objects(of: Described, depth: number): fc.Arbitrary<unknown> {
  const fields = Object.entries(of.keys ?? {});
  const [pattern] = of.patterns ?? [];
  if (pattern)
    return mostly(
      fc.dictionary(fc.constantFrom('1', '2', 'a'.repeat(10), 'a'.repeat(11)), bodies(pattern.rule, depth)),
    );
  const there = fields.map(([key, field]) => {
    const value = bodies(field, depth - 1);
    const isDeep = depth <= 0 && ['array', 'object', 'alternatives'].includes(field.type);
    const gone = fc.constant(undefined);
    const needed = field.flags?.presence === 'required';
    return [
      key,
      fc.oneof(
        { weight: needed ? 60 : isDeep || field.whens ? 1 : 6, arbitrary: value },
        { weight: needed ? 1 : 6, arbitrary: gone },
      ),
    ] as const;
  });
  return mostly(
    fc.record(Object.fromEntries(there) as Record<string, fc.Arbitrary<unknown>>).chain((whole) => {
      const kept = Object.fromEntries(Object.entries(whole).filter(([, value]) => value !== undefined));
      return fc.oneof(
        { weight: 60, arbitrary: fc.constant(kept) },
        { weight: 1, arbitrary: fc.constant({ ...kept, more: 1 }) },
      );
    }),
  );
}

/** Bodies of a described schema: mostly right, and wrong in every way that a shape can be. */
export function bodies(of: Described, depth = 3): fc.Arbitrary<unknown> {
  const allowed = allowedOf(of);
  if (of.flags?.only) return mostly(fc.constantFrom(...allowed), fc.oneof(ODD, fc.constant('none of them')));
  const own = ((): fc.Arbitrary<unknown> => {
    switch (of.type) {
      case 'number':
        return numbers(of);
      case 'string':
        return texts(of);
      case 'boolean':
        return mostly(fc.boolean());
      case 'array': {
        const [item] = of.items ?? [];
        const least = limit(of, 'min') ?? 0;
        const lists = fc.array(item ? bodies(item, depth - 1) : fc.constant(1), {
          minLength: least,
          maxLength: least + (depth > 0 ? 2 : 0),
        });
        return mostly(lists, fc.oneof(fc.constant([]), ODD));
      }
      case 'object':
        return objects(of, depth);
      case 'alternatives':
        return fc.oneof(
          ...(of.matches ?? []).flatMap((match) => {
            const { cases, otherwise } = casesOf(match);
            return [...cases.map(({ then }) => then), otherwise].flatMap((one) => (one ? [bodies(one, depth)] : []));
          }),
        );
      default:
        return ODD;
    }
  })();
  return allowed.length === 0 ? own : fc.oneof(own, fc.constantFrom(...allowed));
}

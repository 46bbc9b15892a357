/** What an object that is walked into stands for among what was read: only that it is there. */
const THERE = Symbol('there');

type Path = readonly string[];

/** What was read: what stands at a path, or which names there are. */
interface Read {
  readonly asks: 'value' | 'names';
  readonly path: Path;
  readonly value: unknown;
}

/** What has been read so far decides what is read next: one path, and a branch for each value that was seen there. */
interface Asked<R> {
  readonly asks: Read['asks'];
  readonly path: Path;
  readonly branches: Map<unknown, Step<R>>;
}
/** After some reads: what may be asked next, or the answer. */
interface Step<R> {
  readonly asked: Asked<R>[];
  answer?: { readonly is: R };
}

const isWalked = (value: unknown, isAtom: (value: object) => boolean): value is object =>
  typeof value === 'object' && value !== null && !isAtom(value);

const samePath = (a: Path, b: Path): boolean => a.length === b.length && a.every((key, at) => key === b[at]);

/** The names of a thing; of a list its length says them. */
const namesOf = (value: object): string | number => (Array.isArray(value) ? value.length : Object.keys(value).join());

/** What a read gives of a subject; a thing that is walked into is only there. */
function answerOf(
  subject: object,
  { asks, path }: Pick<Read, 'asks' | 'path'>,
  isAtom: (value: object) => boolean,
): unknown {
  let at: unknown = subject;
  for (const key of path) {
    if (typeof at !== 'object' || at === null) return undefined;
    at = Reflect.get(at, key);
  }
  if (!isWalked(at, isAtom)) return at;
  return asks === 'names' ? namesOf(at) : THERE;
}

/**
 * A likeness of a thing that notes the first read of everything in it, in their order; from then on it is as quick as
 * the thing.
 */
function noted<S extends object>(subject: S, isAtom: (value: object) => boolean, reads: Read[]): S {
  const likeness = (of: object, path: Path): object => {
    reads.push({ asks: 'names', path, value: namesOf(of) });
    const made: object = Array.isArray(of) ? [] : {};
    for (const key of Object.keys(of)) {
      const here = [...path, key];
      const settle = (): unknown => {
        const value: unknown = Reflect.get(of, key);
        const walked = isWalked(value, isAtom);
        reads.push({ asks: 'value', path: here, value: walked ? THERE : value });
        const given = walked ? likeness(value, here) : value;
        Object.defineProperty(made, key, { value: given, enumerable: true, configurable: true });
        return given;
      };
      Object.defineProperty(made, key, { get: settle, enumerable: true, configurable: true });
    }
    return made;
  };
  return likeness(subject, []) as S;
}

/** Answers so far, each by what was read for it. */
export interface Remembered<S extends object, R> {
  /** The answer for a subject, worked out where none is known yet. */
  readonly recall: (subject: S, work: (subject: S) => R) => R;
  readonly size: () => number;
}

/**
 * Remembers what a pure function makes of a subject, by what it read of it: another subject that is the same in all of
 * that gets the same answer. What was read is noted while the function works, so nothing that it reads can be forgotten
 * in a key.
 * @param isAtom things that are told apart by being the same thing, and not walked into
 */
export function rememberByReads<S extends object, R>(isAtom: (value: object) => boolean): Remembered<S, R> {
  let answers = 0;
  const root: Step<R> = { asked: [] };
  const find = (step: Step<R>, subject: S): { readonly is: R } | undefined => {
    if (step.answer) return step.answer;
    for (const asked of step.asked) {
      const next = asked.branches.get(answerOf(subject, asked, isAtom));
      const found = next && find(next, subject);
      if (found) return found;
    }
    return undefined;
  };
  const recall: Remembered<S, R>['recall'] = (subject, work) => {
    const known = find(root, subject);
    if (known) return known.is;
    const reads: Read[] = [];
    const is = work(noted(subject, isAtom, reads));
    let step = root;
    for (const { asks, path, value } of reads) {
      let asked = step.asked.find((one) => one.asks === asks && samePath(one.path, path));
      if (!asked) {
        asked = { asks, path, branches: new Map() };
        step.asked.push(asked);
      }
      let next = asked.branches.get(value);
      if (!next) {
        next = { asked: [] };
        asked.branches.set(value, next);
      }
      step = next;
    }
    step.answer = { is };
    answers += 1;
    return is;
  };
  return { recall, size: () => answers };
}

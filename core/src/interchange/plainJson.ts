/** No thing that is sent lies deeper: a job file has some twelve levels. */
const DEEPEST = 40;

/** A half of a pair of code units without the other: no letter, and nothing that a file or an address can hold. */
const isLetters = (text: string): boolean => !/\p{Surrogate}/u.test(text);

/**
 * Why a value that was read from JSON is none that anything here could be; nothing where it may be.
 * It is walked without recursion: what is nested a million times ends no process.
 */
export function whyNotPlain(value: unknown): string | undefined {
  const left: (readonly [value: unknown, depth: number])[] = [[value, 1]];
  for (let next = left.pop(); next !== undefined; next = left.pop()) {
    const [one, depth] = next;
    if (typeof one === 'string' && !isLetters(one)) return 'A text in it has half a letter (a surrogate by itself).';
    if (typeof one !== 'object' || one === null) continue;
    if (depth > DEEPEST) return `It is nested more than ${DEEPEST} deep.`;
    if (Array.isArray(one)) for (const item of one) left.push([item, depth + 1]);
    else
      for (const [key, item] of Object.entries(one)) {
        if (!isLetters(key)) return 'A name in it has half a letter (a surrogate by itself).';
        left.push([item, depth + 1]);
      }
  }
  return undefined;
}

import type { Catalogue } from '../catalogue/index.ts';
import type { Practice } from '../practice/index.ts';
import { warm, type Warm } from './decideOne.ts';

/** Rankings after which what is remembered is let go, so that it does not grow for ever. */
const MOST_RANKED = 4000;

/**
 * Memories for planning, by what practice and shelf say and not by which objects they are: for whoever reads both anew
 * every time. A run that did not change is then not searched again.
 * @param kept how many are kept, the ones used last
 */
export function memories(kept: number): (practice: Practice, catalogue: Catalogue) => Warm {
  const known = new Map<string, Warm>();
  return (practice, catalogue) => {
    const key = JSON.stringify([practice, catalogue]);
    const found = known.get(key);
    const memory = found && found.shelf.ranked.size() <= MOST_RANKED ? found : warm(practice, catalogue);
    known.delete(key);
    known.set(key, memory);
    const [oldest] = known.keys();
    if (known.size > kept && oldest !== undefined) known.delete(oldest);
    return memory;
  };
}

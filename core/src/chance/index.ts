/** Numbers from 0 to 1 that are the same on every machine and every time. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

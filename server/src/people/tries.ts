import { AppError } from '../errors.ts';

/** So many wrong tries are free. */
const FREE = 5;
const FIRST_WAIT_MS = 30_000;
const MOST_WAIT_MS = 900_000;
/** Wrong tries are forgotten after a day. */
const FORGOTTEN_MS = 86_400_000;
/** So many names are remembered; the oldest go first. */
const NAMES_MOST = 10_000;

interface Tried {
  wrong: number;
  until: number;
  at: number;
}

/** How long the next try waits after so many wrong ones, ms: half a minute after the fifth, twice as long each time. */
const waitAfter = (wrong: number): number =>
  wrong < FREE ? 0 : Math.min(FIRST_WAIT_MS * 2 ** (wrong - FREE), MOST_WAIT_MS);

/** "40 s", "8 min". */
const waitWords = (ms: number): string => (ms < 90_000 ? `${Math.ceil(ms / 1000)} s` : `${Math.ceil(ms / 60_000)} min`);

/**
 * Wrong PINs by name, whether anybody has that name or not. A try counts as wrong from the moment that it is made, so
 * that many at once are not free.
 */
export function makeTries(now: () => number) {
  const byName = new Map<string, Tried>();
  return {
    /** @throws AppError SIGN_IN_WAITS while the name waits */
    begin(name: string): void {
      const at = now();
      const tried = byName.get(name);
      if (tried && tried.until > at)
        throw new AppError(
          'SIGN_IN_WAITS',
          `${tried.wrong} wrong tries: the next one in ${waitWords(tried.until - at)}.`,
        );
      const wrong = tried && at - tried.at < FORGOTTEN_MS ? tried.wrong + 1 : 1;
      byName.delete(name);
      byName.set(name, { wrong, at, until: at + waitAfter(wrong) });
      const [oldest] = byName.keys();
      if (byName.size > NAMES_MOST && oldest !== undefined) byName.delete(oldest);
    },
    right: (name: string): void => void byName.delete(name),
  };
}

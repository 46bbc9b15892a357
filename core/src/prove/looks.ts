import type { CheckBase } from './kind.ts';
import type { LookAnswer, Ruling } from './types.ts';

/** A ruling that lets it pass, maybe only just. */
export const pass = (cause: string, watch = false, next = ''): Ruling => ({ verdict: 'pass', watch, cause, next });

export const good = (words: string): LookAnswer => ({
  value: 'good',
  words,
  verdict: 'pass',
  watch: false,
  cause: words,
  next: '',
});
export const bad = (
  verdict: 'rework' | 'scrap',
  value: string,
  words: string,
  cause: string,
  next: string,
): LookAnswer => ({ value, words, verdict, watch: false, cause, next });

/** A look at a joint that has to be answered. */
export const look = (
  id: string,
  title: string,
  how: string,
  answers: readonly LookAnswer[],
): CheckBase & { readonly kind: 'look'; readonly answers: readonly LookAnswer[] } => ({
  id,
  kind: 'look',
  title,
  how,
  required: true,
  answers,
});

export const CUT_OUT = 'Cut it out and make it again.';

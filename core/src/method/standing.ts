import type { MethodStatus, RuleHit } from './types.ts';

/** What decides where something stands: what refuses it, else what is not there; never a warning that spoke before. */
export const deciding = (hits: readonly RuleHit[]): RuleHit | undefined =>
  hits.find(({ verdict }) => verdict === 'refuse') ?? hits.find(({ verdict }) => verdict === 'shelf');

/** Where something stands by what the rules said. */
export function statusOf(hits: readonly RuleHit[]): MethodStatus {
  const verdict = deciding(hits)?.verdict;
  return verdict === 'refuse' ? 'refused' : verdict === 'shelf' ? 'shelf' : 'allowed';
}

/** Why one stands first that has no allowed rival. */
export const ONLY_ONE = 'The only one that every rule allows here.';

/** Why one stands where it stands that no preference tells apart from its rival. */
export const equalTo = (rival: string): string => `No preference tells it apart from ${rival}.`;

import { lackRated, notOnShelf, type Lack, type Part } from '../catalogue/index.ts';
import { ratedWords, type RuleHit, type Source } from '../method/index.ts';

/** A rule that has spoken about a cover or a terminal; what it refuses no practice lifts. */
export const hit = (
  ruleId: string,
  verdict: RuleHit['verdict'],
  because: string,
  source: Source,
  allowedIf?: string,
  orders?: readonly Lack[],
): RuleHit => ({ ruleId, verdict, because, source, overridable: verdict !== 'refuse', allowedIf, orders });

export const shelfHit = (...lacks: readonly Lack[]): RuleHit =>
  hit('shelf.part', 'shelf', notOnShelf(lacks), 'counted on the shelf');

/** Refused where a part does not stand the heat of the place. @param placeC ambient and own heating, °C */
export function ratedHits(parts: readonly Part[], placeC: number): RuleHit[] {
  const under = parts.filter((part) => part.ratedC < placeC);
  const [first] = under;
  if (!first) return [];
  return [
    hit(
      'rated.under',
      'refuse',
      ratedWords(first, placeC),
      'stamped on the part, else usual; physics of copper: own heating by its load',
      'the place stayed cooler, or a part rated for it were available',
      under.map((part) => lackRated(part, placeC)),
    ),
  ];
}

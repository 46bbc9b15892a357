import { notOnShelf, type Lack } from '../catalogue/index.ts';
import type { RuleHit, Source } from '../method/index.ts';
import { figure } from '../units/index.ts';

/** A rule that has spoken about a cover or a terminal; what it refuses no practice lifts. */
export const hit = (
  ruleId: string,
  verdict: RuleHit['verdict'],
  because: string,
  source: Source,
  allowedIf?: string,
): RuleHit => ({ ruleId, verdict, because, source, overridable: verdict !== 'refuse', allowedIf });

export const shelfHit = (...lacks: readonly Lack[]): RuleHit =>
  hit('shelf.part', 'shelf', notOnShelf(lacks), 'counted on the shelf');

/** Refused where a part does not stand the heat of the place. @param placeC ambient and own heating, °C */
export const ratedHits = (
  parts: readonly { readonly name: string; readonly ratedC: number }[],
  placeC: number,
): RuleHit[] =>
  parts
    .filter((part) => part.ratedC < placeC)
    .slice(0, 1)
    .map((part) =>
      hit(
        'rated.under',
        'refuse',
        `${part.name} is rated ${part.ratedC} °C; ambient and own heating reach ${figure(placeC, 0)}.`,
        'stamped on the part, else usual; physics of copper: own heating by its load',
        'the place stayed cooler, or a part rated for it were available',
      ),
    );

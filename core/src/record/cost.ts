import type { Catalogue } from '../catalogue/index.ts';
import type { FindingPlan } from '../plan/index.ts';
import type { Made, PartTaken, TakenFrom } from './made.ts';
import type { RecordCost } from './types.ts';

/** What a part that was taken costs: of a stick no more than was cut; a tape has no length that its price is of. */
function priceOf({ partId, cutMm }: PartTaken, { parts }: Pick<Catalogue, 'parts'>): number | undefined {
  const part = parts.find(({ id }) => id === partId);
  if (part?.price === undefined) return undefined;
  if (cutMm === undefined) return part.price;
  return part.kind === 'sleeve' ? (part.price * cutMm) / part.stickMm : undefined;
}

/**
 * What one of a finding's makes cost by the shelf's prices: parts and wire as cut, redos not counted; with the bench
 * minutes that its way was planned with, shared evenly among all that is made of the finding.
 * @returns parts only where the shelf has a price of any; what has none is named
 */
export function costOf(made: Made, finding: FindingPlan, makes: number, shelf: TakenFrom): RecordCost {
  const planned = finding.ways.find(({ way }) => way === finding.approach)?.cost.minutes ?? 0;
  const priced = [
    ...made.parts.map((part) => ({ name: part.name, price: priceOf(part, shelf) })),
    ...made.wires.map(({ name, mm, stockId }) => {
      const perM = shelf.wires.find(({ id }) => id === stockId)?.pricePerM;
      return { name, price: perM === undefined ? undefined : (perM * mm) / 1000 };
    }),
  ];
  const known = priced.flatMap(({ price }) => (price === undefined ? [] : [price]));
  const unpriced = priced.filter(({ price }) => price === undefined).map(({ name }) => name);
  return {
    minutes: Math.round((planned / Math.max(1, makes)) * 10) / 10,
    ...(known.length === 0 ? {} : { parts: Math.round(known.reduce((sum, one) => sum + one, 0) * 100) / 100 }),
    ...(known.length > 0 && unpriced.length > 0 ? { unpriced } : {}),
  };
}

import type { Catalogue } from '../catalogue/index.ts';
import type { Job } from '../job/index.ts';
import type { KitNeed } from '../kit/index.ts';
import { allNeeds, makesOf, minutesOf, type Plan } from '../plan/index.ts';
import { colourInWords, wireInWords } from '../wire/index.ts';
import type { RecordCost } from './types.ts';

/** Something that was taken, and its price where the shelf has one. */
interface Priced {
  readonly name: string;
  readonly price: number | undefined;
}

/**
 * What a need takes, as the kit counts it, with prices: a sleeve by what is cut of its stick, wire by its length, what
 * serves several needs in equal shares. Solder and tape have no price by what is used of a reel or a roll.
 */
function pricedOf(need: KitNeed, all: readonly KitNeed[], { parts, wires }: Catalogue): Priced[] {
  const partOf = (id: string) => parts.find((one) => one.id === id);
  const priced = (id: string, share: number | undefined): Priced => {
    const { name = id, price } = partOf(id) ?? {};
    return { name, price: price === undefined || share === undefined ? undefined : price * share };
  };
  const bulk = new Set([...need.sleeveCuts, ...need.tapeMm].map(({ partId }) => partId));
  return [
    ...need.partIds
      .filter((id) => !bulk.has(id))
      .map((id) => priced(id, partOf(id)?.kind === 'solder' ? undefined : 1)),
    ...(need.sharedPartIds ?? []).map(({ partId, per }) => {
      const isSame = (one: { readonly partId: string; readonly per: string }) =>
        one.partId === partId && one.per === per;
      return priced(partId, 1 / all.filter(({ sharedPartIds = [] }) => sharedPartIds.some(isSame)).length);
    }),
    ...need.sleeveCuts.map(({ partId, cutMm }) => {
      const part = partOf(partId);
      return priced(partId, part?.kind === 'sleeve' ? cutMm / part.stickMm : undefined);
    }),
    ...need.tapeMm.map(({ partId }) => priced(partId, undefined)),
    ...(need.wire ? [wireOf(need.wire, wires)] : []),
  ];
}

/** Wire by its length; where the reels that it may be cut from cost differently, nobody knows. */
function wireOf({ spec, lengthMm }: NonNullable<KitNeed['wire']>, wires: Catalogue['wires']): Priced {
  const name = `${wireInWords(spec)}, ${colourInWords(spec.colour)}`;
  const alike = wires.filter(({ wire }) => `${wireInWords(wire)}, ${colourInWords(wire.colour)}` === name);
  const [perM, ...others] = new Set(alike.map(({ pricePerM }) => pricePerM));
  return { name, price: perM === undefined || others.length > 0 ? undefined : (perM * lengthMm) / 1000 };
}

/** What was taken for each make, by its id: what is of its finding and of none of its makes goes with the first. */
function takenFor(job: Job, plan: Plan): ReadonlyMap<string, readonly KitNeed[]> {
  const taken = new Map<string, KitNeed[]>(plan.findings.flatMap(makesOf).map(({ id }) => [id, []]));
  for (const need of allNeeds(job, plan.findings)) {
    // What a mishap used up is named by its redo.
    const spentOn = job.redos.find(({ id }) => need.spliceId === `spent ${id}`)?.findingId;
    const first = plan.findings.find(
      ({ findingId }) => findingId === spentOn || need.spliceId.startsWith(`${findingId}:`),
    );
    const owner = taken.has(need.spliceId) ? need.spliceId : first && makesOf(first)[0]?.id;
    if (owner !== undefined) taken.get(owner)?.push(need);
  }
  return taken;
}

/**
 * What each make of a plan costs by the shelf's prices, by its id: all that the kit counts for it, mishaps too; with
 * the bench minutes that its finding was planned with, shared evenly among all that is made of it.
 * @returns parts only where the shelf has a price of any, and the kit knows all of them; what has no price is named
 */
export function costsOf(job: Job, plan: Plan, shelf: Catalogue): ReadonlyMap<string, RecordCost> {
  const taken = takenFor(job, plan);
  const all = [...taken.values()].flat();
  const minutes = minutesOf(plan);
  const numbers = new Map(job.harness.circuits.map(({ id, number }) => [id, number]));
  return new Map(
    plan.findings.flatMap((finding) => {
      const makes = makesOf(finding);
      const isCounted = !plan.kit.unanswered.includes(numbers.get(finding.circuitId) ?? finding.circuitId);
      return makes.map(({ id }): [string, RecordCost] => {
        const priced = isCounted ? (taken.get(id) ?? []).flatMap((need) => pricedOf(need, all, shelf)) : [];
        const known = priced.flatMap(({ price }) => price ?? []);
        const unpriced = [...new Set(priced.filter(({ price }) => price === undefined).map(({ name }) => name))];
        return [
          id,
          {
            minutes: Math.round(((minutes.get(finding.findingId) ?? 0) / makes.length) * 10) / 10,
            ...(known.length === 0 ? {} : { parts: Math.round(known.reduce((sum, one) => sum + one, 0) * 100) / 100 }),
            ...(known.length > 0 && unpriced.length > 0 ? { unpriced } : {}),
          },
        ];
      });
    }),
  );
}

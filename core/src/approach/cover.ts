import { spiralTapeMm } from '../bundle/index.ts';
import { findStanding, lackNamed, lackOf, partsOf, type Catalogue, type Part } from '../catalogue/index.ts';
import type { TapePart } from '../stock/index.ts';
import { WRAP_LAYERS } from '../family/index.ts';
import type { Zone } from '../harness/index.ts';
import { deciding, statusOf, toolThat, type MethodStatus, type RuleHit } from '../method/index.ts';
import type { Practice } from '../practice/index.ts';
import { byPreference, overSleeveMm, sleeveCutMm, sleeveFits } from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import { hit, ratedHits, shelfHit } from './hits.ts';
import type { CoverId, RankedCover } from './types.ts';

/** What a cover must go over and stand. Lengths in mm. */
export interface CoverSite {
  readonly damageMm: number;
  readonly jacketMm: number;
  readonly freedEndMm?: number | undefined;
  readonly zone: Zone;
  readonly placeC: number;
  readonly vapourAired: boolean;
}

function sleeveCover(site: CoverSite, practice: Practice, catalogue: Catalogue): RankedCover {
  const { overlapMm, slideFactor, gripShare } = practice.figures;
  const passMm = Math.max(site.freedEndMm ?? 0, site.jacketMm);
  const need = { passMm, gripMm: site.jacketMm, slideFactor, gripShare };
  const fits = (adhesive: boolean) => (parts: readonly Part[]) =>
    sleeveFits(partsOf(parts, 'sleeve'), { ...need, adhesive });
  const glued = findStanding(catalogue, site.placeC, fits(true));
  // A single wall only where it is dry and no adhesive sleeve that is there fits or stands the place.
  const isGlued = glued?.onShelf === true && glued.part.ratedC >= site.placeC;
  const plain = isGlued || site.zone.moisture !== 'dry' ? undefined : findStanding(catalogue, site.placeC, fits(false));
  const found = plain?.onShelf && plain.part.ratedC >= site.placeC ? plain : glued;
  const part = found?.part;
  const hits: RuleHit[] = [];
  if (site.freedEndMm === undefined)
    hits.push(
      hit(
        'cover.noFreeEnd',
        'refuse',
        'No end of this wire can be freed, so no sleeve can be slid over the place.',
        'geometry of the harness',
      ),
    );
  if (!part)
    hits.push(
      hit(
        'sleeve.none',
        'refuse',
        `No sleeve passes ${figure(passMm)} mm and grips the ${figure(site.jacketMm)} mm jacket.`,
        'practice figure: how a sleeve slides and grips',
      ),
    );
  if (site.zone.fuelVapour && !site.vapourAired)
    hits.push(
      hit(
        'vapour.hotAir',
        'refuse',
        'There can be fuel vapour here: no hot air until aired and measured.',
        'trade practice',
      ),
    );
  const gun = toolThat(catalogue.tools, 'hotAir');
  const lacks = [
    ...(found && !found.onShelf ? [lackOf(found.part)] : []),
    ...(gun ? [] : [lackNamed('a hot-air gun to shrink a sleeve with')]),
  ];
  if (found) hits.push(...ratedHits([found.part], site.placeC));
  if (found && !found.onShelf) hits.push(shelfHit(lackOf(found.part)));
  if (!gun)
    hits.push(hit('shelf.tool', 'shelf', 'There is no hot-air gun to shrink a sleeve with.', 'counted on the shelf'));
  const status = statusOf(hits);
  return {
    lacks,
    toolNames: gun ? [gun.name] : [],
    coverId: 'sleeveCover',
    name: 'Adhesive sleeve over the jacket',
    status,
    hits,
    partId: part?.id,
    partName: part?.name ?? 'adhesive sleeve',
    diameterMm: part ? overSleeveMm(site.jacketMm, part) : site.jacketMm,
    lengthMm: part ? sleeveCutMm(site.damageMm, overlapMm, part.series) : 0,
    because:
      status === 'allowed'
        ? `An end can be freed: a sleeve over ${figure(site.damageMm, 0)} mm of bare place needs no cut.`
        : (deciding(hits)?.because ?? ''),
  };
}

function wrapCover(tape: TapePart['tape'], site: CoverSite, practice: Practice, catalogue: Catalogue): RankedCover {
  const found = findStanding(catalogue, site.placeC, (parts) =>
    partsOf(parts, 'tape')
      .filter((one) => one.tape === tape)
      .sort(byPreference((one) => ({ upperLimitMm2: 0, diameterMm: one.thicknessMm, lengthMm: 0 }))),
  );
  const part = found?.part;
  const dry = site.zone.moisture === 'dry';
  const hits: RuleHit[] = [];
  if (tape === 'cloth' && !dry)
    hits.push(hit('cover.clothDamp', 'refuse', 'Cloth tape holds water: only in a dry run.', 'trade practice'));
  const lacks = found && !found.onShelf ? [lackOf(found.part)] : [];
  if (found) hits.push(...ratedHits([found.part], site.placeC));
  if (lacks.length > 0) hits.push(shelfHit(...lacks));
  if (tape === 'selfFusing' && site.zone.moisture === 'wet')
    hits.push(
      hit(
        'cover.fusingWet',
        'warn',
        'In a wet run a wrap is second best: free an end if you can and use a sleeve.',
        'trade practice',
      ),
    );
  const status = statusOf(hits);
  const id: CoverId = tape === 'cloth' ? 'clothWrap' : 'fusingWrap';
  return {
    lacks,
    toolNames: [],
    coverId: id,
    name: tape === 'cloth' ? 'Cloth tape over the jacket' : 'Self-fusing tape over the jacket',
    status,
    hits,
    partId: part?.id,
    partName: part?.name ?? 'tape',
    diameterMm: site.jacketMm + (part ? 2 * WRAP_LAYERS * part.thicknessMm : 0),
    lengthMm: part
      ? spiralTapeMm({
          diameterMm: site.jacketMm,
          lengthMm: site.damageMm + 2 * practice.figures.overlapMm,
          widthMm: part.widthMm,
          thicknessMm: part.thicknessMm,
          lap: 0.5,
        })
      : 0,
    because:
      status === 'allowed'
        ? tape === 'cloth'
          ? 'Dry here, and tape needs no free end.'
          : 'Fuses to itself and needs no free end.'
        : (deciding(hits)?.because ?? ''),
  };
}

const STATUS_ORDER: Record<MethodStatus, number> = { allowed: 0, shelf: 1, refused: 2 };

/**
 * Every way of covering a bared jacket, ranked: a sleeve where an end can be freed, else cloth tape where dry,
 * self-fusing where damp.
 */
export function rankCovers(site: CoverSite, practice: Practice, catalogue: Catalogue): RankedCover[] {
  const cloth = wrapCover('cloth', site, practice, catalogue);
  const fusing = wrapCover('selfFusing', site, practice, catalogue);
  return [
    sleeveCover(site, practice, catalogue),
    ...(site.zone.moisture === 'dry' ? [cloth, fusing] : [fusing, cloth]),
  ].sort((a, b) => STATUS_ORDER[a.status] - STATUS_ORDER[b.status]);
}

import { spiralTapeMm } from '../../bundle/index.ts';
import { findStanding, partsOf, type Part } from '../../catalogue/index.ts';
import { lengthwiseShrink, sleeveFits, wireSealFits } from '../../sizing/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { bodyOf, type Form } from '../../terminal/index.ts';
import { ceilTo } from '../../units/index.ts';
import type { EndSeal, EndSite } from './types.ts';

/**
 * Barrel assumed where a part does not say its own: as long as a usual one, and a little thicker than the jacket; mm.
 */
const USUAL_BARREL_MM = 10;
const THICKER_BY_MM = 1.5;

/** A seal that was found, what of it is taken from the shelf, and whether it is there. */
export interface FoundSeal {
  readonly seal: EndSeal;
  readonly part?: Part | undefined;
  readonly onShelf: boolean;
}

/** Whether water is to be kept out here: as noted at the cavity, else by the place. */
export const wantsSeal = ({ fitting, isConnector, zone }: EndSite, form: Form): boolean => {
  if (form.sealing !== 'wireSeal') return zone.moisture !== 'dry';
  if (!isConnector) return false;
  // A plug closes an empty cavity of a connector that is sealed: the wire that takes its place is sealed too.
  return fitting?.seal === undefined ? zone.moisture !== 'dry' : fitting.seal !== 'none';
};

/**
 * A sleeve over barrel and jacket, slid on before the crimp: it passes the barrel, grips the jacket, and laps it by the
 * usual overlap.
 */
function sleeveOver({ wire, practice, catalogue, placeC }: EndSite, part: TerminalPart): FoundSeal | undefined {
  const { slideFactor, gripShare, overlapMm } = practice.figures;
  const passMm = Math.max(wire.jacketMm, part.barrelOuterMm ?? wire.jacketMm + THICKER_BY_MM);
  const found = findStanding(catalogue, placeC, (parts) =>
    sleeveFits(partsOf(parts, 'sleeve'), { slideFactor, gripShare, passMm, gripMm: wire.jacketMm, adhesive: true }),
  );
  if (!found) return undefined;
  const { part: sleeve, onShelf } = found;
  const lengthMm = (part.barrelLengthMm ?? USUAL_BARREL_MM) + overlapMm;
  return {
    seal: {
      kind: 'sleeve',
      partId: sleeve.id,
      name: sleeve.name,
      cutMm: ceilTo(lengthMm / (1 - lengthwiseShrink(sleeve.series))),
    },
    part: sleeve,
    onShelf,
  };
}

/** Self-fusing tape over barrel and jacket, where no heat may be used. */
function wrapOver({ wire, practice, catalogue, placeC }: EndSite, part: TerminalPart): FoundSeal | undefined {
  const found = findStanding(catalogue, placeC, (parts) =>
    partsOf(parts, 'tape').filter((tape) => tape.tape === 'selfFusing'),
  );
  if (!found) return undefined;
  const { part: tape, onShelf } = found;
  return {
    seal: {
      kind: 'wrap',
      partId: tape.id,
      name: tape.name,
      lengthMm: ceilTo(
        spiralTapeMm({
          diameterMm: Math.max(wire.jacketMm, part.barrelOuterMm ?? 0),
          lengthMm: (part.barrelLengthMm ?? USUAL_BARREL_MM) + practice.figures.overlapMm,
          widthMm: tape.widthMm,
          thicknessMm: tape.thicknessMm,
          lap: 0.5,
        }),
      ),
    },
    part: tape,
    onShelf,
  };
}

/**
 * What seals a terminal where it has to be sealed: in a housing the wire seal that takes the jacket; elsewhere its own
 * tube, else an adhesive sleeve over barrel and jacket; tape only where vapour forbids heat. Nothing where nothing
 * does.
 */
export function sealFor(site: EndSite, form: Form, part: TerminalPart): FoundSeal | undefined {
  if (form.sealing === 'wireSeal') {
    const found = findStanding(site.catalogue, site.placeC, (parts) =>
      wireSealFits(partsOf(parts, 'wireSeal'), site.wire.jacketMm),
    );
    return (
      found && {
        seal: { kind: 'wireSeal', partId: found.part.id, name: found.part.name },
        part: found.part,
        onShelf: found.onShelf,
      }
    );
  }
  if (form.sealing !== 'sleeve') return undefined;
  if (site.zone.fuelVapour && !site.vapourAired) return wrapOver(site, part);
  if (bodyOf(part) === 'ownTube') return { seal: { kind: 'ownTube', name: 'its own adhesive tube' }, onShelf: true };
  return sleeveOver(site, part);
}

import { findStanding, lackNamed, lackOf, partsOf, type Lack } from '../../catalogue/index.ts';
import { cavityKindOf } from '../../damage/index.ts';
import { toolThat } from '../../method/index.ts';
import { lengthwiseShrink, sleeveFits } from '../../sizing/index.ts';
import { ceilTo, figure } from '../../units/index.ts';
import type { Cable } from '../../harness/index.ts';
import { colourInWords, jacketDiameterMm } from '../../wire/index.ts';
import type { Ask } from '../askTypes.ts';
import type { CableEnd } from '../cavityTypes.ts';
import { onceThere, type At } from './at.ts';

/** The jacket of a cable goes back so far, mm. Source: work, prepare the wire. */
const JACKET_BACK_MM = 40;

/** The end of a cable made anew, what of it is not there, and what has to be measured for it. */
export interface CableWork {
  readonly cable?: CableEnd | undefined;
  readonly lacks: readonly Lack[];
  readonly asks: readonly Ask[];
  readonly warnings: readonly string[];
  readonly toolNames?: readonly string[];
}

const NONE: CableWork = { lacks: [], asks: [], warnings: [] };

const cutOf = (backMm: number, overlapMm: number, shrink: number): number =>
  ceilTo((2 * overlapMm + backMm) / (1 - shrink));

/**
 * The same end with its jacket further back: a core that is spliced is laid bare past its splice, and the sleeve closes
 * all of it.
 */
export function withJacketBack(cable: CableEnd, backMm: number): CableEnd {
  const most = Math.max(cable.backMm, ceilTo(backMm));
  const { sleeve } = cable;
  return {
    ...cable,
    backMm: most,
    ...(sleeve ? { sleeve: { ...sleeve, cutMm: cutOf(most, sleeve.overlapMm, sleeve.shrink) } } : {}),
  };
}

/**
 * The sleeve over the end of an unused core, and what of it is not there: half of it grips, half stands over and is
 * pinched shut.
 */
function spareEnds(at: At): { readonly spare?: CableEnd['spare']; readonly lacks: readonly Lack[] } {
  const { input, electrical } = at;
  const { slideFactor, gripShare, overlapMm } = input.practice.figures;
  const cores = input.cable?.spares.length ?? 0;
  const jacketMm = jacketDiameterMm(input.circuit.wire);
  const found = findStanding(input.catalogue, electrical.placeC, (parts) =>
    sleeveFits(partsOf(parts, 'sleeve'), {
      slideFactor,
      gripShare,
      passMm: jacketMm,
      gripMm: jacketMm,
      adhesive: true,
    }),
  );
  if (cores === 0 || !found) return { lacks: [] };
  const { part, onShelf } = found;
  return {
    spare: { partId: part.id, name: part.name, cutMm: ceilTo((2 * overlapMm) / (1 - lengthwiseShrink(part.series))) },
    lacks: onShelf ? [] : [lackOf(part)],
  };
}

/** Colours of the unused cores, as far as somebody has looked. */
function spareColours(cable: Cable | undefined): Pick<CableEnd, 'spareColours'> {
  const colours = (cable?.spares ?? []).flatMap(({ colour }) => (colour ? [colourInWords(colour)] : []));
  return colours.length === 0 ? {} : { spareColours: colours };
}

/** What is measured before a sleeve over jacket and cap can be chosen. */
function measures({ node, input }: At): readonly Ask[] {
  const name = node?.name ?? 'the connector';
  return [
    ...(input.cable?.outerMm !== undefined
      ? []
      : [
          {
            does: 'measure',
            words: `How thick is the cable at ${name} over its jacket? The sleeve over jacket and back cap is chosen by it`,
            at: { on: 'run', runId: input.run.id, field: 'cableMm' },
          } as const,
        ]),
    ...(node && node.identity?.capMm === undefined
      ? [
          {
            does: 'measure',
            words: `How thick is the back cap of ${name}? The sleeve has to pass it`,
            at: { on: 'node', nodeId: node.id, field: 'capMm' },
          } as const,
        ]
      : []),
  ];
}

/**
 * The end of a cable whose connector is torn off: jacket back, spare cores ended, and a glued sleeve over jacket and
 * back cap, slid on first. Its length: the overlap on the jacket, what is laid open, the overlap on the cap. Source:
 * choosing; numbers, sleeves.
 */
export function cableEndOf(at: At): CableWork {
  const { finding, input, electrical, node } = at;
  if (cavityKindOf(finding.kind).endsCable !== true) return NONE;
  if (input.run.zone.fuelVapour && input.gate.vapour === undefined)
    return {
      cable: { backMm: JACKET_BACK_MM, unusedCores: input.cable?.spares.length ?? 0, isUncounted: true },
      lacks: [],
      asks: [],
      warnings: [
        'Fuel vapour: no hot air here. Use the connector’s own boot over jacket and cap, or shrink a sleeve once the zone is aired and measured.',
      ],
    };
  const { slideFactor, gripShare, overlapMm } = input.practice.figures;
  const ends = spareEnds(at);
  const bare: CableEnd = {
    backMm: JACKET_BACK_MM,
    unusedCores: input.cable?.spares.length ?? 0,
    isUncounted: true,
    ...(ends.spare ? { spare: ends.spare } : {}),
    ...spareColours(input.cable),
  };
  const asks = onceThere(at, measures(at));
  const [outerMm, capMm] = [input.cable?.outerMm, node?.identity?.capMm];
  if (outerMm === undefined || capMm === undefined) return { cable: bare, lacks: ends.lacks, asks, warnings: [] };
  const passMm = Math.max(outerMm, capMm);
  const found = findStanding(input.catalogue, electrical.placeC, (parts) =>
    sleeveFits(partsOf(parts, 'sleeve'), {
      slideFactor,
      gripShare,
      passMm,
      gripMm: Math.min(outerMm, capMm),
      adhesive: true,
    }),
  );
  if (!found || found.part.ratedC < electrical.placeC)
    return {
      cable: bare,
      lacks: ends.lacks,
      asks,
      warnings: [
        `No glued sleeve passes ${figure(passMm, 1)} mm and grips ${figure(Math.min(outerMm, capMm), 1)}: use the connector’s own boot over jacket and cap.`,
      ],
    };
  const { part, onShelf } = found;
  const hotAir = toolThat(input.catalogue.tools, 'hotAir');
  const shrink = lengthwiseShrink(part.series);
  return {
    cable: {
      ...bare,
      isUncounted: bare.unusedCores > 0 && bare.spare === undefined,
      sleeve: { partId: part.id, name: part.name, overlapMm, shrink, cutMm: cutOf(JACKET_BACK_MM, overlapMm, shrink) },
    },
    lacks: [...ends.lacks, ...(onShelf ? [] : [lackOf(part)]), ...(hotAir ? [] : [lackNamed('a hot-air gun')])],
    toolNames: hotAir ? [hotAir.name] : [],
    asks,
    warnings: [],
  };
}

import { bundleDiameterMm, spiralTapeMm } from '../../bundle/index.ts';
import { byPreference, overSleeveMm, recoveredLengthMm, sleeveCutMm, sleeveFits } from '../../sizing/index.ts';
import { ofKind, SLEEVE, TAPE, type SleevePart } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import type { WireFacts } from '../../wire/index.ts';
import { ratedPart, type Rated, type Seal, type SizedJoint } from '../joint.ts';
import type { Sizing, SizingRequest, WantedPart } from '../sizing.ts';

/** A bare joint that is to be covered, mm. */
export interface BareJoint {
  readonly lengthMm: number;
  readonly diameterMm: number;
}

interface Sealed {
  readonly seal: Seal;
  readonly bodyLengthMm: number;
  readonly bodyDiameterMm: number;
  readonly rated: readonly Rated[];
}

type SealOutcome =
  | { readonly ok: true; readonly all: readonly Sealed[] }
  | { readonly ok: false; readonly because: string; readonly wanted?: WantedPart | undefined };

/** Length of the short sleeve that builds a thin jacket up, mm before it shrinks. */
const BUILD_UP_CUT_MM = 20;
/** Layers of self-fusing tape, half lapped. */
export const WRAP_LAYERS = 2;

const jacketsMm = (wires: readonly WireFacts[]): number => bundleDiameterMm(wires.map((wire) => wire.jacketMm));

/**
 * Sleeves in their order without those that an earlier one betters: no place wants one that stands less and is thicker.
 */
function undominated(sleeves: readonly SleevePart[], overMm: number): readonly SleevePart[] {
  const kept: { readonly sleeve: SleevePart; readonly thickMm: number }[] = [];
  for (const sleeve of sleeves) {
    const thickMm = overSleeveMm(overMm, sleeve);
    const isBettered = kept.some((other) => other.sleeve.ratedC >= sleeve.ratedC && other.thickMm <= thickMm + 1e-9);
    if (!isBettered) kept.push({ sleeve, thickMm });
  }
  return kept.map(({ sleeve }) => sleeve);
}

type EndSide = 'left' | 'right';

/** What a sleeve has to pass and grip once some sides are built up with a short one of their own. */
interface Over {
  readonly passMm: number;
  readonly gripMm: number;
  readonly sides: readonly EndSide[];
  readonly short: SleevePart | undefined;
}

/**
 * Sleeves over a joint, best first: each passes the joint and the jackets of either side, and grips the thinnest
 * jacket. Where the jackets are too unlike, the thinner is first built up with a short sleeve of its own. Every series
 * that is there is looked at, the usual overlap before the short one, and a single wall last.
 */
function sealWithSleeve(request: SizingRequest, joint: BareJoint): SealOutcome {
  const { wires, practice } = request;
  const { overlapMm, overlapShortMm, slideFactor, gripShare } = practice.figures;
  const sleeves = ofKind(request.parts, SLEEVE);
  const need = { slideFactor, gripShare };
  const thinnest = (list: readonly WireFacts[]): number => Math.min(...list.map((wire) => wire.jacketMm));
  const bare = {
    left: { passMm: jacketsMm(wires.left), gripMm: thinnest(wires.left) },
    right: { passMm: jacketsMm(wires.right), gripMm: thinnest(wires.right) },
  };
  const thinSide: EndSide = bare.left.gripMm <= bare.right.gripMm ? 'left' : 'right';
  const overWith = (sides: readonly EndSide[], short: SleevePart | undefined): Over => {
    const of = (side: EndSide): { passMm: number; gripMm: number } => {
      if (!short || !sides.includes(side)) return bare[side];
      const builtUpMm = overSleeveMm(bare[side].passMm, short);
      return { passMm: builtUpMm, gripMm: builtUpMm };
    };
    return {
      sides,
      short,
      passMm: Math.max(joint.diameterMm, of('left').passMm, of('right').passMm, request.freedEndMm ?? 0),
      gripMm: Math.min(of('left').gripMm, of('right').gripMm),
    };
  };
  const builtUp = (sides: readonly EndSide[]): Over[] =>
    sleeveFits(sleeves, {
      ...need,
      adhesive: true,
      passMm: Math.max(...sides.map((side) => bare[side].passMm)),
      gripMm: Math.min(...sides.map((side) => bare[side].gripMm)),
    })
      .filter((short, at, all) => all.slice(0, at).every((other) => other.ratedC < short.ratedC))
      .map((short) => overWith(sides, short));
  const plain = overWith([], undefined);
  const withFits = (over: Over): { readonly over: Over; readonly fits: readonly SleevePart[] } => ({
    over,
    fits: undominated(sleeveFits(sleeves, { ...need, ...over, adhesive: true }), joint.diameterMm),
  });
  // Jackets are built up only where they are too unlike for any one sleeve.
  let overs = [withFits(plain)];
  for (const sides of [[thinSide], ['left', 'right']] as const) {
    if (overs.some(({ fits }) => fits.length > 0)) break;
    overs = builtUp(sides).map(withFits);
  }
  const overlaps = overlapShortMm < overlapMm ? [overlapMm, overlapShortMm] : [overlapMm];
  const sealed = (sleeve: SleevePart, { passMm, gripMm, sides, short }: Over, overMm: number): Sealed => {
    const cutMm = sleeveCutMm(joint.lengthMm, overMm, sleeve.series);
    return {
      seal: {
        kind: 'sleeve',
        partId: sleeve.id,
        name: sleeve.name,
        suppliedIdMm: sleeve.suppliedIdMm,
        recoveredIdMm: sleeve.recoveredIdMm,
        cutMm,
        passesMm: passMm,
        gripsMm: gripMm,
        adhesive: sleeve.series !== 'single2to1',
        buildUp: short && {
          partId: short.id,
          name: short.name,
          cutMm: BUILD_UP_CUT_MM,
          side: sides.length === 2 ? 'both' : thinSide,
        },
      },
      bodyLengthMm: recoveredLengthMm(cutMm, sleeve.series),
      bodyDiameterMm: overSleeveMm(joint.diameterMm, sleeve),
      rated: [ratedPart(sleeve), ...(short ? [ratedPart(short)] : [])],
    };
  };
  const single = sleeves.filter((sleeve) => sleeve.series === 'single2to1');
  const all = [
    ...overs.flatMap(({ over, fits }) =>
      overlaps.flatMap((overMm) => fits.map((sleeve) => sealed(sleeve, over, overMm))),
    ),
    ...overlaps.flatMap((overMm) =>
      undominated(sleeveFits(single, { ...need, ...plain, adhesive: false }), joint.diameterMm).map((sleeve) =>
        sealed(sleeve, plain, overMm),
      ),
    ),
  ];
  if (all.length > 0) return { ok: true, all };
  return {
    ok: false,
    because: `No adhesive sleeve passes ${figure(plain.passMm)} mm (${figure(slideFactor * plain.passMm)} of bore wanted) and grips the ${figure(plain.gripMm)} mm jacket (${figure(gripShare * plain.gripMm)} or less when shrunk).`,
    wanted: sleeveOf(slideFactor * plain.passMm, gripShare * plain.gripMm),
  };
}

/** Self-fusing tape, half lapped, over the joint and the usual overlap of jacket on each side. */
function sealWithWrap(request: SizingRequest, joint: BareJoint): SealOutcome {
  const tapes = ofKind(request.parts, TAPE)
    .filter((part) => part.tape === 'selfFusing')
    .sort(byPreference((part) => ({ upperLimitMm2: 0, diameterMm: part.thicknessMm, lengthMm: 0 })));
  if (tapes.length === 0) return { ok: false, because: 'There is no self-fusing tape to wrap it with.' };
  const lengthMm = joint.lengthMm + 2 * request.practice.figures.overlapMm;
  return {
    ok: true,
    all: tapes.map((tape) => ({
      seal: {
        kind: 'wrap',
        partId: tape.id,
        name: tape.name,
        lengthMm: spiralTapeMm({
          diameterMm: joint.diameterMm,
          lengthMm,
          widthMm: tape.widthMm,
          thicknessMm: tape.thicknessMm,
          lap: 0.5,
        }),
      },
      bodyLengthMm: lengthMm,
      bodyDiameterMm: joint.diameterMm + 2 * WRAP_LAYERS * tape.thicknessMm,
      rated: [ratedPart(tape)],
    })),
  };
}

/**
 * A sleeve shrinks to a sixth of its bore at most: more than that nobody sells. Source: usual series, with a little
 * room.
 */
const MOST_SHRINK = 6;

/** The sleeve that would do, by its bore and what it shrinks to, mm; nothing where none is made so. */
const sleeveOf = (boreMm: number, shrunkMm: number): WantedPart | undefined =>
  boreMm > MOST_SHRINK * shrunkMm
    ? undefined
    : {
        name: 'Adhesive sleeve',
        takes: `${figure(Math.ceil(boreMm * 10) / 10)} mm bore or more, shrinks to ${figure(Math.floor(shrunkMm * 10) / 10)} mm or less`,
      };

/** Seals a bare joint one way or the other, best first. */
export const sealBare = (seal: 'sleeve' | 'wrap', request: SizingRequest, joint: BareJoint): SealOutcome =>
  seal === 'sleeve' ? sealWithSleeve(request, joint) : sealWithWrap(request, joint);

/** A joint as it is before its seal is known. */
export type Unsealed = Omit<SizedJoint, 'seal' | 'bodyLengthMm' | 'bodyDiameterMm'>;

/** A bare joint with each of its seals; what rates the joint itself and its parts come first. */
export function sealedJoints(
  seal: 'sleeve' | 'wrap',
  request: SizingRequest,
  bare: BareJoint,
  joint: Unsealed,
): Sizing {
  const outcome = sealBare(seal, request, bare);
  if (!outcome.ok) return { ok: false, lacks: 'sleeve', because: outcome.because, wanted: outcome.wanted };
  return {
    ok: true,
    joints: outcome.all.map(({ rated, ...body }) => ({
      ...joint,
      ...body,
      rated: [...joint.rated, ...rated],
      usesPartIds: [...joint.usesPartIds, ...sealPartIds(body.seal)],
    })),
  };
}

/**
 * Several parts sized alike, in their order: all joints of those that can be made; the first failure where none can.
 */
export function eachSized<T>(parts: readonly T[], none: Sizing, size: (part: T) => Sizing): Sizing {
  const all = parts.map(size);
  const joints = all.flatMap((one) => (one.ok ? one.joints : []));
  return joints.length > 0 ? { ok: true, joints } : (all[0] ?? none);
}

/** The part ids that a seal takes from the shelf. */
function sealPartIds(seal: Seal): string[] {
  if (seal.kind === 'sleeve') return [seal.partId, ...(seal.buildUp ? [seal.buildUp.partId] : [])];
  return seal.kind === 'wrap' ? [seal.partId] : [];
}

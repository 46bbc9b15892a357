import { bundleDiameterMm } from '../../bundle/index.ts';
import { partsOf, type SleevePart } from '../../catalogue/index.ts';
import { chooseSleeve, recoveredLengthMm, recoveredWallMm, sleeveCutMm } from '../../sizing/index.ts';
import { spiralTapeMm } from '../../bundle/index.ts';
import { figure } from '../../units/index.ts';
import type { WireFacts } from '../../wire/index.ts';
import type { Seal, SizingRequest } from '../types.ts';

/** A bare joint that is to be covered, mm. */
export interface BareJoint {
  readonly lengthMm: number;
  readonly diameterMm: number;
}

interface Sealed {
  readonly seal: Seal;
  readonly bodyLengthMm: number;
  readonly bodyDiameterMm: number;
  readonly rated: { readonly name: string; readonly ratedC: number }[];
}

type SealOutcome = { readonly ok: true; readonly sealed: Sealed } | { readonly ok: false; readonly because: string };

/** Length of the short sleeve that builds a thin jacket up, mm before it shrinks. */
const BUILD_UP_CUT_MM = 20;
/** Layers of self-fusing tape, half lapped. */
export const WRAP_LAYERS = 2;

const jacketsMm = (wires: readonly WireFacts[]): number => bundleDiameterMm(wires.map((wire) => wire.jacketMm));

/**
 * An adhesive sleeve over a joint: it passes the joint and the jackets of either side, and grips the thinnest jacket. Where the
 * jackets are too unlike, the thinner is first built up with a short sleeve of its own.
 */
function sealWithSleeve(request: SizingRequest, joint: BareJoint): SealOutcome {
  const { wires, practice } = request;
  const { overlapMm, slideFactor, gripShare } = practice.figures;
  const sleeves = partsOf(request.parts, 'sleeve');
  const need = { adhesive: true, slideFactor, gripShare };
  const thinnest = (list: readonly WireFacts[]): number => Math.min(...list.map((wire) => wire.jacketMm));
  const bare = {
    left: { passMm: jacketsMm(wires.left), gripMm: thinnest(wires.left) },
    right: { passMm: jacketsMm(wires.right), gripMm: thinnest(wires.right) },
  };
  const thinSide = bare.left.gripMm <= bare.right.gripMm ? 'left' : 'right';

  /** The outer sleeve once some sides are built up with a short one of their own. */
  const withBuiltUp = (
    sides: readonly ('left' | 'right')[],
  ): { sleeve: SleevePart; gripMm: number; passMm: number; short: SleevePart | undefined } | undefined => {
    const short =
      sides.length === 0
        ? undefined
        : chooseSleeve(sleeves, {
            ...need,
            passMm: Math.max(...sides.map((side) => bare[side].passMm)),
            gripMm: Math.min(...sides.map((side) => bare[side].gripMm)),
          });
    if (sides.length > 0 && !short) return undefined;
    const of = (side: 'left' | 'right'): { passMm: number; gripMm: number } => {
      const builtUpMm = short && sides.includes(side) ? bare[side].passMm + 2 * recoveredWallMm(short) : undefined;
      return builtUpMm === undefined ? bare[side] : { passMm: builtUpMm, gripMm: builtUpMm };
    };
    const passMm = Math.max(joint.diameterMm, of('left').passMm, of('right').passMm, request.freedEndMm ?? 0);
    const gripMm = Math.min(of('left').gripMm, of('right').gripMm);
    const sleeve = chooseSleeve(sleeves, { ...need, passMm, gripMm });
    return sleeve && { sleeve, gripMm, passMm, short };
  };
  const tries: readonly (readonly ('left' | 'right')[])[] = [[], [thinSide], ['left', 'right']];
  let found: ReturnType<typeof withBuiltUp>;
  let built: readonly ('left' | 'right')[] = [];
  for (const sides of tries) {
    found = withBuiltUp(sides);
    built = sides;
    if (found) break;
  }
  if (!found) {
    const passMm = Math.max(joint.diameterMm, bare.left.passMm, bare.right.passMm, request.freedEndMm ?? 0);
    const gripMm = Math.min(bare.left.gripMm, bare.right.gripMm);
    return {
      ok: false,
      because: `No adhesive sleeve passes ${figure(passMm)} mm (${figure(slideFactor * passMm)} of bore wanted) and grips the ${figure(gripMm)} mm jacket (${figure(gripShare * gripMm)} or less when shrunk).`,
    };
  }
  const { sleeve, short } = found;
  const cutMm = sleeveCutMm(joint.lengthMm, overlapMm, sleeve.series);
  return {
    ok: true,
    sealed: {
      seal: {
        kind: 'sleeve',
        partId: sleeve.id,
        name: sleeve.name,
        suppliedIdMm: sleeve.suppliedIdMm,
        recoveredIdMm: sleeve.recoveredIdMm,
        cutMm,
        passesMm: found.passMm,
        gripsMm: found.gripMm,
        buildUp: short && {
          partId: short.id,
          name: short.name,
          cutMm: BUILD_UP_CUT_MM,
          side: built.length === 2 ? 'both' : thinSide,
        },
      },
      bodyLengthMm: recoveredLengthMm(cutMm, sleeve.series),
      bodyDiameterMm: joint.diameterMm + 2 * recoveredWallMm(sleeve),
      rated: [
        { name: sleeve.name, ratedC: sleeve.ratedC },
        ...(short ? [{ name: short.name, ratedC: short.ratedC }] : []),
      ],
    },
  };
}

/** Self-fusing tape, half lapped, over the joint and the usual overlap of jacket on each side. */
function sealWithWrap(request: SizingRequest, joint: BareJoint): SealOutcome {
  const tape = partsOf(request.parts, 'tape').find((part) => part.tape === 'selfFusing');
  if (!tape) return { ok: false, because: 'There is no self-fusing tape to wrap it with.' };
  const lengthMm = joint.lengthMm + 2 * request.practice.figures.overlapMm;
  return {
    ok: true,
    sealed: {
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
      rated: [{ name: tape.name, ratedC: tape.ratedC }],
    },
  };
}

/** Seals a bare joint one way or the other. */
export const sealBare = (seal: 'sleeve' | 'wrap', request: SizingRequest, joint: BareJoint): SealOutcome =>
  seal === 'sleeve' ? sealWithSleeve(request, joint) : sealWithWrap(request, joint);

/** The part ids that a seal takes from the shelf. */
export function sealPartIds(seal: Seal): string[] {
  if (seal.kind === 'sleeve') return [seal.partId, ...(seal.buildUp ? [seal.buildUp.partId] : [])];
  return seal.kind === 'wrap' ? [seal.partId] : [];
}

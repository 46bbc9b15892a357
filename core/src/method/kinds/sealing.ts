import { bundleDiameterMm } from '../../bundle/index.ts';
import { partsOf } from '../../catalogue/index.ts';
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
const WRAP_LAYERS = 2;

const jacketsMm = (wires: readonly WireFacts[]): number => bundleDiameterMm(wires.map((wire) => wire.jacketMm));

/**
 * An adhesive sleeve over a joint: it passes the joint and the jackets of either side, and grips the thinnest jacket. Where the
 * jackets are too unlike, the thinner is first built up with a short sleeve of its own.
 */
function sealWithSleeve(request: SizingRequest, joint: BareJoint): SealOutcome {
  const { wires, practice } = request;
  const { overlapMm, slideFactor, gripShare } = practice.figures;
  const sleeves = partsOf(request.parts, 'sleeve');
  const passMm = Math.max(joint.diameterMm, jacketsMm(wires.left), jacketsMm(wires.right), request.freedEndMm ?? 0);
  const thinnest = (list: readonly WireFacts[]): number => Math.min(...list.map((wire) => wire.jacketMm));
  const gripMm = Math.min(thinnest(wires.left), thinnest(wires.right));
  const need = { adhesive: true, slideFactor, gripShare };

  const direct = chooseSleeve(sleeves, { ...need, passMm, gripMm });
  const thinSide = thinnest(wires.left) <= thinnest(wires.right) ? 'left' : 'right';
  const buildUp = direct ? undefined : chooseSleeve(sleeves, { ...need, passMm: jacketsMm(wires[thinSide]), gripMm });
  const builtUpMm = buildUp ? gripMm + 2 * recoveredWallMm(buildUp) : gripMm;
  const otherGripMm = thinnest(wires[thinSide === 'left' ? 'right' : 'left']);
  const sleeve = direct ?? (buildUp && chooseSleeve(sleeves, { ...need, passMm: Math.max(passMm, builtUpMm), gripMm: Math.min(builtUpMm, otherGripMm) }));
  if (!sleeve) {
    return {
      ok: false,
      because: `No adhesive sleeve passes ${figure(passMm)} mm (${figure(slideFactor * passMm)} of bore wanted) and grips the ${figure(gripMm)} mm jacket (${figure(gripShare * gripMm)} or less when shrunk).`,
    };
  }
  const cutMm = sleeveCutMm(joint.lengthMm, overlapMm, sleeve.series);
  return {
    ok: true,
    sealed: {
      seal: {
        kind: 'sleeve', partId: sleeve.id, name: sleeve.name, suppliedIdMm: sleeve.suppliedIdMm, recoveredIdMm: sleeve.recoveredIdMm,
        cutMm, passesMm: passMm, gripsMm: direct ? gripMm : Math.min(builtUpMm, otherGripMm),
        buildUp: buildUp && { partId: buildUp.id, name: buildUp.name, cutMm: BUILD_UP_CUT_MM, side: thinSide },
      },
      bodyLengthMm: recoveredLengthMm(cutMm, sleeve.series),
      bodyDiameterMm: joint.diameterMm + 2 * recoveredWallMm(sleeve),
      rated: [{ name: sleeve.name, ratedC: sleeve.ratedC }, ...(buildUp ? [{ name: buildUp.name, ratedC: buildUp.ratedC }] : [])],
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
        kind: 'wrap', partId: tape.id, name: tape.name,
        lengthMm: spiralTapeMm({ diameterMm: joint.diameterMm, lengthMm, widthMm: tape.widthMm, thicknessMm: tape.thicknessMm, lap: 0.5 }),
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

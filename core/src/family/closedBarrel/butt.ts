import { crimpPointMm, stripClosedBarrelMm, sumAreaMm2 } from '../../sizing/index.ts';
import { ofKind, rangeInWords, type PartKind } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart, type SizedJoint } from '../joint.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import { partOfSize, type Sizing, type SizingRequest } from '../sizing.ts';
import { method, type Method } from '../types.ts';
import { buttFits, type ButtFit } from './fit.ts';
import { PLAIN_BUTT, SEALED_BUTT, type ButtPart } from './parts.ts';

/** Two wires in one end of a butt only up to three wires in all. */
const MOST_WIRES_IN_BUTT = 3;

function fitWords(request: SizingRequest, fit: ButtFit): string {
  const end = (areaMm2: number, folded: boolean): string =>
    folded ? `${figure(areaMm2, 3)} mm² doubled to ${figure(2 * areaMm2, 3)}` : `${figure(areaMm2, 3)} mm²`;
  const left = end(sumAreaMm2(request.wires.left), fit.leftFolded);
  const right = end(sumAreaMm2(request.wires.right), fit.rightFolded);
  return `${left === right ? left : `${left} and ${right}`} in ${rangeInWords(fit.part.range)}`;
}

function bareJoint(methodId: string, request: SizingRequest, fit: ButtFit): SizedJoint {
  const { part } = fit;
  return {
    methodId,
    partId: part.id,
    partName: part.name,
    fitsWords: fitWords(request, fit),
    upperLimitMm2: part.range.maxMm2,
    reach: { kind: 'butt' },
    left: { stripMm: stripClosedBarrelMm(part.barrelLengthMm, fit.leftFolded), folded: fit.leftFolded },
    right: { stripMm: stripClosedBarrelMm(part.barrelLengthMm, fit.rightFolded), folded: fit.rightFolded },
    jointLengthMm: part.barrelLengthMm,
    bodyLengthMm: part.overallLengthMm,
    bodyDiameterMm: part.crimpedDiameterMm,
    crimpAtMm: crimpPointMm(part.barrelLengthMm),
    seal: { kind: 'builtIn' },
    rated: [ratedPart(part)],
    usesPartIds: [part.id],
    foldMissing: fit.foldMissing,
  };
}

/** Sizes a butt of one kind for the wires; what cannot be held is said of that kind. */
function sizeButt<P extends ButtPart>(methodId: string, kind: PartKind<P>, request: SizingRequest): Sizing {
  const count = request.wires.left.length + request.wires.right.length;
  if (count > MOST_WIRES_IN_BUTT) {
    return {
      ok: false,
      lacks: 'wires',
      because: `${count} wires meet here; a butt takes ${MOST_WIRES_IN_BUTT} in all.`,
    };
  }
  const fits = buttFits(ofKind(request.parts, kind), request.wires);
  if (fits.length === 0) {
    const left = sumAreaMm2(request.wires.left);
    const right = sumAreaMm2(request.wires.right);
    return {
      ok: false,
      lacks: 'barrel',
      because: `No ${kind.words} holds ${figure(left, 3)} mm² on one side and ${figure(right, 3)} mm² on the other.`,
      wanted: partOfSize(
        kind.words,
        ofKind(request.parts, kind).map(({ range }) => range),
        [left, right],
        ' an end',
      ),
    };
  }
  return { ok: true, joints: fits.map((fit) => bareJoint(methodId, request, fit)) };
}

/** A butt barrel crimped from both ends with its adhesive tube built in. */
export const sealedButt = method({
  id: 'sealedButt',
  name: 'Sealed butt',
  acts: ['crimp', 'hotAir'],
  seal: 'builtIn',
  barrel: 'insulated',
  order: 1,
  tasks: ['crimpSealedButt', 'hotAir'],
  steps: 6,
  minutes: 4,
  size: (request) => sizeButt('sealedButt', SEALED_BUTT, request),
});

const plainBarrel = <Id extends string>(
  id: Id,
  seal: 'sleeve' | 'wrap',
  order: number,
): Method<Id, 'crimpPlainButt' | 'hotAir'> => ({
  id,
  name: seal === 'sleeve' ? 'Plain barrel + adhesive sleeve' : 'Plain barrel + wrapped seal',
  acts: seal === 'sleeve' ? ['crimp', 'hotAir'] : ['crimp'],
  seal,
  barrel: 'bare',
  order,
  tasks: seal === 'sleeve' ? ['crimpPlainButt', 'hotAir'] : ['crimpPlainButt'],
  steps: 8,
  minutes: 6,
  size: (request) => {
    const sized = sizeButt(id, PLAIN_BUTT, request);
    if (!sized.ok) return sized;
    return eachSized(sized.joints, sized, (joint) =>
      sealedJoints(seal, request, { lengthMm: joint.jointLengthMm, diameterMm: joint.bodyDiameterMm }, joint),
    );
  },
});

/** A bare butt barrel under an adhesive sleeve. */
export const plainSleeve = plainBarrel('plainSleeve', 'sleeve', 3);
/** A bare butt barrel under self-fusing tape, for where no heat may be used. */
export const plainWrap = plainBarrel('plainWrap', 'wrap', 21);

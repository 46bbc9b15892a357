import { balanceSides, sumAreaMm2, totalFits, type JointWires } from '../../sizing/index.ts';
import { ofKind, rangeInWords, type PartKind } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import { partOfSize } from '../sizing.ts';
import type { Method } from '../types.ts';
import { CLIP, MULTI_CLIP, sizeOfClip, type ClipPart } from './parts.ts';

interface ClipSort {
  readonly kind: PartKind<ClipPart>;
  readonly name: string;
  readonly none: string;
  readonly task: 'crimpClip' | 'crimpMultiClip';
}

const SPLICE: ClipSort = { kind: CLIP, name: 'Splice clip', none: 'clip', task: 'crimpClip' };
const MULTI: ClipSort = {
  kind: MULTI_CLIP,
  name: 'Multi-wire clip',
  none: 'multi-wire clip',
  task: 'crimpMultiClip',
};

/** "2 + 2 wires, 2.25 against 1.5 mm²", the heavier side first, where more than two wires meet. */
function sidesInWords({ left, right }: JointWires): string | undefined {
  if (left.length + right.length <= 2) return undefined;
  const [heavy, light] = sumAreaMm2(left) >= sumAreaMm2(right) ? [left, right] : [right, left];
  return `${heavy.length} + ${light.length} wires, ${figure(sumAreaMm2(heavy), 3)} against ${figure(sumAreaMm2(light), 3)} mm²`;
}

/**
 * An open-barrel clip in which conductors lie side by side; its range is for all copper together, and its sides are
 * balanced.
 */
const clip = <Id extends string>(
  id: Id,
  of: ClipSort,
  seal: 'sleeve' | 'wrap',
  order: number,
): Method<Id, ClipSort['task'] | 'hotAir'> => ({
  id,
  name: `${of.name} + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  acts: seal === 'sleeve' ? ['crimp', 'hotAir'] : ['crimp'],
  seal,
  order,
  tasks: seal === 'sleeve' ? [of.task, 'hotAir'] : [of.task],
  steps: 7,
  minutes: 5,
  size: (request) => {
    const wires = balanceSides(request.wires);
    const left = sumAreaMm2(wires.left);
    const right = sumAreaMm2(wires.right);
    const total = `${figure(left, 3)} + ${figure(right, 3)} = ${figure(left + right, 3)} mm²`;
    const none = {
      ok: false,
      lacks: 'barrel',
      because: `No ${of.none} holds ${total}.`,
      wanted: partOfSize(
        of.none,
        ofKind(request.parts, of.kind).map(({ totalRange }) => totalRange),
        [left + right],
        ' in all',
      ),
    } as const;
    return eachSized(totalFits(ofKind(request.parts, of.kind), left + right, sizeOfClip), none, (part) =>
      sealedJoints(
        seal,
        { ...request, wires },
        { lengthMm: part.lapMm, diameterMm: part.crimpedDiameterMm },
        {
          methodId: id,
          partId: part.id,
          partName: part.name,
          fitsWords: `${total} in ${rangeInWords(part.totalRange)}`,
          upperLimitMm2: part.totalRange.maxMm2,
          reach: { kind: 'lapped', lapMm: part.lapMm },
          left: { stripMm: part.lapMm, folded: false },
          right: { stripMm: part.lapMm, folded: false },
          jointLengthMm: part.lapMm,
          crimpAtMm: part.barrelLengthMm / 2,
          sides: sidesInWords(wires),
          rated: [ratedPart(part)],
          usesPartIds: [part.id],
          foldMissing: false,
        },
      ),
    );
  },
});

/** A clip under an adhesive sleeve: slim and short. */
export const clipSleeve = clip('clipSleeve', SPLICE, 'sleeve', 2);
/** A clip made for many wires, under an adhesive sleeve. */
export const multiClipSleeve = clip('multiClipSleeve', MULTI, 'sleeve', 4);
/** Clips under self-fusing tape, for where no heat may be used. */
export const clipWrap = clip('clipWrap', SPLICE, 'wrap', 20);
export const multiClipWrap = clip('multiClipWrap', MULTI, 'wrap', 22);

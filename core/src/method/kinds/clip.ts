import { partsOf, rangeInWords } from '../../catalogue/index.ts';
import { fitClip, sumAreaMm2 } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import type { Method, MethodId, SizedJoint } from '../types.ts';
import { sealPartIds, sealWithSleeve, sealWithWrap } from './sealing.ts';

/** An open-barrel clip in which conductors lie side by side; its range is for all copper together. */
const spliceClip = (id: MethodId, seal: 'sleeve' | 'wrap', order: number): Method => ({
  id, name: seal === 'sleeve' ? 'Splice clip + adhesive sleeve' : 'Splice clip + wrapped seal', family: 'openClip',
  heat: seal === 'sleeve' ? 'hotAir' : 'none', seal, order: { damp: order, dry: order },
  tasks: seal === 'sleeve' ? ['crimpClip', 'hotAir'] : ['crimpClip'], steps: 7, minutes: 5,
  size: (request) => {
    const part = fitClip(partsOf(request.parts, 'clip'), request.wires);
    const left = sumAreaMm2(request.wires.left);
    const right = sumAreaMm2(request.wires.right);
    const total = `${figure(left, 3)} + ${figure(right, 3)} = ${figure(left + right, 3)} mm²`;
    if (!part) return { ok: false, lacks: 'barrel', because: `No clip holds ${total}.` };
    const bare = { lengthMm: part.lapMm, diameterMm: part.crimpedDiameterMm };
    const outcome = seal === 'sleeve' ? sealWithSleeve(request, bare) : sealWithWrap(request, bare);
    if (!outcome.ok) return { ok: false, lacks: 'sleeve', because: outcome.because };
    const { rated, ...body } = outcome.sealed;
    const joint: SizedJoint = {
      ...body,
      methodId: id,
      partId: part.id,
      partName: part.name,
      fitsWords: `${total} in ${rangeInWords(part.totalRange)}`,
      reach: { kind: 'lapped', lapMm: part.lapMm },
      left: { stripMm: part.lapMm, folded: false },
      right: { stripMm: part.lapMm, folded: false },
      jointLengthMm: part.lapMm,
      crimpAtMm: part.barrelLengthMm / 2,
      rated: [{ name: part.name, ratedC: part.ratedC }, ...rated],
      usesPartIds: [part.id, ...sealPartIds(body.seal)],
      foldMissing: false,
    };
    return { ok: true, joint };
  },
});

/** A clip under an adhesive sleeve: slim and short. */
export const clipSleeve = spliceClip('clipSleeve', 'sleeve', 2);
/** A clip under self-fusing tape, for where no heat may be used. */
export const clipWrap = spliceClip('clipWrap', 'wrap', 5);

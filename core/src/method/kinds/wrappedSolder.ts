import { partsOf } from '../../catalogue/index.ts';
import { figure } from '../../units/index.ts';
import type { Method } from '../types.ts';
import { sealPartIds, sealWithSleeve } from './sealing.ts';

/** Each conductor wrapped round the other: strip used up in the wrapping, mm; thickness against the thicker conductor; most copper per wire, mm². */
const STRIP_MM = 15;
const JOINT_MM = 18;
const THICKNESS_PER_CONDUCTOR = 2.4;
const MOST_MM2 = 4;

/** The strongest of the soldered joints, under an adhesive sleeve. Acid-core solder does not count as solder. */
export const wrappedSolder: Method = {
  id: 'wrappedSolder', name: 'Wrapped solder + adhesive sleeve', family: 'soldered', heat: 'ironAndHotAir', seal: 'sleeve',
  order: { damp: 4, dry: 4 }, tasks: ['solder', 'hotAir'], steps: 9, minutes: 8,
  size: (request) => {
    const { left, right } = request.wires;
    const [a] = left;
    const [b] = right;
    if (left.length !== 1 || right.length !== 1 || !a || !b) {
      return { ok: false, lacks: 'wires', because: `${left.length + right.length} wires meet here; a wrapped joint takes one from each side.` };
    }
    const thickest = Math.max(a.areaMm2, b.areaMm2);
    if (thickest > MOST_MM2 * 1.02) return { ok: false, lacks: 'barrel', because: `${figure(thickest)} mm² is over the ${MOST_MM2} mm² that can still be wrapped.` };
    const solder = partsOf(request.parts, 'solder').find((part) => part.core === 'rosin');
    if (!solder) return { ok: false, lacks: 'barrel', because: 'There is no rosin-core solder; acid core is refused.' };
    const bare = { lengthMm: JOINT_MM, diameterMm: THICKNESS_PER_CONDUCTOR * Math.max(a.conductorMm, b.conductorMm) };
    const outcome = sealWithSleeve(request, bare);
    if (!outcome.ok) return { ok: false, lacks: 'sleeve', because: outcome.because };
    const { rated, ...body } = outcome.sealed;
    return {
      ok: true,
      joint: {
        ...body,
        methodId: 'wrappedSolder',
        partId: solder.id,
        partName: solder.name,
        fitsWords: `${figure(a.areaMm2, 3)} and ${figure(b.areaMm2, 3)} mm², up to ${MOST_MM2}`,
        reach: { kind: 'lapped', lapMm: 0 },
        left: { stripMm: STRIP_MM, folded: false },
        right: { stripMm: STRIP_MM, folded: false },
        jointLengthMm: JOINT_MM,
        rated: [{ name: 'soldered joint', ratedC: solder.ratedC }, ...rated],
        usesPartIds: [solder.id, ...sealPartIds(body.seal)],
        foldMissing: false,
      },
    };
  },
};

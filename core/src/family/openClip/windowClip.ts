import { sumAreaMm2, totalFits } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import type { Method } from '../types.ts';
import { CANNOT_REJOIN, mainAndTaps } from '../window.ts';
import { CLIP, MULTI_CLIP, sizeOfClip } from './parts.ts';

/** A clip closed round the bared, uncut main wire and the wires that join it: main and taps count once each. */
const windowClip = <Id extends string>(
  id: Id,
  seal: 'sleeve' | 'wrap',
  order: number,
): Method<Id, 'crimpClip' | 'hotAir'> => ({
  id,
  name: `Bared window, clip + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  window: true,
  leavesWhole: true,
  acts: seal === 'sleeve' ? ['crimp', 'hotAir'] : ['crimp'],
  seal,
  order,
  tasks: seal === 'sleeve' ? ['crimpClip', 'hotAir'] : ['crimpClip'],
  steps: 6,
  minutes: 6,
  size: (request) => {
    const meet = mainAndTaps(request);
    if (!meet) return CANNOT_REJOIN;
    const taps = sumAreaMm2(meet.taps);
    const total = `${figure(meet.main.areaMm2, 3)} + ${figure(taps, 3)} = ${figure(meet.main.areaMm2 + taps, 3)} mm²`;
    const parts = totalFits(
      [...ofKind(request.parts, CLIP), ...ofKind(request.parts, MULTI_CLIP)],
      meet.main.areaMm2 + taps,
      sizeOfClip,
    );
    return eachSized(parts, { ok: false, lacks: 'barrel', because: `No clip holds ${total}.` }, (part) =>
      sealedJoints(
        seal,
        request,
        { lengthMm: part.lapMm, diameterMm: part.crimpedDiameterMm },
        {
          methodId: id,
          partId: part.id,
          partName: part.name,
          fitsWords: `${total} in ${rangeInWords(part.totalRange)}`,
          upperLimitMm2: part.totalRange.maxMm2,
          reach: { kind: 'lapped', lapMm: 0 },
          left: { stripMm: part.lapMm, folded: false },
          right: { stripMm: part.lapMm, folded: false },
          jointLengthMm: part.lapMm,
          crimpAtMm: part.barrelLengthMm / 2,
          sides: `window of ${figure(part.lapMm)} mm on the whole wire`,
          rated: [ratedPart(part)],
          usesPartIds: [part.id],
          foldMissing: false,
        },
      ),
    );
  },
});

/** Clips on a bared window of a main wire that is not cut; a sleeve needs an end that can be freed. */
export const windowClipSleeve = windowClip('windowClipSleeve', 'sleeve', 6);
export const windowClipWrap = windowClip('windowClipWrap', 'wrap', 7);

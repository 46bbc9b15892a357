import { partsOf, rangeInWords } from '../../catalogue/index.ts';
import { totalFits, sumAreaMm2 } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import type { Method } from '../types.ts';

/** A closed-end cap crimped over wires that lie parallel: nothing seals its open side. */
export const cap: Method = {
  id: 'cap',
  name: 'Closed-end cap',
  family: 'closedEnd',
  heat: 'none',
  seal: 'none',
  order: { damp: 24, dry: 24 },
  tasks: ['crimpCap'],
  steps: 4,
  minutes: 3,
  size: (request) => {
    const total = sumAreaMm2(request.wires.left) + sumAreaMm2(request.wires.right);
    const parts = totalFits(partsOf(request.parts, 'cap'), total);
    if (parts.length === 0)
      return { ok: false, lacks: 'barrel', because: `No cap holds ${figure(total, 3)} mm² in all.` };
    return {
      ok: true,
      joints: parts.map((part) => ({
        methodId: 'cap',
        partId: part.id,
        partName: part.name,
        fitsWords: `${figure(total, 3)} mm² in ${rangeInWords(part.totalRange)}`,
        upperLimitMm2: part.totalRange.maxMm2,
        reach: { kind: 'lapped', lapMm: part.depthMm },
        left: { stripMm: part.depthMm, folded: false },
        right: { stripMm: part.depthMm, folded: false },
        jointLengthMm: part.lengthMm,
        bodyLengthMm: part.lengthMm,
        bodyDiameterMm: part.diameterMm,
        crimpAtMm: part.depthMm / 2,
        seal: { kind: 'none' },
        rated: [{ name: part.name, ratedC: part.ratedC }],
        usesPartIds: [part.id],
        foldMissing: false,
        sides: 'all wires from one side, parallel',
      })),
    };
  },
};

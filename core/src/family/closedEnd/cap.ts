import { sumAreaMm2, totalFits } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { method } from '../types.ts';
import { CAP } from './parts.ts';

/** A closed-end cap crimped over wires that lie parallel: nothing seals its open side. */
export const cap = method({
  id: 'cap',
  name: 'Closed-end cap',
  acts: ['crimp'],
  seal: 'none',
  order: 24,
  tasks: ['crimpCap'],
  steps: 4,
  minutes: 3,
  size: (request) => {
    const total = sumAreaMm2(request.wires.left) + sumAreaMm2(request.wires.right);
    const parts = totalFits(ofKind(request.parts, CAP), total, ({ diameterMm, lengthMm }) => ({
      diameterMm,
      lengthMm,
    }));
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
        rated: [ratedPart(part)],
        usesPartIds: [part.id],
        foldMissing: false,
        sides: 'all wires from one side, parallel',
      })),
    };
  },
});

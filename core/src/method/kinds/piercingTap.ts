import { partsOf, rangeInWords } from '../../catalogue/index.ts';
import { byPreference, holds } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import type { Method } from '../types.ts';

/** A clamp-on tap that pierces the jacket: only to add a circuit, only as a dated temporary. */
export const piercingTap: Method = {
  id: 'piercingTap',
  name: 'Piercing tap (temporary)',
  family: 'tap',
  leavesWhole: true,
  heat: 'none',
  seal: 'none',
  order: { damp: 30, dry: 30 },
  tasks: ['pressTap'],
  steps: 3,
  minutes: 2,
  size: (request) => {
    const [main] = request.wires.left;
    if (request.duty !== 'add' || !main) {
      return {
        ok: false,
        lacks: 'duty',
        because: 'A piercing tap takes a branch off a whole wire; it cannot rejoin a parted one.',
      };
    }
    const added = request.wires.left.length + request.wires.right.length - 2;
    if (added > 1) return { ok: false, lacks: 'wires', because: `${added} wires are to be added; a tap takes one.` };
    const parts = partsOf(request.parts, 'piercingTap')
      .filter((tap) => holds(tap.range, main.areaMm2))
      .sort(
        byPreference((tap) => ({ upperLimitMm2: tap.range.maxMm2, diameterMm: tap.thickMm, lengthMm: tap.lengthMm })),
      );
    if (parts.length === 0)
      return { ok: false, lacks: 'barrel', because: `No tap fits ${figure(main.areaMm2, 3)} mm².` };
    return {
      ok: true,
      joints: parts.map((part) => ({
        methodId: 'piercingTap',
        partId: part.id,
        partName: part.name,
        fitsWords: `${figure(main.areaMm2, 3)} mm² in ${rangeInWords(part.range)}`,
        upperLimitMm2: part.range.maxMm2,
        reach: { kind: 'lapped', lapMm: 0 },
        left: { stripMm: 0, folded: false },
        right: { stripMm: 0, folded: false },
        jointLengthMm: part.lengthMm,
        bodyLengthMm: part.lengthMm,
        bodyDiameterMm: part.thickMm,
        seal: { kind: 'none' },
        rated: [{ name: part.name, ratedC: part.ratedC }],
        usesPartIds: [part.id],
        foldMissing: false,
      })),
    };
  },
};

import { byPreference, holds } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { method } from '../types.ts';
import { PIERCING_TAP } from './parts.ts';

/** A clamp-on tap that pierces the jacket: only to add a circuit, only as a dated temporary. */
export const piercingTap = method({
  id: 'piercingTap',
  name: 'Piercing tap (temporary)',
  leavesWhole: true,
  acts: ['crimp'],
  seal: 'none',
  order: 30,
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
    const [, added, ...more] = request.wires.right;
    if (more.length > 0)
      return { ok: false, lacks: 'wires', because: `${more.length + 1} wires are to be added; a tap takes one.` };
    const wires = added ? [main, added] : [main];
    const parts = ofKind(request.parts, PIERCING_TAP)
      .filter((tap) => wires.every((wire) => holds(tap.range, wire.areaMm2)))
      .sort(
        byPreference((tap) => ({ upperLimitMm2: tap.range.maxMm2, diameterMm: tap.thickMm, lengthMm: tap.lengthMm })),
      );
    const words = wires.map((wire) => figure(wire.areaMm2, 3)).join(' and ');
    if (parts.length === 0) return { ok: false, lacks: 'barrel', because: `No tap takes ${words} mm².` };
    return {
      ok: true,
      joints: parts.map((part) => ({
        methodId: 'piercingTap',
        partId: part.id,
        partName: part.name,
        fitsWords: `${words} mm² in ${rangeInWords(part.range)}`,
        upperLimitMm2: part.range.maxMm2,
        reach: { kind: 'lapped', lapMm: 0 },
        left: { stripMm: 0, folded: false },
        right: { stripMm: 0, folded: false },
        jointLengthMm: part.lengthMm,
        bodyLengthMm: part.lengthMm,
        bodyDiameterMm: part.thickMm,
        seal: { kind: 'none' },
        rated: [ratedPart(part)],
        usesPartIds: [part.id],
        foldMissing: false,
      })),
    };
  },
});

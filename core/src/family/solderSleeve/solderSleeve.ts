import { byPreference, holds, sumAreaMm2, type JointWires } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { method } from '../types.ts';
import { SOLDER_SLEEVE, type SolderSleevePart } from './parts.ts';

/** The solder-and-seal sleeves that hold both sides, best first. */
export const solderSleeveFits = (parts: readonly SolderSleevePart[], joint: JointWires): readonly SolderSleevePart[] =>
  parts
    .filter((part) => [joint.left, joint.right].every((side) => holds(part.range, sumAreaMm2(side))))
    .sort(
      byPreference<SolderSleevePart>((part) => ({
        upperLimitMm2: part.range.maxMm2,
        diameterMm: part.diameterMm,
        lengthMm: part.overallLengthMm,
      })),
    );

/** A clear sleeve with solder and glue in it, melted by hot air. */
export const solderSleeve = method({
  id: 'solderSleeve',
  name: 'Solder-and-seal sleeve',
  lay: 'a soldered joint',
  acts: ['hotAir'],
  seal: 'builtIn',
  order: 16,
  tasks: ['hotAir'],
  steps: 5,
  minutes: 4,
  size: (request) => {
    const left = sumAreaMm2(request.wires.left);
    const right = sumAreaMm2(request.wires.right);
    const count = request.wires.left.length + request.wires.right.length;
    if (count > 3)
      return {
        ok: false,
        lacks: 'wires',
        because: `${count} wires meet here; a solder-and-seal sleeve takes 3 in all.`,
      };
    const parts = solderSleeveFits(ofKind(request.parts, SOLDER_SLEEVE), request.wires);
    if (parts.length === 0)
      return {
        ok: false,
        lacks: 'barrel',
        because: `No solder-and-seal sleeve holds ${figure(left, 3)} mm² on one side and ${figure(right, 3)} on the other.`,
      };
    return {
      ok: true,
      joints: parts.map((part) => ({
        methodId: 'solderSleeve',
        partId: part.id,
        partName: part.name,
        fitsWords: `${figure(left, 3)} and ${figure(right, 3)} mm² in ${rangeInWords(part.range)}`,
        upperLimitMm2: part.range.maxMm2,
        reach: { kind: 'lapped', lapMm: part.lapMm },
        left: { stripMm: part.lapMm, folded: false },
        right: { stripMm: part.lapMm, folded: false },
        jointLengthMm: part.lapMm,
        bodyLengthMm: part.overallLengthMm,
        bodyDiameterMm: part.diameterMm,
        seal: { kind: 'builtIn' },
        rated: [ratedPart(part)],
        usesPartIds: [part.id],
        foldMissing: false,
      })),
    };
  },
});

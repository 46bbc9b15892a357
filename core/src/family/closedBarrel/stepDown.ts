import { crimpPointMm, stripClosedBarrelMm, sumAreaMm2 } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import type { Sizing } from '../sizing.ts';
import { method } from '../types.ts';
import { sealedButt } from './butt.ts';
import { stepDownFits } from './fit.ts';
import { STEP_DOWN } from './parts.ts';

/**
 * A sealed butt with a bore for each of two sizes. Of an insert's two joints the one between equal sizes takes an
 * ordinary sealed butt: a step-down would not hold it.
 */
export const stepDown = method({
  id: 'stepDown',
  name: 'Step-down butt',
  gripsTwoSizes: true,
  acts: ['crimp', 'hotAir'],
  seal: 'builtIn',
  barrel: 'insulated',
  order: 5,
  tasks: ['crimpSealedButt', 'hotAir'],
  steps: 6,
  minutes: 4,
  size: (request): Sizing => {
    const left = sumAreaMm2(request.wires.left);
    const right = sumAreaMm2(request.wires.right);
    const [thin, thick] = [Math.min(left, right), Math.max(left, right)];
    const fits = stepDownFits(ofKind(request.parts, STEP_DOWN), request.wires);
    if (fits.length === 0) {
      const even = request.amongUnlike ? sealedButt.size(request) : undefined;
      if (even && (even.ok || even.lacks === 'wires')) return even;
      return {
        ok: false,
        lacks: 'barrel',
        because:
          thin === thick
            ? `Both sides are ${figure(thin, 3)} mm²: there is nothing to step down.`
            : `No step-down holds ${figure(thin, 3)} mm² in its small end and ${figure(thick, 3)} in its large one.`,
      };
    }
    if (request.wires.left.length + request.wires.right.length > 3)
      return {
        ok: false,
        lacks: 'wires',
        because: `${request.wires.left.length + request.wires.right.length} wires meet here; a butt takes 3 in all.`,
      };
    return {
      ok: true,
      joints: fits.map(({ part, smallSide }) => ({
        methodId: 'stepDown',
        partId: part.id,
        partName: part.name,
        fitsWords: `${figure(thin, 3)} mm² in ${rangeInWords(part.smallRange)} and ${figure(thick, 3)} mm² in ${rangeInWords(part.largeRange)}`,
        upperLimitMm2: part.largeRange.maxMm2,
        reach: { kind: 'butt' },
        left: { stripMm: stripClosedBarrelMm(part.barrelLengthMm, false), folded: false },
        right: { stripMm: stripClosedBarrelMm(part.barrelLengthMm, false), folded: false },
        jointLengthMm: part.barrelLengthMm,
        bodyLengthMm: part.overallLengthMm,
        bodyDiameterMm: part.crimpedDiameterMm,
        crimpAtMm: crimpPointMm(part.barrelLengthMm),
        seal: { kind: 'builtIn' },
        rated: [ratedPart(part)],
        usesPartIds: [part.id],
        foldMissing: false,
        sides: `the ${smallSide} end is the small one`,
      })),
    };
  },
});

import { byPreference, crimpPointMm, holds, stripClosedBarrelMm, sumAreaMm2 } from '../../sizing/index.ts';
import { ofKind, rangeInWords } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { ratedPart } from '../joint.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import { partOfSize } from '../sizing.ts';
import type { Method } from '../types.ts';
import { HEAVY_BUTT } from './parts.ts';

/** A heavy barrel crimped from both ends, one wire in each, under a sleeve or a wrap. */
const heavyButt = <Id extends string>(
  id: Id,
  seal: 'sleeve' | 'wrap',
  order: number,
): Method<Id, 'crimpHeavy' | 'hotAir'> => ({
  id,
  name: `Heavy butt barrel + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  acts: seal === 'sleeve' ? ['crimp', 'hotAir'] : ['crimp'],
  seal,
  order,
  tasks: seal === 'sleeve' ? ['crimpHeavy', 'hotAir'] : ['crimpHeavy'],
  steps: 8,
  minutes: 8,
  size: (request) => {
    const { left, right } = request.wires;
    if (left.length !== 1 || right.length !== 1)
      return {
        ok: false,
        lacks: 'wires',
        because: `${left.length + right.length} wires meet here; a heavy barrel takes one from each side.`,
      };
    const ends = [sumAreaMm2(left), sumAreaMm2(right)];
    const words = [...new Set(ends.map((area) => figure(area, 3)))].join(' and ');
    const parts = ofKind(request.parts, HEAVY_BUTT)
      .filter((part) => ends.every((area) => holds(part.range, area)))
      .sort(
        byPreference((part) => ({
          upperLimitMm2: part.range.maxMm2,
          diameterMm: part.crimpedDiameterMm,
          lengthMm: part.barrelLengthMm,
        })),
      );
    const none = {
      ok: false,
      lacks: 'barrel',
      because: `No heavy barrel holds ${words} mm².`,
      wanted: partOfSize(
        HEAVY_BUTT.words,
        ofKind(request.parts, HEAVY_BUTT).map(({ range }) => range),
        ends,
        ' an end',
      ),
    } as const;
    return eachSized(parts, none, (part) => {
      const end = { stripMm: stripClosedBarrelMm(part.barrelLengthMm, false), folded: false };
      const bare = { lengthMm: part.barrelLengthMm, diameterMm: part.crimpedDiameterMm };
      return sealedJoints(seal, request, bare, {
        methodId: id,
        partId: part.id,
        partName: part.name,
        fitsWords: `${words} mm² in ${rangeInWords(part.range)}`,
        upperLimitMm2: part.range.maxMm2,
        reach: { kind: 'butt' },
        left: end,
        right: end,
        jointLengthMm: part.barrelLengthMm,
        crimpAtMm: crimpPointMm(part.barrelLengthMm),
        rated: [ratedPart(part)],
        usesPartIds: [part.id],
        foldMissing: false,
      });
    });
  },
});

/** A heavy barrel under an adhesive sleeve. */
export const heavySleeve = heavyButt('heavySleeve', 'sleeve', 8);
/** A heavy barrel under self-fusing tape, for where no heat may be used. */
export const heavyWrap = heavyButt('heavyWrap', 'wrap', 23);

import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { CUT_OUT, pass } from '../looks.ts';

type ThroatCheck = CheckBase;

/** The brush beyond the conductor crimp, and how far a wire end may stand out at most, mm. Source: numbers. */
const BRUSH_MM = { least: 0.5, most: 1 } as const;
const MOST_MM = 1.5;
const GRACE_MM = 1e-9;

export const throat = readingKind({
  kind: 'throat',
  fields: {
    beyondMm: { type: 'number', words: 'A wire end', unit: 'mm', from: 0, fromIsAllowed: true, to: 30 },
  },
  rule: (_check: ThroatCheck, { beyondMm }) => {
    const reads = `${figure(beyondMm, 2)} mm beyond the conductor crimp`;
    if (beyondMm > MOST_MM + GRACE_MM)
      return {
        verdict: 'rework',
        watch: false,
        cause: `${reads}: past the throat, it keeps the mating contact out.`,
        next: 'Trim the brush to 0.5–1 mm, or crimp a new one.',
      };
    if (beyondMm === 0)
      return {
        verdict: 'scrap',
        watch: false,
        cause: 'No brush: the copper ends inside the crimp, or before it.',
        next: `${CUT_OUT} Strip to the terminal’s own length, wire in to the stop.`,
      };
    if (beyondMm < BRUSH_MM.least - GRACE_MM)
      return pass(`${reads}: a short brush.`, true, 'Strip the next one longer.');
    if (beyondMm > BRUSH_MM.most + GRACE_MM)
      return pass(`${reads}: a long brush.`, true, 'Strip the next one shorter.');
    return pass(`${reads}: a good brush.`);
  },
  words: ({ beyondMm }) => `${figure(beyondMm, 2)} mm beyond the crimp`,
});

/** How far the wire stands out of its conductor crimp, where somebody measures it. */
export const THROAT_CHECK: ThroatCheck & { readonly kind: 'throat' } = {
  id: 'throat',
  kind: 'throat',
  required: false,
  title: 'Wire end past the throat',
  how: 'From the front edge of the conductor crimp to the ends of the strands.',
};

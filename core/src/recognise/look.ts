import type { FindingKind } from '../damage/index.ts';

/** What is looked at. */
export const LOOKED_AT = [
  'jacket',
  'copper',
  'strands',
  'heat',
  'splice',
  'terminal',
  'crimp',
  'housing',
  'wireSeal',
] as const;
export type LookedAt = (typeof LOOKED_AT)[number];

/** How it is: as it should be, to be looked at again, to be mended. */
export const GRADES = ['good', 'doubtful', 'bad'] as const;
export type Grade = (typeof GRADES)[number];

/** One of three pictures of a thing: what is seen, what to do then, and the finding that it is. */
export interface Look {
  readonly seen: string;
  readonly then: string;
  readonly kind?: FindingKind;
  readonly sort?: string;
}

/** Good, doubtful and bad of everything that is judged by eye, for side by side. */
export const LOOKS: Readonly<Record<LookedAt, { readonly title: string } & Readonly<Record<Grade, Look>>>> = {
  jacket: {
    title: 'Jacket',
    good: { seen: 'Matt or dirty, full thickness all round', then: 'Leave it. Move what it rubbed on.' },
    doubtful: {
      seen: 'Worn flat or scratched, no copper to be seen',
      then: 'Bend it there: if it opens or turns white, it is through. Else wrap it.',
      kind: 'jacketRubbed',
    },
    bad: { seen: 'Copper shows, every strand is there', then: 'Cover it, or cut it out.', kind: 'jacketRubbed' },
  },
  copper: {
    title: 'Copper, once bared',
    good: { seen: 'Bright, salmon-coloured', then: 'Nothing to cut back here.' },
    doubtful: {
      seen: 'Brown and dull',
      then: 'Strip 10 mm more. Bright there: the rest is sound. Still brown: cut back.',
      kind: 'corroded',
    },
    bad: {
      seen: 'Green or black, powder under the jacket',
      then: 'Cut back until it is bright and the jacket supple.',
      kind: 'corroded',
    },
  },
  strands: {
    title: 'Strands',
    good: { seen: 'All there, the lay even', then: 'Nothing to do.' },
    doubtful: {
      seen: 'One scratched, or one cut of 19 or more',
      then: 'Count them. On a signal one of 19 may be covered; on a feed or ground it is cut out.',
      kind: 'strandsLost',
    },
    bad: {
      seen: 'Several cut or broken',
      then: 'Cut it out: what is left carries all the current.',
      kind: 'strandsLost',
    },
  },
  heat: {
    title: 'Heat',
    good: { seen: 'Supple, its own colour', then: 'Nothing to do.' },
    doubtful: {
      seen: 'Shiny or a shade darker, still supple',
      then: 'Find what runs hot: measure the drop over the next joint and terminal under load.',
    },
    bad: { seen: 'Stiff, brown, cracks when bent', then: 'Cut it out, and find the cause.', kind: 'cooked' },
  },
  splice: {
    title: 'An earlier splice',
    good: { seen: 'Sleeve tight, glue round both ends', then: 'Leave it. Note where it is.' },
    doubtful: {
      seen: 'Sleeve loose, or no glue at one end',
      then: 'Measure it under load and look under the sleeve. Green there: cut it out.',
    },
    bad: { seen: 'Twisted under tape, clamped on, or bare', then: 'Cut it out whole.', kind: 'poorRepair' },
  },
  terminal: {
    title: 'Terminal',
    good: { seen: 'Bright, straight, its spring closed', then: 'Leave it.' },
    doubtful: {
      seen: 'Dull or discoloured, or its mate slides in too easily',
      then: 'Measure from wire to mating contact. Over the limit: a new terminal.',
    },
    bad: {
      seen: 'Burnt, spread or bent',
      then: 'A new terminal. Burnt: find the cause first.',
      kind: 'terminalDamaged',
    },
  },
  crimp: {
    title: 'Crimp',
    good: { seen: 'Brush in front, jacket edge between the two crimps', then: 'Leave it.' },
    doubtful: {
      seen: 'No brush to be seen, or a flat edge beside the die',
      then: 'Tug it, and lay an uncrimped one beside it: longer by over 3 % is scrap.',
    },
    bad: {
      seen: 'Strands outside, metal squeezed out, or jacket under the copper crimp',
      then: 'Cut it off: a new terminal.',
      kind: 'terminalMiscrimped',
    },
  },
  housing: {
    title: 'Housing',
    good: { seen: 'Whole, its latch clicks and holds', then: 'Leave it.' },
    doubtful: {
      seen: 'A hairline crack, or a latch that holds weakly',
      then: 'Pull the halves by hand. Apart: broken. In a wet place a crack is broken too.',
      kind: 'housingBroken',
    },
    bad: { seen: 'Latch or wall broken off', then: 'A new housing, or a pigtail.', kind: 'housingBroken' },
  },
  wireSeal: {
    title: 'Wire seal',
    good: { seen: 'All lips even, it sits in its cavity', then: 'Leave it.' },
    doubtful: {
      seen: 'Flattened or swollen, lips still whole',
      then: 'In a wet place take it for lost. In a dry one leave it.',
      kind: 'sealLost',
      sort: 'wireSeal',
    },
    bad: {
      seen: 'Torn, or not there',
      then: 'It slides on before the crimp: a new terminal with a new seal.',
      kind: 'sealLost',
      sort: 'wireSeal',
    },
  },
};

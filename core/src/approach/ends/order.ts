import { counted, figure } from '../../units/index.ts';
import { bodyOf } from '../../terminal/index.ts';
import type { Source } from '../../method/index.ts';
import type { EndCase } from './types.ts';

/** What orders two terminals that are allowed: the lower penalty goes first. */
export interface EndPreference {
  readonly id: string;
  readonly subject: string;
  readonly source: Source;
  readonly penalty: (where: EndCase) => number;
  readonly because: (better: EndCase, worse: EndCase) => string;
}

/** Steps that a seal takes, besides what every terminal does. */
const SEAL_STEPS: Readonly<Record<NonNullable<EndCase['seal']>['kind'], number>> = {
  wireSeal: 1,
  ownTube: 1,
  sleeve: 2,
  wrap: 1,
};
const stepsOf = ({ seal, part, attach }: EndCase): number =>
  (seal ? SEAL_STEPS[seal.kind] : 0) +
  Number(bodyOf(part) === 'ownTube' && !seal) +
  Number(part.support === 'metal') +
  2 * Number(attach === 'solder');

/** How the allowed are ordered: the first of these on which two differ decides. */
export const END_PREFERENCES: readonly EndPreference[] = [
  {
    id: 'end.madeFor',
    subject: 'what the end is for',
    source: 'trade practice',
    penalty: ({ form, site }) => {
      const serves = site.fitting?.use === undefined ? 0 : form.serves[site.fitting.use];
      return typeof serves === 'number' ? serves : 9;
    },
    because: ({ part }) => `${part.name} is made for this.`,
  },
  {
    id: 'end.crimped',
    subject: 'how it is held',
    source: 'trade practice',
    penalty: ({ attach }) => Number(attach === 'solder'),
    because: () => 'A crimp is a cold weld with nothing to wick; solder comes after it here.',
  },
  {
    id: 'end.builtInSeal',
    subject: 'seal',
    source: 'trade practice',
    penalty: ({ seal }) => Number(seal?.kind === 'sleeve' || seal?.kind === 'wrap'),
    because: () => 'The place is damp or wet, and its seal is built in: no sleeve to forget.',
  },
  {
    id: 'end.unfolded',
    subject: 'fold-over',
    source: 'trade practice',
    penalty: ({ folded, site }) => Number(folded !== site.wire.solid && folded),
    because: () => 'It holds the copper as it is; the other needs it doubled over.',
  },
  {
    id: 'end.lowestLimit',
    subject: 'size',
    source: 'stamped on the part, else usual: copper range',
    penalty: ({ part }) => part.range.maxMm2,
    because: (better, worse) =>
      `Its upper limit of ${figure(better.part.range.maxMm2)} mm² is nearer than ${figure(worse.part.range.maxMm2)}, so the crimp closes tighter.`,
  },
  {
    id: 'end.ratchet',
    subject: 'tool',
    source: 'the tool’s own record',
    penalty: ({ tool }) => Number(tool?.ratchet !== true),
    because: () => 'Its tool has a ratchet.',
  },
  {
    id: 'end.fewerSteps',
    subject: 'work',
    source: 'our own figure: bench steps of each seal',
    penalty: stepsOf,
    because: (better, worse) => `As sound, and ${counted(stepsOf(worse) - stepsOf(better), 'step')} fewer.`,
  },
  {
    id: 'end.shorterStrip',
    subject: 'strip',
    source: 'stamped on the part, else usual: strip',
    penalty: ({ part }) => part.stripMm,
    because: (better, worse) =>
      `${figure(better.part.stripMm)} mm of bare copper against ${figure(worse.part.stripMm)}: it goes home in a shallow clamp too.`,
  },
  {
    id: 'end.moreInStock',
    subject: 'shelf',
    source: 'counted on the shelf',
    penalty: ({ part }) => -part.quantity,
    because: (better, worse) => `${better.part.quantity} on the shelf against ${worse.part.quantity}.`,
  },
];

/**
 * Which of two allowed goes first: below 0 the first one. Of equals in all the id decides, never the line on the shelf.
 */
export function compareEnds(a: EndCase, b: EndCase): number {
  for (const { penalty } of END_PREFERENCES) {
    const difference = penalty(a) - penalty(b);
    if (Math.abs(difference) > 1e-9) return difference;
  }
  return a.part.id < b.part.id ? -1 : Number(a.part.id > b.part.id);
}

/** Why one goes before the other; nothing where they are equals. */
export const whyBefore = (better: EndCase, worse: EndCase): string | undefined =>
  END_PREFERENCES.find(({ penalty }) => penalty(worse) - penalty(better) > 1e-9)?.because(better, worse);

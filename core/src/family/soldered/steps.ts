import { figure } from '../../units/index.ts';
import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

const LOOSE = 'A loose lay fills with solder and breaks.';
const WINDOW_LAY = {
  title: 'Wrap it round the main wire',
  how: (over: string) => `At least three turns, tight, inside the window of ${over} mm.`,
  mistake: LOOSE,
};

/** How the bare ends are brought together, by method: what to do, over how much, and what goes wrong. */
const LAYS: Readonly<
  Record<string, { readonly title: string; readonly how: (overMm: string) => string; readonly mistake: string }>
> = {
  interlacedSolder: {
    title: 'Interlace the strands',
    how: (over) => `Fan both ends, push them into each other over ${over} mm, smooth down and twist once.`,
    mistake: LOOSE,
  },
  lapSolder: {
    title: 'Lay the tinned ends side by side',
    how: (over) => `Over ${over} mm, touching along their length.`,
    mistake: 'The weakest of the soldered: it holds by solder alone, so keep it still.',
  },
  windowSolderSleeve: WINDOW_LAY,
  windowSolderWrap: WINDOW_LAY,
};
const WRAPPED = {
  title: 'Wrap each round the other',
  how: () => 'Cross at the middle, wrap tight, ends tucked in.',
  mistake: LOOSE,
};

function layStep({ joint }: JoinWork): StepDraft {
  const { title, how, mistake } = LAYS[joint.methodId] ?? WRAPPED;
  // Tinned ends overlap by what stays of them; others by all that is bared.
  const overMm = joint.left.stripMm - (joint.reach.kind === 'lapped' ? (joint.reach.tinnedMm ?? 0) : 0);
  return draft('wrap', 'wrap', title, how(figure(overMm)), mistake, { figure: mm(overMm) });
}

/** The steps of a soldered joint, from tinning to the set solder. */
export function solderSteps(work: JoinWork): StepDraft[] {
  const { joint, ironW } = work;
  const tinned = joint.reach.kind === 'lapped' ? joint.reach.tinnedMm : undefined;
  return [
    ...(tinned === undefined
      ? [
          draft(
            'flux',
            'wrap',
            'Clean and flux the bare ends',
            'Rosin flux, wires bare: tinned strands cannot be meshed or wrapped. A heat clamp at each jacket.',
            'Acid core eats the strands: never.',
          ),
        ]
      : [
          draft(
            'tin',
            'solder',
            'Clean and tin',
            'Tip and wires, rosin core only. A heat clamp at each jacket.',
            'Acid core eats the strands: never.',
            { figure: { value: ironW, digits: 0, unit: 'W iron' } },
          ),
          draft(
            'level',
            'cut',
            'Cut both tinned ends square and level',
            `${figure(tinned)} mm off each: ${figure(joint.left.stripMm - tinned)} mm of tinned wire stays.`,
            'A ball of solder at the tip holds the wires apart.',
            { figure: mm(joint.left.stripMm - tinned) },
          ),
        ]),
    layStep(work),
    draft(
      'solder',
      'solder',
      'Solder it',
      "Heat the wire, feed into the wire and not on to the tip. Strands' outline stays visible. Hold still until it sets.",
      'Keep solder out from under the jacket: the stiff place breaks.',
      { waitS: 10, figure: { value: ironW, digits: 0, unit: 'W iron' } },
    ),
  ];
}

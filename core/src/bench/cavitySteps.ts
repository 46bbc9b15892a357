import type { CavityAct, CavityWork } from '../approach/index.ts';
import { LATCH_WORDS, RELEASE_GUIDES } from '../connector/index.ts';
import { isInHousing } from '../harness/index.ts';
import type { Habits } from '../practice/index.ts';
import { draft, mm, type BenchStep, type StepDraft } from '../step/index.ts';
import { bootSteps, cableEndSteps, moveSteps, routeSteps } from './aroundSteps.ts';
import { fastenSteps, terminalSteps } from './terminalSteps.ts';

/** Solder wets only this much of a pin, so that it still fits its cavity; mm. */
const WET_MM = 3;
const POT_SET_S = 600;

const cavity = ({ nodeName, at }: CavityWork): string => `${nodeName}, cavity ${at.cavity}`;

/** How the two halves are parted, where it is noted. */
const opening = ({ latch }: CavityWork): string => (latch === undefined ? '' : `${LATCH_WORDS[latch].opens} `);

function freeSteps(work: CavityWork): StepDraft[] {
  const guide = work.lock === undefined ? undefined : RELEASE_GUIDES[work.lock];
  return [
    draft(
      'free',
      'free',
      `Free the terminal of ${cavity(work)}`,
      [
        guide
          ? guide.steps.join(' ')
          : 'Note the cavity, look up how this housing holds its terminals, lift the lock piece first.',
        ...(work.releaseTool === undefined ? [] : [`The tool: ${work.releaseTool}.`]),
      ].join(' '),
      guide?.never ?? 'The right wire in the wrong cavity is the most common mistake of all.',
    ),
  ];
}

function seatSteps(work: CavityWork, closes = true, into = work.at.cavity): StepDraft[] {
  const guide = work.lock === undefined ? undefined : RELEASE_GUIDES[work.lock];
  return [
    draft(
      'seat',
      'seat',
      `Seat it in ${work.nodeName}, cavity ${into}`,
      `${guide ? `${guide.refit} ` : ''}Right way round, straight in without turning, click, pull back${closes ? ', then close the lock piece' : '; the lock piece stays open for the next wire'}.`,
      'No click, no seat: the lock piece does not close over one that stands back.',
    ),
  ];
}

/**
 * Where one wire stands in a piece of work on its connector: what is done once for all of them is done with the first,
 * or with the last.
 */
export interface InPiece {
  readonly wires: number;
  readonly isFirst: boolean;
  readonly isLast: boolean;
}

function actSteps(act: CavityAct, work: CavityWork, habits: Habits, piece: InPiece): StepDraft[] {
  switch (act) {
    case 'unplug':
      return [
        draft(
          'unplug',
          'free',
          `Take the plug out of ${cavity(work)}`,
          'Lock piece open, then pull the plug from the wire side. No plug there: clean the cavity and see whether its lance stands up.',
          'Keep the plug: it closes the next cavity that comes free.',
        ),
      ];
    case 'crimpTerminal':
      return work.terminal && !isInHousing(work.terminal.family)
        ? [...terminalSteps(work), ...fastenSteps(work)]
        : [
            ...(work.acts.includes('rehouse') || work.acts.includes('unplug') ? [] : freeSteps(work)),
            ...terminalSteps(work),
            ...seatSteps(work, piece.isLast),
          ];
    case 'correct':
      return [
        ...freeSteps(work),
        draft(
          'lance',
          'look',
          'Look at its lance',
          'Lifted, not flat; bent or cracked means a new terminal.',
          'A flat lance clicks and does not hold.',
        ),
        ...seatSteps(work),
      ];
    case 'rehouse':
      return [
        ...(piece.isFirst
          ? [
              draft(
                'map',
                'look',
                'Write the cavities down',
                `${opening(work)}${piece.wires > 1 ? `All ${piece.wires} wires` : 'Each wire'} with its cavity, off the old housing, before anything is freed.`,
                'Mating side and wire side are mirror images: read one side only.',
              ),
            ]
          : []),
        ...freeSteps(work),
        ...(work.acts.includes('crimpTerminal') ? [] : seatSteps(work, piece.isLast)),
      ];
    case 'seal':
      return [
        ...freeSteps(work),
        draft(
          'seal',
          'seat',
          'Put the seal back',
          `Clean, whole, right way round; ${habits.grease === 'never' ? 'no grease.' : 'grease only as the maker says, never in a sealed data connector unless told.'}`,
          'A rolled seal lets water in and looks fine.',
        ),
        ...seatSteps(work),
      ];
    case 'plug':
      return [
        draft(
          'plug',
          'seat',
          `Plug ${cavity(work)}`,
          'Home to its collar, level with its neighbours.',
          'An open cavity lets water into all of them.',
        ),
      ];
    case 'lockPiece':
      return [
        draft(
          'lockPiece',
          'seat',
          'Close the lock piece',
          'Every terminal pulled first; then it closes by hand.',
          'It will not close over a terminal that stands back: find that one, no force.',
        ),
      ];
    case 'refit':
      return seatSteps(work);
    case 'pigtail':
      if (!piece.isFirst)
        return [
          draft(
            'mapping',
            'look',
            `Take the pigtail’s wire for cavity ${work.at.cavity}`,
            `By the mapping card of ${work.nodeName}, which is proved already; tag it with its cavity.`,
            'Its colours match nothing: by cavity, never by colour.',
          ),
        ];
      return [
        draft(
          'mapping',
          'look',
          'Prove the mapping',
          `${opening(work)}Mapping card of ${work.nodeName}: each pigtail wire by cavity, read through with the meter.`,
          'Its colours match nothing: by cavity, never by colour.',
        ),
      ];
    case 'move':
      return moveSteps(work, freeSteps(work), seatSteps(work, true, work.toCavity));
    case 'cableEnd':
      return piece.isFirst ? cableEndSteps(work) : [];
    case 'boot':
      return piece.isLast ? bootSteps(work) : [];
    case 'route':
      return routeSteps(work);
    case 'solderToPin':
      return [
        draft(
          'pin',
          'free',
          'Take the pin out of the plastic',
          `${cavity(work)}: heat melts the housing. Note the cavity.`,
          'Soldered in place, the plastic lets go of the pin.',
        ),
        draft(
          'solder',
          'solder',
          'Solder the wire to the pin',
          'Clean, flux, heat the pin, feed into the wire; hold still until it sets.',
          'More than 2–3 mm wetted, and it no longer fits its cavity.',
          { figure: mm(WET_MM, 0), waitS: 10 },
        ),
        ...seatSteps(work),
        draft(
          'pot',
          'seat',
          'Hold the back fast and pot it',
          'Wire tied back first; then fill until nothing can move.',
          'Soldered and loose at the back, it breaks beside the solder.',
          { waitS: POT_SET_S, acts: ['glue'] },
        ),
      ];
  }
}

/** The steps of work at a cavity, in the order of its acts. */
export const stepsAtCavity = (
  id: string,
  make: number,
  work: CavityWork,
  habits: Habits,
  piece: InPiece = { wires: 1, isFirst: true, isLast: true },
): BenchStep[] =>
  work.acts.flatMap((act) =>
    actSteps(act, work, habits, piece).map((step) => ({
      ...step,
      spliceId: id,
      id: `${id}#${make}/${act}/${step.key}`,
    })),
  );

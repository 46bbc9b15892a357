import type { CavityWork } from '../approach/index.ts';
import { draft, mm, type StepDraft } from '../step/index.ts';
import { figure } from '../units/index.ts';

/** A shrunk tube stays still for this long, s. Source: numbers, sleeves. */
const COOL_S = 60;

/** The cable's end laid bare, once for all of its cores: sleeve on, jacket back, fillers out, spare cores ended. */
export function cableEndSteps({ cable, nodeName }: CavityWork): StepDraft[] {
  if (!cable) return [];
  const { sleeve, spare, spareColours = [], backMm, unusedCores } = cable;
  const colours = spareColours.length === unusedCores;
  return [
    draft(
      'bootOn',
      'sleeve',
      sleeve ? 'Slide the sleeve over the cable now' : 'Slide the boot over the cable now',
      sleeve
        ? `${sleeve.name}, then the back cap of ${nodeName}: both before the first terminal.`
        : `The boot of ${nodeName}, then its back cap: both before the first terminal.`,
      'Neither goes on once the terminals are in.',
      sleeve ? { figure: mm(sleeve.cutMm, 0) } : {},
    ),
    draft(
      'jacketBack',
      'strip',
      'Take the cable’s jacket back',
      'Score it round, bend it open, pull it off; then cut paper and string fillers out.',
      'A knife through to the cores: look at every core all round before it is used.',
      { figure: mm(backMm, 0) },
    ),
    ...(unusedCores > 0
      ? [
          draft(
            'spareCores',
            'sleeve',
            unusedCores === 1 ? 'End the unused core' : `End the ${unusedCores} unused cores`,
            `Cut back, each a little shorter than the last; ${spare ? `a piece of ${spare.name.toLowerCase()}` : 'a sleeve'} over each end, shrunk and pinched shut, laid back under the cap. ${colours ? `They are ${spareColours.join(', ')}.` : 'Write their colours on the record.'}`,
            'A bare end may be live: it shorts to its neighbour under the cap.',
            spare ? { figure: mm(spare.cutMm, 0), acts: ['cut', 'hotAir'] } : {},
          ),
        ]
      : []),
  ];
}

/** Jacket and back cap closed, once all terminals are seated. */
export function bootSteps({ cable, nodeName }: CavityWork): StepDraft[] {
  if (!cable) return [];
  return [
    cable.sleeve
      ? draft(
          'boot',
          'shrink',
          'Shrink the sleeve over jacket and back cap',
          `Half on the jacket, half on the cap of ${nodeName}; from the middle outwards, until glue shows all round at both ends. Then leave it still.`,
          'Without it every pull on the cable is a pull on the terminals.',
          { waitS: COOL_S },
        )
      : draft(
          'boot',
          'seat',
          'Push the boot home over jacket and back cap',
          `Over the cap of ${nodeName}, the cable tied so that it carries the pull.`,
          'Without it every pull on the cable is a pull on the terminals.',
        ),
  ];
}

/** Wires laid on a new route after a lead has grown or a sensor was turned. */
export const routeSteps = ({ bendMm, nodeName }: CavityWork): StepDraft[] => [
  draft(
    'route',
    'look',
    `Lay the wires to ${nodeName} on their new way`,
    `${bendMm ? `No bend under ${figure(bendMm.fixed, 0)} mm radius, ${figure(bendMm.moving, 0)} where it moves. ` : ''}A loop before the connector, a tie on both sides of it; move the part through its whole travel and see that nothing pulls or rubs.`,
    'Long enough standing still, and too short when it turns.',
  ),
];

/** Both wires of a damaged cavity moved into one that is free on both halves. */
export function moveSteps(
  { at, toCavity = '', nodeName }: CavityWork,
  free: readonly StepDraft[],
  seat: readonly StepDraft[],
): StepDraft[] {
  return [
    draft(
      'unplugFree',
      'free',
      `Take the plug out of cavity ${toCavity} of ${nodeName}`,
      'Keep it for the old cavity. See that this one is clean and its lance stands up; the same in the mate.',
      'Free here and taken in the mate: look at both halves first.',
    ),
    ...free,
    ...seat,
    draft(
      'mate',
      'seat',
      `Move the mate’s wire from ${at.cavity} to ${toCavity} too`,
      'Freed and seated the same way. The plugs that came out close the cavities that are empty now.',
      'One half moved, and two functions trade places.',
    ),
    draft(
      'pinout',
      'look',
      'Write it on the pinout',
      `The circuit sits in cavity ${toCavity} of ${nodeName} from now on, and no longer in ${at.cavity}: change it in the machine’s circuits, and put a label at the connector.`,
      'The next technician trusts the pinout.',
    ),
  ];
}

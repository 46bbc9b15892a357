import { figure } from '../../units/index.ts';
import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/**
 * Conductors laid in a clip and the clip closed round them; solder on top only where a shop does that and the place
 * stands still and dry.
 */
export function clipSteps({ joint, whole, habits, stillAndDry }: JoinWork): StepDraft[] {
  return [
    draft(
      'lay',
      'crimp',
      whole ? 'Close the clip round both' : 'Lay the wires in the clip',
      `${joint.partName}: conductors side by side over ${figure(joint.jointLengthMm)} mm${joint.sides && !whole ? `, sides balanced: ${joint.sides}` : ''}. ${habits.strands === 'twist' ? 'Twist the strands once.' : 'Keep the factory lay.'}`,
      'A strand astray: roll once in a glove, never with bare fingers.',
      { figure: mm(joint.jointLengthMm) },
    ),
    draft(
      'crimp',
      'crimp',
      'Crimp the clip',
      'Open side to the rolling side of the die. Squeeze until the ratchet lets go. A brush shows at both ends.',
      'Metal squeezed out beside the die: scrap, and change the setting.',
    ),
    ...(habits.solderCrimps === 'stationary' && stillAndDry
      ? [
          draft(
            'flow',
            'solder',
            'Flow solder into the crimp',
            'Rosin core, a little, from the brush side; mark the joint as soldered on top of a crimp.',
            'Too hot for too long: it wicks under the jacket and the wire breaks there.',
            { waitS: 10 },
          ),
        ]
      : []),
  ];
}

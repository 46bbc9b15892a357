import { figure } from '../units/index.ts';
import type { SpliceToMake } from './types.ts';
import { draft, mm, type Draft } from './draft.ts';
import { solderSteps } from './solderSteps.ts';

export function joinSteps(make: SpliceToMake): Draft[] {
  const { joint } = make;
  switch (make.family) {
    case 'closedBarrel': {
      const detail =
        'Part seated in the die, ratchet just engaged. Wire in to the stop, jacket up to the barrel and not in it. Squeeze until the ratchet lets go.';
      const second =
        make.habits.secondCrimp === 'never' ? '' : ' A second crimp only where there is metal under the support.';
      const crimp = (key: string, name: string): Draft =>
        draft(
          key,
          'crimp',
          `Crimp ${name} end`,
          `${detail}${second}`,
          'On the rim it cuts the strands inside an intact jacket and looks fine.',
          { figure: mm(joint.crimpAtMm ?? 0, 2) },
        );
      return [crimp('crimpLeft', make.leftName), crimp('crimpRight', make.rightName)];
    }
    case 'openClip':
      return [
        draft(
          'lay',
          'crimp',
          make.whole ? 'Close the clip round both' : 'Lay the wires in the clip',
          `${joint.partName}: conductors side by side over ${figure(joint.jointLengthMm)} mm${joint.sides && !make.whole ? `, sides balanced: ${joint.sides}` : ''}. ${make.habits.strands === 'twist' ? 'Twist the strands once.' : 'Keep the factory lay.'}`,
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
        ...(make.habits.solderCrimps === 'stationary' && make.stillAndDry
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
    case 'closedEnd':
      return [
        draft(
          'lay',
          'crimp',
          'Lay the wires parallel',
          `All from one side, ends level, into ${joint.partName.toLowerCase()} to its bottom.`,
          'A wire that stops short is held by its neighbour only.',
          { figure: mm(joint.left.stripMm) },
        ),
        draft(
          'crimp',
          'crimp',
          'Crimp the cap',
          'In the middle of its metal. Squeeze until the ratchet lets go; then tug every wire by itself.',
          'One loose wire in the cap is a loose circuit.',
          { figure: mm(joint.crimpAtMm ?? 0) },
        ),
      ];
    case 'soldered':
      return solderSteps(make);
    case 'tap':
      return [
        draft(
          'press',
          'press',
          'Press the tap home',
          `${joint.partName} over both wires, flat, latched.`,
          'Temporary: it gets a label with the day it comes back.',
        ),
      ];
  }
}

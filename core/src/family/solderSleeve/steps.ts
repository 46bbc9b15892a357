import { figure } from '../../units/index.ts';
import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/** Conductors pushed together, then solder and glue melted in one. */
export const solderSleeveSteps = ({ joint, solid }: JoinWork): StepDraft[] => [
  draft(
    'wrap',
    'wrap',
    solid ? 'Lay the conductors side by side' : 'Push the strands into each other',
    `Over ${figure(joint.left.stripMm)} mm, with the solder ring over their middle.`,
    'Ring beside the copper: it melts into the glue and not into the strands.',
    { figure: mm(joint.left.stripMm) },
  ),
  draft(
    'shrink',
    'shrink',
    'Melt and shrink it',
    'Hot air with the reflector: the ring first, until it runs into the strands, then outwards until glue shows at both ends. Hold it still.',
    'Glue first: it shuts before the solder has run.',
    { waitS: 60 },
  ),
];

import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/** Wires laid parallel and a cap crimped over them. */
export const capSteps = ({ joint }: JoinWork): StepDraft[] => [
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

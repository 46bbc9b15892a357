import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/** Both ends of a heavy barrel pressed, one after the other. */
export function heavySteps({ joint, leftName, rightName }: JoinWork): StepDraft[] {
  const press = (key: string, name: string): StepDraft =>
    draft(
      key,
      'crimp',
      `Press ${name} end`,
      'Die of this size, hexagonal or indent, in the press. Wire in to the stop, jacket up to the barrel. Close until the dies meet or the pump lets go.',
      'A die one size off: it closes, and the wire pulls out under load.',
      { figure: mm(joint.crimpAtMm ?? 0, 2) },
    );
  return [press('crimpLeft', leftName), press('crimpRight', rightName)];
}

import { draft, mm, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/** Both ends of a barrel crimped, one after the other. */
export function barrelSteps({ joint, leftName, rightName, habits }: JoinWork): StepDraft[] {
  const detail =
    'Part seated in the die, ratchet just engaged. Wire in to the stop, jacket up to the barrel and not in it. Squeeze until the ratchet lets go.';
  const second = habits.secondCrimp === 'never' ? '' : ' A second crimp only where there is metal under the support.';
  const crimp = (key: string, name: string): StepDraft =>
    draft(
      key,
      'crimp',
      `Crimp ${name} end`,
      `${detail}${second}`,
      'On the rim it cuts the strands inside an intact jacket and looks fine.',
      { figure: mm(joint.crimpAtMm ?? 0, 2) },
    );
  return [crimp('crimpLeft', leftName), crimp('crimpRight', rightName)];
}

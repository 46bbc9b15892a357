import { STRIP_TOLERANCE_MM } from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import { familyOf } from '../family/index.ts';
import { draft, mm, type StepDraft } from '../step/index.ts';
import type { CloseWork, SpliceToMake } from './types.ts';

/**
 * What the outer jacket is opened beyond the core's body on each side, so that the shield can be folded back and
 * joined, mm.
 */
const BEYOND_BODY_MM = 10;

/** Before the core is stripped: its shield out of the way. */
export function shieldBackSteps({ joint, shield }: Pick<SpliceToMake, 'joint'> & CloseWork): StepDraft[] {
  if (!shield) return [];
  const openMm = Math.ceil(Math.max(joint.bodyLengthMm, shield.joint.bodyLengthMm) / 2 + BEYOND_BODY_MM);
  return [
    draft(
      'shieldBack',
      'strip',
      'Fold the shield back',
      'Open the outer jacket on both ends, fold the shield back and twist its drain to one strand. Leave the core’s own jacket whole.',
      'One strand of the shield on the core shorts the signal.',
      { figure: mm(openMm, 0) },
    ),
  ];
}

/** When the core is joined and sealed: the shield in a splice of its own. */
export function shieldJoinSteps({ shield, side }: SpliceToMake): StepDraft[] {
  if (!shield) return [];
  const { joint } = shield;
  const { seal } = joint;
  const over =
    seal.kind === 'sleeve'
      ? `${seal.name}, cut ${figure(seal.cutMm, 0)} mm, slid on first and shrunk over it`
      : seal.kind === 'wrap'
        ? `${seal.name}, half lapped over it`
        : 'its own sleeve shrunk over it';
  const where = side === 'only' ? 'Drain to drain' : 'The drain to its new piece, as long as the insert';
  return [
    draft(
      'shieldStrip',
      'strip',
      'Ready the drain',
      `${where}: both ends for ${joint.partName.toLowerCase()}.`,
      'Twisted too loosely, a strand stays outside.',
      { figure: mm(joint.left.stripMm, 1, STRIP_TOLERANCE_MM) },
    ),
    draft(
      'shieldJoin',
      familyOf(joint.methodId).joins === 'solder' ? 'solder' : 'crimp',
      'Join the shield by itself',
      `${joint.partName}, beside the core’s splice and not in it.`,
      'Joined into the core’s barrel, the shield no longer shields.',
      joint.crimpAtMm === undefined ? {} : { figure: mm(joint.crimpAtMm, 2) },
    ),
    draft(
      'shieldCover',
      seal.kind === 'wrap' ? 'tape' : 'shrink',
      'Insulate the drain',
      `${over}. No bare drain stays outside; close the outer jacket over both.`,
      'A bare drain touches something sooner or later: then a current runs in the shield.',
    ),
  ];
}

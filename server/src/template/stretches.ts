import type { Stretch } from '@mendum/core/damage';
import { openedParts } from '@mendum/core/layout';
import { TEMPLATE_MOST_MM, type TemplateAsked } from '@mendum/core/operations';
import { AppError } from '../errors.ts';
import type { TemplateOf } from './drawing.ts';

/** What is drawn on both sides of what is opened, mm. */
const BESIDE_MM = 100;

/** Whole centimetres around a stretch, on the run: every sheet begins with a figure on its ruler. */
const around = ({ fromMm, toMm }: Stretch, byMm: number, lengthMm: number): Stretch => ({
  fromMm: Math.max(0, Math.floor((fromMm - byMm) / 10) * 10),
  toMm: Math.min(lengthMm, Math.ceil((toMm + byMm) / 10) * 10),
});

/**
 * The stretches of a run that its template shows, from left to right: what is opened with a hand's width on both sides,
 * or the part that is asked for.
 * @throws AppError BAD_INPUT where that is more than is drawn at once, or no part of the run
 */
export function stretchesOf(of: Pick<TemplateOf, 'runPlan' | 'run'>, asked: TemplateAsked = {}): readonly Stretch[] {
  const { run, runPlan } = of;
  const isAsked = asked.fromMm !== undefined || asked.toMm !== undefined;
  const { fromMm = 0, toMm = run.lengthMm } = asked;
  if (isAsked && !(fromMm < Math.min(toMm, run.lengthMm)))
    throw new AppError(
      'BAD_INPUT',
      `From ${fromMm} to ${toMm} mm is no part of ${run.name}, 0 to ${run.lengthMm} mm.`,
      {
        field: '/fromMm',
        hint: 'Give a beginning that lies before the end, on the run.',
      },
    );
  const stretches = isAsked
    ? [around({ fromMm, toMm }, 0, run.lengthMm)]
    : openedParts(runPlan.openedParts.map((one) => around(one, BESIDE_MM, run.lengthMm)));
  const allMm = stretches.reduce((sum, one) => sum + one.toMm - one.fromMm, 0);
  if (allMm > TEMPLATE_MOST_MM)
    throw new AppError(
      'BAD_INPUT',
      `A template of ${run.name} would be ${Math.round(allMm)} mm long; ${TEMPLATE_MOST_MM} mm are drawn at once.`,
      { field: '/toMm', hint: 'Ask for it part by part, such as ?fromMm=0&toMm=5000.' },
    );
  return stretches;
}

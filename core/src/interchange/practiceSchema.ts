import Joi from 'joi';
import { switchableRuleIds } from '../method/index.ts';
import { DEFAULT_FIGURES, HABITS, OUR_HABITS, SCHOOLS } from '../practice/index.ts';
import { id, list, longText, text } from './fields.ts';

/** Jacket under a sleeve is never less than this on either side, mm. */
const OVERLAP_LEAST_MM = 6;
const mm = Joi.number().min(0).max(2000);
const clear = DEFAULT_FIGURES.clearMm;

const figuresSchema = Joi.object({
  clearMm: Joi.object({
    connector: mm.default(clear.connector),
    branch: mm.default(clear.branch),
    grommet: mm.default(clear.grommet),
    clip: mm.default(clear.clip),
  }).default(clear),
  preferFromConnectorMm: mm,
  betweenBodiesMm: mm,
  overlapMm: mm.min(OVERLAP_LEAST_MM),
  overlapShortMm: mm.min(OVERLAP_LEAST_MM),
  slideFactor: Joi.number().min(1).max(2),
  gripShare: Joi.number().greater(0).max(1),
  parkFromCrimpMm: mm,
  parkFromSolderMm: mm,
  tightMarginMm: mm,
  coverAtMostMm: mm,
  coverTwiceWithinMm: mm,
  untwistedAtMostMm: mm,
  insideHousingMm: mm,
}).fork(
  Object.keys(DEFAULT_FIGURES).filter((key) => key !== 'clearMm'),
  (schema) => schema.required(),
);

/** A practice in full: a ready one, or a shop's own copy. */
export const practiceSchema = Joi.object({
  id: id.required(),
  version: Joi.number().integer().min(1).required(),
  name: text.required(),
  school: Joi.valid(...SCHOOLS).required(),
  because: longText.required(),
  otherSide: longText.required(),
  figures: figuresSchema.required(),
  off: list(Joi.valid(...switchableRuleIds()))
    .unique()
    .default([]),
  habits: Joi.object(
    Object.fromEntries(
      HABITS.map((habit) => [habit.id, Joi.valid(...habit.sides.map((side) => side.id)).default(OUR_HABITS[habit.id])]),
    ),
  ).default(OUR_HABITS),
});

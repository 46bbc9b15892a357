import Joi from 'joi';
import { switchableRuleIds } from '../method/index.ts';
import {
  DEFAULT_FIGURES,
  HABITS,
  LAYOUT_KINDS,
  OUR_HABITS,
  SCHOOLS,
  type Practice,
  type PracticeFigures,
  type SigningRules,
} from '../practice/index.ts';
import { flag, id, list, longText, text, version } from './schema/fields.ts';
import { named, needed, oneOf, shape, usual } from './schema/shape.ts';

/** Jacket under a sleeve is never less than this on either side, mm. */
const OVERLAP_LEAST_MM = 6;
const mm = Joi.number().min(0).max(2000);
const clear = DEFAULT_FIGURES.clearMm;

export const figuresSchema = named(
  'practiceFigures',
  shape<PracticeFigures>({
    clearMm: usual(
      shape<PracticeFigures['clearMm']>({
        connector: usual(mm, clear.connector),
        branch: usual(mm, clear.branch),
        grommet: usual(mm, clear.grommet),
        clip: usual(mm, clear.clip),
      }),
      clear,
    ),
    preferFromConnectorMm: needed(mm),
    betweenBodiesMm: needed(mm),
    overlapMm: needed(mm.min(OVERLAP_LEAST_MM)),
    overlapShortMm: needed(mm.min(OVERLAP_LEAST_MM)),
    slideFactor: needed(Joi.number().min(1).max(2)),
    gripShare: needed(Joi.number().greater(0).max(1)),
    parkFromCrimpMm: needed(mm),
    parkFromSolderMm: needed(mm),
    tightMarginMm: needed(mm),
    coverAtMostMm: needed(mm),
    coverTwiceWithinMm: needed(mm),
    untwistedAtMostMm: needed(mm),
    insideHousingMm: needed(mm),
  }),
  'Figures that a shop may set for itself; all lengths in mm.',
);

/** The side taken in each question about the handiwork, as the questions list their sides. */
const habitsSchema = Joi.object(
  Object.fromEntries(
    HABITS.map((habit) => [habit.id, oneOf(habit.sides.map((side) => side.id)).default(OUR_HABITS[habit.id])]),
  ),
);

/** A practice in full: a ready one, or a shop's own copy. */
export const practiceSchema = named(
  'practice',
  shape<Practice>({
    id: needed(id),
    version: needed(version),
    name: needed(text),
    school: needed(oneOf(SCHOOLS)),
    because: needed(longText),
    otherSide: needed(longText),
    figures: needed(figuresSchema),
    off: usual(list(oneOf(switchableRuleIds())).unique(), []),
    habits: usual(habitsSchema, OUR_HABITS),
    layout: oneOf(LAYOUT_KINDS),
    signing: shape<SigningRules>({ another: flag, lead: flag }),
  }),
  'A way of working: one school where practitioners disagree, and its figures.',
);

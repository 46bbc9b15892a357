import Joi from 'joi';
import {
  QUICK_CIRCUITS,
  QUICK_DAMAGES,
  QUICK_LENGTH_MOST_MM,
  QUICK_WIRES_MOST,
  type QuickRepair,
} from '../quick/index.ts';
import { zoneSchema } from './harnessSchemas.ts';
import { above0, count, text } from './schema/fields.ts';
import { named, needed, oneOf, shape } from './schema/shape.ts';
import { wireSchema } from './wireSchemas.ts';

const length = Joi.number().min(0).max(QUICK_LENGTH_MOST_MM);
/** The middle of the damage lies this far from either mark: its bodies have to lie somewhere. */
const open = Joi.number().min(50).max(QUICK_LENGTH_MOST_MM);

/** A repair that begins with a wire in the hand. */
export const quickSchema = named(
  'quickRepair',
  shape<QuickRepair>({
    wires: needed(Joi.array().items(wireSchema).min(1).max(QUICK_WIRES_MOST)),
    circuitKind: needed(oneOf(QUICK_CIRCUITS)),
    systemVoltageV: needed(above0(1500)),
    damage: needed(oneOf(QUICK_DAMAGES)),
    lostMm: needed(length),
    cutBackMm: needed(length),
    strands: shape<NonNullable<QuickRepair['strands']>>({ lost: needed(count), total: needed(count) }),
    zone: needed(zoneSchema),
    bendsMm: above0(QUICK_LENGTH_MOST_MM),
    slackMm: needed(length),
    openMm: needed(open),
    where: text,
  }),
);

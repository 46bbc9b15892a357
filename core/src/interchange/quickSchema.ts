import Joi from 'joi';
import { LOCK_FAMILIES } from '../connector/index.ts';
import {
  QUICK_CIRCUITS,
  QUICK_CONNECTOR_DAMAGES,
  QUICK_DAMAGES,
  QUICK_LENGTH_MOST_MM,
  QUICK_WAYS_MOST,
  QUICK_WIRES_MOST,
  type QuickConnector,
  type QuickRepair,
  type SeatedWire,
} from '../quick/index.ts';
import { faceSchema, zoneSchema } from './harnessSchemas.ts';
import { pigtailWireSchema } from './mappingSchemas.ts';
import { above0, cavityText, count, text } from './schema/fields.ts';
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

/** A repair that begins with a connector in the hand. */
export const quickConnectorSchema = named(
  'quickConnector',
  shape<QuickConnector>({
    face: needed(faceSchema),
    wires: needed(
      Joi.array()
        .items(shape<SeatedWire>({ cavity: needed(cavityText), wire: needed(wireSchema) }))
        .min(1)
        .max(QUICK_WAYS_MOST),
    ),
    damage: needed(oneOf(QUICK_CONNECTOR_DAMAGES)),
    circuitKind: needed(oneOf(QUICK_CIRCUITS)),
    systemVoltageV: needed(above0(1500)),
    zone: needed(zoneSchema),
    lock: oneOf(LOCK_FAMILIES),
    slackMm: needed(length),
    openMm: needed(open),
    pigtail: needed(Joi.array().items(pigtailWireSchema).max(QUICK_WAYS_MOST)),
    where: text,
  }),
);

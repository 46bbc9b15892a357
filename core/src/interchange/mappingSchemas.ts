import Joi from 'joi';
import type { ContinuityReading, MappingCard, MappingJoin, PigtailWire } from '../mapping/index.ts';
import { cavityText, flag, id, ratedC, saidBy } from './schema/fields.ts';
import { named, needed, shape, usual } from './schema/shape.ts';
import { colourSchema, sizeSchema } from './wireSchemas.ts';

export const pigtailWireSchema = shape<PigtailWire>({
  cavity: needed(cavityText),
  colour: needed(colourSchema),
  size: needed(sizeSchema),
  ratedC,
});

/** What a continuity reading says, without who read it. */
export const continuityFields = {
  cavity: needed(cavityText),
  soundsAt: needed(cavityText.allow(null)),
  neighbourSounds: needed(flag),
};
const continuity = shape<ContinuityReading>({ ...continuityFields, ...saidBy });

/** The mapping card of one connector. */
export const mappingSchema = named(
  'mappingCard',
  shape<MappingCard>({
    nodeId: needed(id),
    pigtail: needed(Joi.array().items(pigtailWireSchema).max(400)),
    joins: needed(
      Joi.array()
        .items(shape<MappingJoin>({ circuitId: needed(id), pigtailCavity: needed(cavityText) }))
        .max(800),
    ),
    readings: usual(Joi.array().items(continuity).max(4000), []),
  }),
  'Which pigtail wire goes to which harness wire at one connector.',
);

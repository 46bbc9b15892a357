import Joi from 'joi';
import { cavityText, id, instant, text } from './fields.ts';
import { colourSchema, sizeSchema } from './harnessSchemas.ts';

const pigtailWire = Joi.object({
  cavity: cavityText.required(),
  colour: colourSchema.required(),
  size: sizeSchema.required(),
  ratedC: Joi.number().min(40).max(600),
});
const continuity = Joi.object({
  cavity: cavityText.required(),
  soundsAt: cavityText.allow(null).required(),
  neighbourSounds: Joi.boolean().required(),
  by: text.required(),
  at: instant.required(),
});

/** The mapping card of one connector. */
export const mappingSchema = Joi.object({
  nodeId: id.required(),
  pigtail: Joi.array().items(pigtailWire).max(400).required(),
  joins: Joi.array()
    .items(Joi.object({ circuitId: id.required(), pigtailCavity: cavityText.required() }))
    .max(800)
    .required(),
  readings: Joi.array().items(continuity).max(4000).default([]),
});
export const continuityFields = {
  cavity: cavityText.required(),
  soundsAt: cavityText.allow(null).required(),
  neighbourSounds: Joi.boolean().required(),
};

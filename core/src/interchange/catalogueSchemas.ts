import Joi from 'joi';
import { PART_COLOURS, SLEEVE_SERIES, TOOL_TASKS } from '../catalogue/index.ts';
import { LOCK_FAMILIES } from '../connector/index.ts';
import { TERMINAL_FAMILIES } from '../harness/index.ts';
import { date, lengthMm, list, text } from './fields.ts';
import { wireSchema } from './harnessSchemas.ts';

const rangeSchema = Joi.object({
  minMm2: Joi.number().min(0).max(500).required(),
  maxMm2: Joi.number().greater(Joi.ref('minMm2')).max(500).required(),
});
const jacketSchema = Joi.object({
  minMm: Joi.number().min(0).max(100).required(),
  maxMm: Joi.number().greater(Joi.ref('minMm')).max(100).required(),
});
const size = Joi.number().greater(0).max(500).required();
const barrelMm = Joi.number().greater(1).max(200).required();
const ways = Joi.number().integer().min(1).max(400).required();
const stocked = {
  id: text.required(),
  name: text.required(),
  quantity: Joi.number().integer().min(0).max(1e6).required(),
  ratedC: Joi.number().min(40).max(600).required(),
  figuresFrom: Joi.valid('stamped', 'usual').default('usual'),
  place: text,
  colour: Joi.valid(...PART_COLOURS),
};
const kind = (name: string, fields: Joi.SchemaMap): { is: string; then: Joi.ObjectSchema } => ({
  is: name,
  then: Joi.object({ kind: Joi.valid(name).required(), ...stocked, ...fields }),
});
const clip = { totalRange: rangeSchema.required(), barrelLengthMm: size, lapMm: size, crimpedDiameterMm: size };
const butt = {
  range: rangeSchema.required(),
  barrelIdMm: size,
  barrelLengthMm: barrelMm,
  overallLengthMm: size,
  crimpedDiameterMm: size,
};

/** A part of any kind, with the figures that its kind has. */
export const partSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    kind('plainButt', butt),
    kind('stepDown', {
      smallRange: rangeSchema.required(),
      largeRange: rangeSchema.required(),
      barrelLengthMm: barrelMm,
      overallLengthMm: size,
      crimpedDiameterMm: size,
    }),
    kind('clip', clip),
    kind('multiClip', clip),
    kind('cap', { totalRange: rangeSchema.required(), depthMm: size, lengthMm: size, diameterMm: size }),
    kind('solderSleeve', { range: rangeSchema.required(), lapMm: size, overallLengthMm: size, diameterMm: size }),
    kind('sleeve', {
      series: Joi.valid(...SLEEVE_SERIES).required(),
      suppliedIdMm: size,
      recoveredIdMm: size,
      stickMm: Joi.number().greater(0).max(10_000).required(),
    }),
    kind('tape', { tape: Joi.valid('selfFusing', 'cloth').required(), widthMm: size, thicknessMm: size }),
    kind('solder', { alloy: Joi.valid('tinLead', 'leadFree').required(), core: Joi.valid('rosin', 'acid').required() }),
    kind('piercingTap', { range: rangeSchema.required(), lengthMm: size, thickMm: size }),
    kind('terminal', {
      family: Joi.valid(...TERMINAL_FAMILIES).required(),
      range: rangeSchema.required(),
      jacketMm: jacketSchema,
      stripMm: size,
    }),
    kind('wireSeal', { jacketMm: jacketSchema.required() }),
    kind('plug', {}),
    kind('potting', {}),
    kind('housing', { lock: Joi.valid(...LOCK_FAMILIES).required(), ways }),
    kind('lockPiece', { lock: Joi.valid(...LOCK_FAMILIES).required(), ways }),
    kind('pigtail', { ways, areaMm2: size, leadMm: size }),
  ],
  otherwise: kind('sealedButt', butt).then,
});

export const toolSchema = Joi.object({
  id: text.required(),
  name: text.required(),
  tasks: list(Joi.valid(...TOOL_TASKS))
    .min(1)
    .required(),
  range: rangeSchema,
  families: list(Joi.valid(...TERMINAL_FAMILIES)),
  ratchet: Joi.boolean().required(),
  calibratedUntil: date,
});
export const wireStockSchema = Joi.object({
  id: text.required(),
  wire: wireSchema.required(),
  lengthMm: lengthMm.required(),
});

/** A shelf in full: parts with their figures and quantities, tools, wire on hand. */
export const catalogueSchema = Joi.object({
  id: text.default('shelf'),
  version: Joi.number().integer().min(1).default(1),
  name: text.default('Shelf'),
  parts: list(partSchema).required(),
  tools: list(toolSchema).required(),
  wires: list(wireStockSchema).default([]),
});

const removed = text.required();
/** A change of the shelf: a part, tool or wire put there anew or taken off the list. */
export const shelfEditSchema = Joi.object({
  kind: Joi.valid('setPart', 'removePart', 'setTool', 'removeTool', 'setWire', 'removeWire').required(),
}).when('.kind', {
  switch: [
    { is: 'setPart', then: Joi.object({ part: partSchema.required() }) },
    { is: 'setTool', then: Joi.object({ tool: toolSchema.required() }) },
    { is: 'setWire', then: Joi.object({ wire: wireStockSchema.required() }) },
  ],
  otherwise: Joi.object({ id: removed }),
});

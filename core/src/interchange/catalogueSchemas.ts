import Joi from 'joi';
import { PART_KINDS, TOOL_TASK_IDS, type Part } from '../catalogue/index.ts';
import { NEST_BARRELS, NEST_STROKES, PART_COLOURS, type PartField, type PartKind } from '../stock/index.ts';
import { TERMINAL_FAMILIES } from '../harness/index.ts';
import { area, cavityText, date, lengthMm, list, text } from './fields.ts';
import { colourSchema, wireSchema } from './harnessSchemas.ts';

const rangeSchema = Joi.object({
  minMm2: Joi.number().min(0).max(500).required(),
  maxMm2: Joi.number().greater(Joi.ref('minMm2')).max(500).required(),
});
const ratedC = Joi.number().min(40).max(600);
const stocked = {
  id: text.required(),
  name: text.required(),
  quantity: Joi.number().integer().min(0).max(1e6).required(),
  ratedC: ratedC.required(),
  figuresFrom: Joi.valid('stamped', 'usual').default('usual'),
  place: text,
  colour: Joi.valid(...PART_COLOURS),
};

/** The wires of a pigtail, one for a cavity. */
const leadsSchema = list(
  Joi.object({ cavity: cavityText.required(), colour: colourSchema.required(), areaMm2: area.required(), ratedC }),
)
  .min(1)
  .unique('cavity')
  .messages({ 'array.unique': 'One wire comes out of a cavity: this one is there twice' });

/** What a field of a part may hold, from what its kind says of it. */
function fieldSchema(field: PartField): Joi.Schema {
  if (field.type === 'text') return text.max(field.to);
  if (field.type === 'leads') return leadsSchema.max(field.to);
  if (field.choices) return Joi.valid(...field.choices.map(({ value }) => value));
  const number = field.type === 'whole' ? Joi.number().integer() : Joi.number();
  const from = field.fromIsAllowed ? number.min(field.from) : number.greater(field.from);
  const above = field.above?.split('.').at(-1);
  return (above === undefined ? from : number.greater(Joi.ref(above))).max(field.to);
}

/** The fields of a kind, those of one nested thing together; a nested thing is left out only where all of it may be. */
function fieldsSchema(fields: readonly PartField[]): Joi.SchemaMap {
  const roots = [...new Set(fields.map((field) => field.path.split('.')[0] ?? field.path))];
  return Object.fromEntries(
    roots.map((root): [string, Joi.Schema] => {
      const of = fields.filter((field) => field.path === root || field.path.startsWith(`${root}.`));
      const [lone] = of;
      if (lone?.path === root) return [root, lone.optional ? fieldSchema(lone) : fieldSchema(lone).required()];
      const nested = Joi.object(
        Object.fromEntries(of.map((one) => [one.path.slice(root.length + 1), fieldSchema(one).required()])),
      );
      return [root, of.every((one) => one.optional) ? nested : nested.required()];
    }),
  );
}

const kindSchema = ({ kind, fields, problem }: PartKind<Part>): { is: string; then: Joi.ObjectSchema } => ({
  is: kind,
  then: Joi.object({ kind: Joi.valid(kind).required(), ...stocked, ...fieldsSchema(fields) }).custom(
    (part: Part, helpers) => {
      const why = problem?.(part);
      return why === undefined ? part : helpers.message({ custom: why });
    },
  ),
});

/** A part of any kind, with the figures that its kind has. */
export const partSchema = Joi.alternatives().conditional('.kind', {
  switch: PART_KINDS.map(kindSchema),
  otherwise: Joi.object({ kind: Joi.valid(...PART_KINDS.map(({ kind }) => kind)).required() }).unknown(),
});

export const toolSchema = Joi.object({
  id: text.required(),
  name: text.required(),
  tasks: list(Joi.valid(...TOOL_TASK_IDS))
    .min(1)
    .required(),
  range: rangeSchema,
  families: list(Joi.valid(...TERMINAL_FAMILIES)),
  nests: list(
    Joi.object({
      // The two signs part nests and their fields in a table.
      name: text
        .pattern(/^[^|;]+$/)
        .message('A nest is named without “|” and “;”.')
        .required(),
      range: rangeSchema.required(),
      stroke: Joi.valid(...NEST_STROKES).required(),
      families: list(Joi.valid(...TERMINAL_FAMILIES)),
      barrel: Joi.valid(...NEST_BARRELS),
      dot: Joi.valid(...PART_COLOURS),
    }),
  ),
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

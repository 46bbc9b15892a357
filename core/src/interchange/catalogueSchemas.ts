import Joi from 'joi';
import {
  PART_KINDS,
  TOOL_TASK_IDS,
  type Catalogue,
  type CatalogueEdit,
  type Part,
  type Tool,
} from '../catalogue/index.ts';
import {
  NEST_BARRELS,
  NEST_STROKES,
  PART_COLOURS,
  type PartField,
  type PartKind,
  type PigtailLead,
  type WireStock,
} from '../stock/index.ts';
import { TERMINAL_FAMILIES } from '../harness/index.ts';
import { area, cavityText, date, flag, lengthMm, list, range, ratedC, text, version } from './schema/fields.ts';
import { named, needed, oneOf, shape, usual, variants, withFields } from './schema/shape.ts';
import { colourSchema, wireSchema } from './wireSchemas.ts';

const price = Joi.number().min(0).max(1e6);

/** What every part has, whatever its kind. */
const stocked = shape<
  Pick<Part, 'id' | 'name' | 'quantity' | 'ratedC' | 'figuresFrom' | 'place' | 'lot' | 'price' | 'colour'>
>({
  id: needed(text),
  name: needed(text),
  quantity: needed(Joi.number().integer().min(0).max(1e6)),
  ratedC: needed(ratedC),
  figuresFrom: usual(oneOf(['stamped', 'usual']), 'usual'),
  place: text,
  lot: text.max(60),
  price,
  colour: oneOf(PART_COLOURS),
});

/** The wires of a pigtail, one for a cavity. */
const leadsSchema = list(
  shape<PigtailLead>({ cavity: needed(cavityText), colour: needed(colourSchema), areaMm2: needed(area), ratedC }),
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

const kindSchema = ({ kind, fields, problem }: PartKind<Part>): Joi.ObjectSchema =>
  withFields(stocked, { kind: needed(oneOf([kind])), ...fieldsSchema(fields) }).custom((part: Part, helpers) => {
    const why = problem?.(part);
    return why === undefined ? part : helpers.message({ custom: why });
  });

/** A part of any kind, with the figures that its kind has: made from the fields that the kind names. */
export const partSchema = named(
  'part',
  variants<Part, 'kind'>(
    'kind',
    Object.fromEntries(PART_KINDS.map((one) => [one.kind, kindSchema(one)])) as Record<Part['kind'], Joi.ObjectSchema>,
  ),
  'A part as it lies on the shelf, with the figures that its kind has.',
);

type Nest = NonNullable<Tool['nests']>[number];
const nestSchema = named(
  'nest',
  shape<Nest>({
    // The two signs part nests and their fields in a table.
    name: needed(text.pattern(/^[^|;]+$/).message('A nest is named without “|” and “;”.')),
    range: needed(range),
    stroke: needed(oneOf(NEST_STROKES)),
    families: list(oneOf(TERMINAL_FAMILIES)),
    barrel: oneOf(NEST_BARRELS),
    dot: oneOf(PART_COLOURS),
  }),
);
export const toolSchema = named(
  'tool',
  shape<Tool>({
    id: needed(text),
    name: needed(text),
    tasks: needed(list(oneOf(TOOL_TASK_IDS)).min(1)),
    range,
    families: list(oneOf(TERMINAL_FAMILIES)),
    nests: list(nestSchema),
    ratchet: needed(flag),
    calibratedUntil: date,
  }),
);
export const wireStockSchema = named(
  'reel',
  shape<WireStock>({
    id: needed(text),
    wire: needed(wireSchema),
    lengthMm: needed(lengthMm),
    reel: text.max(60),
    pricePerM: price,
  }),
);

/** A shelf in full: parts with their figures and quantities, tools, wire on hand. */
export const catalogueSchema = named(
  'shelf',
  shape<Catalogue>({
    id: usual(text, 'shelf'),
    version: usual(version, 1),
    name: usual(text, 'Shelf'),
    parts: needed(list(partSchema)),
    tools: needed(list(toolSchema)),
    wires: usual(list(wireStockSchema), []),
    uncounted: flag,
  }),
);

type EditOf<W> = Extract<CatalogueEdit, { readonly kind: W }>;
const removal = <W extends 'removePart' | 'removeTool' | 'removeWire'>(kind: W): Joi.ObjectSchema =>
  shape<{ readonly kind: string; readonly id: string }>({ kind: needed(oneOf([kind])), id: needed(text) });
/** A change of the shelf: a part, tool or wire put there anew or taken off the list. */
export const shelfEditSchema = named(
  'shelfEdit',
  variants<CatalogueEdit, 'kind'>('kind', {
    setPart: shape<EditOf<'setPart'>>({ kind: needed(oneOf(['setPart'])), part: needed(partSchema) }),
    setTool: shape<EditOf<'setTool'>>({ kind: needed(oneOf(['setTool'])), tool: needed(toolSchema) }),
    setWire: shape<EditOf<'setWire'>>({ kind: needed(oneOf(['setWire'])), wire: needed(wireStockSchema) }),
    setCounted: shape<EditOf<'setCounted'>>({ kind: needed(oneOf(['setCounted'])), counted: needed(flag) }),
    removePart: removal('removePart'),
    removeTool: removal('removeTool'),
    removeWire: removal('removeWire'),
  }),
);

import Joi from 'joi';
import { FACE_SIDES, IDENTITY_TEXTS, LATCHES, LOCK_FAMILIES } from '../connector/index.ts';
import {
  AREAS,
  CIRCUIT_KINDS,
  END_USES,
  FEATURE_KINDS,
  MOISTURES,
  NODE_KINDS,
  SEAL_STATES,
  STUDS,
  TABS_MM,
  TERMINAL_FAMILIES,
  VIBRATIONS,
} from '../harness/index.ts';
import { COLOURS, JACKETS, LARGEST_AWG, SMALLEST_AWG, TRADE_PAIRS_MM2, WALLS_MM } from '../wire/index.ts';
import { amps, area, cavityText, count, id, lengthMm, list, text } from './fields.ts';

export const sizeSchema = Joi.alternatives().conditional('.basis', {
  switch: [
    {
      is: 'awg',
      then: Joi.object({
        basis: Joi.valid('awg').required(),
        awg: Joi.number().integer().min(LARGEST_AWG).max(SMALLEST_AWG).required(),
        areaMm2: area,
      }),
    },
    {
      is: 'trade',
      then: Joi.object({
        basis: Joi.valid('trade').required(),
        awg: Joi.number()
          .valid(...TRADE_PAIRS_MM2.keys())
          .required(),
        areaMm2: area,
      }),
    },
  ],
  otherwise: Joi.object({ basis: Joi.valid('metric', 'awg', 'trade').required(), areaMm2: area.required() }),
});

export const colourSchema = Joi.object({ base: Joi.valid(...COLOURS).required(), stripe: Joi.valid(...COLOURS) });

/** A piece of wire. Without conductor and jacket it is stranded, thin-wall, cross-linked polyethylene. */
export const wireSchema = Joi.object({
  size: sizeSchema.required(),
  conductor: Joi.object({
    kind: Joi.valid('stranded', 'solid').required(),
    strands: Joi.number().integer().min(2).max(2000),
    metal: Joi.valid('aluminium'),
  }).default({ kind: 'stranded' }),
  jacket: Joi.object({
    material: Joi.valid(...Object.keys(JACKETS)).required(),
    wall: Joi.valid(...Object.keys(WALLS_MM)).required(),
    outerDiameterMm: Joi.number().greater(0).max(60),
  }).default({ material: 'xlpe', wall: 'thin' }),
  colour: colourSchema.default({ base: 'natural' }),
});

export const zoneSchema = Joi.object({
  area: Joi.valid(...AREAS).required(),
  vibration: Joi.valid(...VIBRATIONS).required(),
  moisture: Joi.valid(...MOISTURES).required(),
  ambientC: Joi.number().min(-60).max(400),
  fuelVapour: Joi.boolean().default(false),
});

export const featureSchema = Joi.object({
  kind: Joi.valid(...FEATURE_KINDS).required(),
  name: text.required(),
  fromMm: lengthMm.required(),
  toMm: lengthMm.required(),
});
const gridPlace = Joi.object({
  row: Joi.number().integer().min(0).max(400).required(),
  column: Joi.number().integer().min(0).max(400).required(),
});
const layoutSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    {
      is: 'round',
      then: Joi.object({
        kind: Joi.valid('round').required(),
        rings: Joi.array()
          .items(Joi.object({ count: count.required(), startDeg: Joi.number().min(-360).max(360) }))
          .min(1)
          .max(20)
          .required(),
      }),
    },
    {
      is: 'free',
      then: Joi.object({
        kind: Joi.valid('free').required(),
        places: Joi.array()
          .items(
            Joi.object({
              x: Joi.number().min(-100).max(100).required(),
              y: Joi.number().min(-100).max(100).required(),
            }),
          )
          .min(1)
          .max(400)
          .required(),
      }),
    },
  ],
  otherwise: Joi.object({
    kind: Joi.valid('rows', 'round', 'free').required(),
    rows: count.max(40).required(),
    columns: count.max(100).required(),
    missing: Joi.array().items(gridPlace).max(400),
  }),
});
const fromRight = Joi.boolean();
const numberingSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    {
      is: 'rowFirsts',
      then: Joi.object({
        kind: Joi.valid('rowFirsts').required(),
        firsts: Joi.array().items(Joi.number().integer().min(0).max(9999)).min(1).max(40).required(),
        fromRight,
      }),
    },
    {
      is: 'letters',
      then: Joi.object({
        kind: Joi.valid('letters').required(),
        skip: Joi.array().items(Joi.string().length(1).uppercase()).max(25),
        fromRight,
      }),
    },
  ],
  otherwise: Joi.object({
    kind: Joi.valid('rowWise', 'columnWise', 'snake', 'rowFirsts', 'letters').required(),
    first: Joi.number().integer().min(0).max(9999),
    fromRight,
  }),
});

/** Where a connector's cavities lie and how they are numbered, on the side it is described from, latch up. */
const faceSchema = Joi.object({
  describedFrom: Joi.valid(...FACE_SIDES),
  layout: layoutSchema.required(),
  numbering: numberingSchema.required(),
  renamed: Joi.object().pattern(Joi.string().max(10), Joi.string().trim().min(1).max(10)),
});
const identityText = Joi.string().trim().min(1).max(60);
const identitySchema = Joi.object({
  ...Object.fromEntries(Object.keys(IDENTITY_TEXTS).map((key) => [key, identityText])),
  latch: Joi.valid(...LATCHES),
  capMm: Joi.number().greater(0).max(200),
});
export const nodeSchema = Joi.object({
  id: id.required(),
  kind: Joi.valid(...NODE_KINDS).required(),
  name: text.required(),
  ways: count,
  face: faceSchema.when('kind', { is: 'connector', otherwise: Joi.forbidden() }),
  identity: identitySchema.when('kind', { is: 'connector', otherwise: Joi.forbidden() }),
  lock: Joi.valid(...LOCK_FAMILIES).when('kind', { is: 'connector', otherwise: Joi.forbidden() }),
  fittings: Joi.object()
    .pattern(
      Joi.string().max(10),
      Joi.object({
        terminal: Joi.valid(...TERMINAL_FAMILIES),
        seal: Joi.valid(...SEAL_STATES),
        use: Joi.valid(...END_USES),
        stud: Joi.valid(...STUDS),
        tabMm: Joi.valid(...TABS_MM),
      }),
    )
    .when('kind', { is: Joi.valid('connector', 'end'), otherwise: Joi.forbidden() }),
});
/** A jacketed cable: outer diameter, mm, and cores that carry nothing. */
export const cableSchema = Joi.object({
  outerMm: Joi.number().greater(0).max(100).required(),
  unusedCores: Joi.number().integer().min(0).max(100).default(0),
});
export const runSchema = Joi.object({
  id: id.required(),
  name: text.required(),
  fromNodeId: id.required(),
  toNodeId: id.required(),
  lengthMm: lengthMm.greater(0).required(),
  conduitInsideMm: Joi.number().greater(0).max(500),
  cable: cableSchema,
  zone: zoneSchema.required(),
  features: list(featureSchema).default([]),
});
export const cavitySchema = Joi.object({ nodeId: id.required(), cavity: cavityText.required() });
export const circuitSchema = Joi.object({
  id: id.required(),
  number: Joi.string().trim().min(1).max(20).required(),
  function: text.required(),
  kind: Joi.valid(...CIRCUIT_KINDS).required(),
  wire: wireSchema.required(),
  from: cavitySchema.required(),
  to: cavitySchema.required(),
  runIds: list(id).min(1).required(),
  fuseA: amps,
  loadA: Joi.number().min(0).max(5000),
  pairWith: id,
  shield: Joi.object({ drainMm2: area }),
});

export const harnessSchema = Joi.object({
  id: id.default('harness'),
  name: text.required(),
  nodes: list(nodeSchema).required(),
  runs: list(runSchema).min(1).required(),
  circuits: list(circuitSchema).required(),
});

export const machineSchema = Joi.object({
  id: id.default('machine'),
  name: text.required(),
  kind: text.default('machine'),
  systemVoltageV: Joi.number().greater(0).max(1500).required(),
});

import Joi from 'joi';
import { COVER_IDS } from '../approach/index.ts';
import { FACE_SIDES, LOCK_FAMILIES } from '../connector/index.ts';
import { SLEEVE_SERIES, TOOL_TASKS } from '../catalogue/index.ts';
import { FINDING_KINDS } from '../damage/index.ts';
import { AREAS, CIRCUIT_KINDS, FEATURE_KINDS, MOISTURES, NODE_KINDS, VIBRATIONS } from '../harness/index.ts';
import { METHOD_IDS } from '../method/index.ts';
import { COLOURS, JACKETS, LARGEST_AWG, SMALLEST_AWG, TRADE_PAIRS_MM2, WALLS_MM } from '../wire/index.ts';

/** Longest text and longest length, mm, that any field takes. */
const TEXT_MOST = 200;
const LONG_TEXT_MOST = 2000;
const LENGTH_MOST_MM = 1_000_000;
const LIST_MOST = 5000;

const id = Joi.string().trim().min(1).max(80).pattern(/^[^\s/#]+$/, 'letters, digits, dots and dashes, without spaces');
const text = Joi.string().trim().min(1).max(TEXT_MOST);
const longText = Joi.string().trim().min(1).max(LONG_TEXT_MOST);
const lengthMm = Joi.number().min(0).max(LENGTH_MOST_MM);
const positionMm = Joi.number().min(-LENGTH_MOST_MM).max(LENGTH_MOST_MM);
const area = Joi.number().min(0.05).max(120);
const amps = Joi.number().greater(0).max(5000);
const date = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/, 'a date like 2030-05-31');
const instant = Joi.string().isoDate();
const list = (item: Joi.Schema): Joi.ArraySchema => Joi.array().items(item).max(LIST_MOST);

const sizeSchema = Joi.alternatives().conditional('.basis', {
  switch: [
    { is: 'awg', then: Joi.object({ basis: Joi.valid('awg').required(), awg: Joi.number().integer().min(LARGEST_AWG).max(SMALLEST_AWG).required(), areaMm2: area }) },
    { is: 'trade', then: Joi.object({ basis: Joi.valid('trade').required(), awg: Joi.number().valid(...TRADE_PAIRS_MM2.keys()).required(), areaMm2: area }) },
  ],
  otherwise: Joi.object({ basis: Joi.valid('metric', 'awg', 'trade').required(), areaMm2: area.required() }),
});

const colourSchema = Joi.object({ base: Joi.valid(...COLOURS).required(), stripe: Joi.valid(...COLOURS) });

/** A piece of wire. Without conductor and jacket it is stranded, thin-wall, cross-linked polyethylene. */
export const wireSchema = Joi.object({
  size: sizeSchema.required(),
  conductor: Joi.object({ kind: Joi.valid('stranded', 'solid').required(), strands: Joi.number().integer().min(2).max(2000) }).default({ kind: 'stranded' }),
  jacket: Joi.object({
    material: Joi.valid(...Object.keys(JACKETS)).required(),
    wall: Joi.valid(...Object.keys(WALLS_MM)).required(),
    outerDiameterMm: Joi.number().greater(0).max(60),
  }).default({ material: 'xlpe', wall: 'thin' }),
  colour: colourSchema.default({ base: 'natural' }),
});

const zoneSchema = Joi.object({
  area: Joi.valid(...AREAS).required(),
  vibration: Joi.valid(...VIBRATIONS).required(),
  moisture: Joi.valid(...MOISTURES).required(),
  ambientC: Joi.number().min(-60).max(400),
  fuelVapour: Joi.boolean().default(false),
});

const featureSchema = Joi.object({ kind: Joi.valid(...FEATURE_KINDS).required(), name: text.required(), fromMm: lengthMm.required(), toMm: lengthMm.required() });
const count = Joi.number().integer().min(1).max(400);
const gridPlace = Joi.object({ row: Joi.number().integer().min(0).max(400).required(), column: Joi.number().integer().min(0).max(400).required() });
const layoutSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    { is: 'round', then: Joi.object({ kind: Joi.valid('round').required(), rings: Joi.array().items(Joi.object({ count: count.required(), startDeg: Joi.number().min(-360).max(360) })).min(1).max(20).required() }) },
    { is: 'free', then: Joi.object({ kind: Joi.valid('free').required(), places: Joi.array().items(Joi.object({ x: Joi.number().min(-100).max(100).required(), y: Joi.number().min(-100).max(100).required() })).min(1).max(400).required() }) },
  ],
  otherwise: Joi.object({ kind: Joi.valid('rows', 'round', 'free').required(), rows: count.max(40).required(), columns: count.max(100).required(), missing: Joi.array().items(gridPlace).max(400) }),
});
const fromRight = Joi.boolean();
const numberingSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    { is: 'rowFirsts', then: Joi.object({ kind: Joi.valid('rowFirsts').required(), firsts: Joi.array().items(Joi.number().integer().min(0).max(9999)).min(1).max(40).required(), fromRight }) },
    { is: 'letters', then: Joi.object({ kind: Joi.valid('letters').required(), skip: Joi.array().items(Joi.string().length(1).uppercase()).max(25), fromRight }) },
  ],
  otherwise: Joi.object({ kind: Joi.valid('rowWise', 'columnWise', 'snake', 'rowFirsts', 'letters').required(), first: Joi.number().integer().min(0).max(9999), fromRight }),
});

/** Where a connector's cavities lie and how they are numbered, on the side it is described from, latch up. */
const faceSchema = Joi.object({
  describedFrom: Joi.valid(...FACE_SIDES), layout: layoutSchema.required(), numbering: numberingSchema.required(), renamed: Joi.object().pattern(Joi.string().max(10), Joi.string().trim().min(1).max(10)),
});
const nodeSchema = Joi.object({
  id: id.required(), kind: Joi.valid(...NODE_KINDS).required(), name: text.required(), ways: count,
  face: faceSchema.when('kind', { is: 'connector', otherwise: Joi.forbidden() }), lock: Joi.valid(...LOCK_FAMILIES).when('kind', { is: 'connector', otherwise: Joi.forbidden() }),
});
const runSchema = Joi.object({
  id: id.required(), name: text.required(), fromNodeId: id.required(), toNodeId: id.required(),
  lengthMm: lengthMm.greater(0).required(), conduitInsideMm: Joi.number().greater(0).max(500), zone: zoneSchema.required(), features: list(featureSchema).default([]),
});
const cavitySchema = Joi.object({ nodeId: id.required(), cavity: Joi.string().trim().min(1).max(10).required() });
const circuitSchema = Joi.object({
  id: id.required(), number: Joi.string().trim().min(1).max(20).required(), function: text.required(), kind: Joi.valid(...CIRCUIT_KINDS).required(),
  wire: wireSchema.required(), from: cavitySchema.required(), to: cavitySchema.required(), runIds: list(id).min(1).required(),
  fuseA: amps, loadA: Joi.number().min(0).max(5000), pairWith: id,
});

export const harnessSchema = Joi.object({
  id: id.default('harness'), name: text.required(), nodes: list(nodeSchema).required(), runs: list(runSchema).min(1).required(), circuits: list(circuitSchema).required(),
});

export const machineSchema = Joi.object({ id: id.default('machine'), name: text.required(), kind: text.default('machine'), systemVoltageV: Joi.number().greater(0).max(1500).required() });

/** What was found on one wire. The two kinds with figures of their own ask for them; the others refuse them. */
export const findingSchema = Joi.object({
  id: id.required(), circuitId: id.required(), runId: id.required(), kind: Joi.valid(...FINDING_KINDS).required(),
  fromMm: positionMm.required(), toMm: positionMm.required(), cutBackLeftMm: lengthMm.default(0), cutBackRightMm: lengthMm.default(0),
  slackMm: lengthMm, freedEndMm: Joi.number().greater(0).max(200), farWire: wireSchema, insertWire: wireSchema, temporaryUntil: date, note: longText,
  strandsLost: Joi.number().integer().min(1).max(2000).when('kind', { is: 'strandsLost', then: Joi.required(), otherwise: Joi.forbidden() }),
  strandsTotal: Joi.number().integer().min(1).max(2000).when('kind', { is: 'strandsLost', then: Joi.required(), otherwise: Joi.forbidden() }),
  branchWires: list(wireSchema).min(1).max(8).when('kind', { is: 'addCircuit', then: Joi.required(), otherwise: Joi.forbidden() }),
});

const said = { by: text.required(), at: instant.required() };
export const gateEntrySchemas = {
  isolation: Joi.object({ how: Joi.valid('provedDead', 'batteryOff').required(), ...said }),
  airbag: Joi.object({ procedure: longText.required(), ...said }),
  highVoltage: Joi.object({ procedure: longText.required(), ...said }),
  vapour: Joi.object({ reading: longText.required(), ...said }),
} as const;

export const choiceSchema = Joi.object({ findingId: id.required(), use: Joi.valid(...METHOD_IDS, ...COVER_IDS).required(), reason: longText.required(), ...said });
const pinSchema = Joi.object({ findingId: id.required(), side: Joi.valid('only', 'left', 'right').required(), centreMm: lengthMm.required() });
const redoSchema = Joi.object({ id: id.required(), findingId: id.required(), lostFromMm: lengthMm.required(), lostToMm: lengthMm.required(), because: longText.required(), ...said });

export const jobSchema = Joi.object({
  id, number: text.required(), title: text.required(), asOf: date, machine: machineSchema.required(), harness: harnessSchema.required(),
  findings: list(findingSchema).default([]), gate: Joi.object(gateEntrySchemas).default({}), choices: list(choiceSchema).default([]), pins: list(pinSchema).default([]), redos: list(redoSchema).default([]),
});

const rangeSchema = Joi.object({ minMm2: Joi.number().min(0).max(500).required(), maxMm2: Joi.number().greater(0).max(500).required() });
const stocked = { id: id.pattern(/./).required(), name: text.required(), quantity: Joi.number().integer().min(0).max(1e6).required(), ratedC: Joi.number().min(40).max(600).required(), figuresFrom: Joi.valid('stamped', 'usual').default('usual') };
const size = Joi.number().greater(0).max(500).required();
const butt = Joi.object({ kind: Joi.valid('sealedButt', 'plainButt').required(), ...stocked, id: text.required(), range: rangeSchema.required(), barrelIdMm: size, barrelLengthMm: Joi.number().greater(1).max(200).required(), overallLengthMm: size, crimpedDiameterMm: size });

const partSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    { is: 'clip', then: Joi.object({ kind: Joi.valid('clip').required(), ...stocked, id: text.required(), totalRange: rangeSchema.required(), barrelLengthMm: size, lapMm: size, crimpedDiameterMm: size }) },
    { is: 'sleeve', then: Joi.object({ kind: Joi.valid('sleeve').required(), ...stocked, id: text.required(), series: Joi.valid(...SLEEVE_SERIES).required(), suppliedIdMm: size, recoveredIdMm: size, stickMm: Joi.number().greater(0).max(10_000).required() }) },
    { is: 'tape', then: Joi.object({ kind: Joi.valid('tape').required(), ...stocked, id: text.required(), tape: Joi.valid('selfFusing', 'cloth').required(), widthMm: size, thicknessMm: size }) },
    { is: 'solder', then: Joi.object({ kind: Joi.valid('solder').required(), ...stocked, id: text.required(), alloy: Joi.valid('tinLead', 'leadFree').required(), core: Joi.valid('rosin', 'acid').required() }) },
    { is: 'piercingTap', then: Joi.object({ kind: Joi.valid('piercingTap').required(), ...stocked, id: text.required(), range: rangeSchema.required(), lengthMm: size, thickMm: size }) },
  ],
  otherwise: butt,
});

const toolSchema = Joi.object({ id: text.required(), name: text.required(), tasks: list(Joi.valid(...TOOL_TASKS)).min(1).required(), range: rangeSchema, ratchet: Joi.boolean().required(), calibratedUntil: date });
const stockSchema = Joi.object({ id: text.required(), wire: wireSchema.required(), lengthMm: lengthMm.required() });

/** A shelf in full: parts with their figures and quantities, tools, wire on hand. */
export const catalogueSchema = Joi.object({
  id: text.default('shelf'), version: Joi.number().integer().min(1).default(1), name: text.default('Shelf'),
  parts: list(partSchema).required(), tools: list(toolSchema).required(), wires: list(stockSchema).default([]),
});

export const readingValueSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    { is: 'look', then: Joi.object({ kind: Joi.valid('look').required(), answer: text.required() }) },
    { is: 'tug', then: Joi.object({ kind: Joi.valid('tug').required(), newtons: Joi.number().min(0).max(10_000).required(), held: Joi.boolean().required() }) },
    { is: 'resistance', then: Joi.object({ kind: Joi.valid('resistance').required(), milliohm: Joi.number().min(0).max(1e6).required() }) },
    { is: 'compression', then: Joi.object({ kind: Joi.valid('compression').required(), share: Joi.number().greater(0).max(1.5).required() }) },
  ],
  otherwise: Joi.object({ kind: Joi.valid('samples').required(), newtons: Joi.array().items(Joi.number().min(0).max(20_000)).min(1).max(100).required() }),
});

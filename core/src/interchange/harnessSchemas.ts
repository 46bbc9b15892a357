import Joi from 'joi';
import {
  FACE_SIDES,
  GAPS,
  IDENTITY_TEXTS,
  LATCHES,
  LOCK_FAMILIES,
  type CavityLayout,
  type ConnectorFace,
  type ConnectorIdentity,
  type IdentityText,
  type Numbering,
} from '../connector/index.ts';
import {
  AREAS,
  CIRCUIT_KINDS,
  END_USES,
  FEATURE_KINDS,
  MOISTURES,
  NODE_KINDS,
  REMARK_MOST,
  SEAL_STATES,
  STUDS,
  TABS_MM,
  TERMINAL_FAMILIES,
  VIBRATIONS,
  type Cable,
  type Cavity,
  type CavityFitting,
  type Circuit,
  type Feature,
  type Harness,
  type PinoutSource,
  type SpareCore,
  type HarnessNode,
  type Run,
  type Zone,
} from '../harness/index.ts';
import { LIMITS, type Machine, type NamedHarness } from '../job/index.ts';
import { above0, amps, area, cavityText, count, flag, id, lengthMm, list, text } from './schema/fields.ts';
import { named, needed, oneOf, shape, usual, variants } from './schema/shape.ts';
import { colourSchema, wireSchema } from './wireSchemas.ts';

/** So many sheets may be named as where a harness is known from. */
const SOURCES_MOST = 50;

export const zoneSchema = named(
  'zone',
  shape<Zone>({
    area: needed(oneOf(AREAS)),
    vibration: needed(oneOf(VIBRATIONS)),
    moisture: needed(oneOf(MOISTURES)),
    ambientC: Joi.number().min(-60).max(400),
    fuelVapour: usual(flag, false),
  }),
);

export const featureSchema = named(
  'feature',
  shape<Feature>({
    kind: needed(oneOf(FEATURE_KINDS)),
    name: needed(text),
    fromMm: needed(lengthMm),
    toMm: needed(lengthMm),
  }),
);

type LayoutOf<K> = Extract<CavityLayout, { readonly kind: K }>;
const gridIndex = Joi.number().integer().min(0).max(400);
const cavityLayoutSchema = variants<CavityLayout, 'kind'>('kind', {
  rows: shape<LayoutOf<'rows'>>({
    kind: needed(oneOf(['rows'])),
    rows: needed(count.max(40)),
    columns: needed(count.max(100)),
    missing: Joi.array()
      .items(shape<{ row: number; column: number }>({ row: needed(gridIndex), column: needed(gridIndex) }))
      .max(400),
  }),
  round: shape<LayoutOf<'round'>>({
    kind: needed(oneOf(['round'])),
    rings: needed(
      Joi.array()
        .items(
          shape<LayoutOf<'round'>['rings'][number]>({
            count: needed(count),
            startDeg: Joi.number().min(-360).max(360),
            missing: Joi.array().items(gridIndex).max(400),
          }),
        )
        .min(1)
        .max(20),
    ),
  }),
  free: shape<LayoutOf<'free'>>({
    kind: needed(oneOf(['free'])),
    places: needed(
      Joi.array()
        .items(
          shape<LayoutOf<'free'>['places'][number]>({
            x: needed(Joi.number().min(-100).max(100)),
            y: needed(Joi.number().min(-100).max(100)),
          }),
        )
        .min(1)
        .max(400),
    ),
  }),
});

type NumberedAs<K> = Extract<Numbering, { readonly kind: K }>;
const firstNumber = Joi.number().integer().min(0).max(9999);
const counting = {
  fromRight: flag,
  fromBottom: flag,
  anticlockwise: flag,
  fromInside: flag,
  gaps: oneOf(GAPS),
};
const skippedLetters = Joi.array()
  .items(Joi.string().pattern(/^[A-Z]$/, 'one capital letter'))
  .max(25);
type InRows = 'rowWise' | 'columnWise' | 'snake' | 'columnSnake';
const inRows = (kind: InRows): Joi.ObjectSchema =>
  shape<NumberedAs<InRows>>({ kind: needed(oneOf([kind])), first: firstNumber, ...counting });
const numberingSchema = variants<Numbering, 'kind'>('kind', {
  rowWise: inRows('rowWise'),
  columnWise: inRows('columnWise'),
  snake: inRows('snake'),
  columnSnake: inRows('columnSnake'),
  rowFirsts: shape<NumberedAs<'rowFirsts'>>({
    kind: needed(oneOf(['rowFirsts'])),
    firsts: needed(Joi.array().items(firstNumber, cavityText).min(1).max(40)),
    ...counting,
  }),
  letters: shape<NumberedAs<'letters'>>({ kind: needed(oneOf(['letters'])), skip: skippedLetters, ...counting }),
  letterRows: shape<NumberedAs<'letterRows'>>({
    kind: needed(oneOf(['letterRows'])),
    skip: skippedLetters,
    first: firstNumber,
    byColumn: flag,
    ...counting,
  }),
  named: shape<NumberedAs<'named'>>({
    kind: needed(oneOf(['named'])),
    names: needed(Joi.array().items(cavityText).min(1).max(400)),
    ...counting,
  }),
});

const cavityName = Joi.string().max(10);
export const faceSchema = named(
  'face',
  shape<ConnectorFace>({
    describedFrom: oneOf(FACE_SIDES),
    latchDeg: Joi.number().min(0).max(360),
    layout: needed(cavityLayoutSchema),
    numbering: needed(numberingSchema),
    renamed: Joi.object().pattern(cavityName, cavityText),
  }),
  'Where the cavities lie and how they are numbered, on the side it is described from, as it is held there.',
);

const identityText = Joi.string().trim().min(1).max(60);
const identitySchema = named(
  'identity',
  shape<ConnectorIdentity>({
    ...(Object.fromEntries(Object.keys(IDENTITY_TEXTS).map((key) => [key, identityText])) as Record<
      IdentityText,
      Joi.StringSchema
    >),
    latch: oneOf(LATCHES),
    capMm: above0(200),
  }),
  'What is moulded and printed on a connector.',
);

const fittingSchema = named(
  'fitting',
  shape<CavityFitting>({
    terminal: oneOf(TERMINAL_FAMILIES),
    seal: oneOf(SEAL_STATES),
    use: oneOf(END_USES),
    stud: oneOf(STUDS),
    tabMm: oneOf(TABS_MM),
  }),
);

/** Only a connector has it. */
const ofConnector = <S extends Joi.Schema>(schema: S): S =>
  schema.when('kind', { is: 'connector', otherwise: Joi.forbidden() }) as S;

export const nodeSchema = named(
  'node',
  shape<HarnessNode>({
    id: needed(id),
    kind: needed(oneOf(NODE_KINDS)),
    name: needed(text),
    ways: count,
    face: ofConnector(faceSchema),
    identity: ofConnector(identitySchema),
    lock: ofConnector(oneOf(LOCK_FAMILIES)),
    fittings: Joi.object()
      .pattern(cavityName, fittingSchema)
      .when('kind', { is: Joi.valid('connector', 'end'), otherwise: Joi.forbidden() }),
  }),
);

/** A jacketed cable along one run or more, with the circuits that are its cores. */
export const cableSchema = named(
  'cable',
  shape<Cable>({
    id: needed(id),
    name: needed(text),
    outerMm: above0(100),
    runIds: needed(list(id).min(1)),
    coreIds: usual(list(id), []),
    spares: usual(
      Joi.array()
        .items(shape<SpareCore>({ colour: colourSchema }))
        .max(100),
      [],
    ),
  }),
  'A jacketed cable: outer diameter, mm, where it was measured, its cores by circuit, and cores that carry nothing.',
);

export const runSchema = named(
  'run',
  shape<Run>({
    id: needed(id),
    name: needed(text),
    fromNodeId: needed(id),
    toNodeId: needed(id),
    lengthMm: needed(lengthMm.greater(0)),
    atLeast: Joi.valid(true),
    conduitInsideMm: above0(500),
    zone: needed(zoneSchema),
    features: usual(list(featureSchema), []),
  }),
  'A stretch of harness between two named points; positions along it are mm from fromNodeId.',
);

export const cavitySchema = named('cavity', shape<Cavity>({ nodeId: needed(id), cavity: needed(cavityText) }));

const circuitFields = {
  id: needed(id),
  number: needed(Joi.string().trim().min(1).max(20)),
  function: needed(text),
  kind: needed(oneOf(CIRCUIT_KINDS)),
  wire: needed(wireSchema),
  from: needed(cavitySchema),
  to: needed(cavitySchema),
  fuseA: amps,
  loadA: Joi.number().min(0).max(5000),
  pairWith: id,
  shield: shape<NonNullable<Circuit['shield']>>({ drainMm2: area }),
  remark: Joi.string().trim().min(1).max(REMARK_MOST),
};
export const circuitSchema = named(
  'circuit',
  shape<Circuit>({ ...circuitFields, runIds: needed(list(id).min(1)) }),
  'An electrical path with a number and a function, and the wire that it is made of.',
);
/** A circuit whose way follows from its ends may come without one. */
export const routedCircuitSchema = named(
  'routedCircuit',
  shape<Circuit>({ ...circuitFields, runIds: usual(Joi.array().items(id).max(LIMITS.runs.most), []) }),
);

const pinoutSourceSchema = named(
  'pinoutSource',
  shape<PinoutSource>({ source: needed(text), year: Joi.string().trim().min(1).max(40), variant: text }),
  'Where what is known of a harness comes from.',
);

export const pinoutSourcesSchema = Joi.array().items(pinoutSourceSchema).max(SOURCES_MOST);

const harnessFields = {
  name: needed(text),
  nodes: needed(list(nodeSchema)),
  runs: needed(list(runSchema).min(1)),
  circuits: needed(list(circuitSchema)),
  cables: list(cableSchema),
  sources: pinoutSourcesSchema,
};
export const harnessSchema = named('harness', shape<Harness>({ id: usual(id, 'harness'), ...harnessFields }));

export const machineSchema = named(
  'machine',
  shape<Machine>({
    id: usual(id, 'machine'),
    name: needed(text),
    kind: usual(text, 'machine'),
    systemVoltageV: needed(above0(1500)),
  }),
);
/** What a harness is called, and of which machine it is. */
export const namedHarnessSchema = shape<NamedHarness>({ name: needed(text), machine: needed(machineSchema) });

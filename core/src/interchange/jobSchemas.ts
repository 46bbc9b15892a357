import Joi from 'joi';
import {
  COVER_IDS,
  WAYS,
  type BegunWork,
  type Choice,
  type Gate,
  type Mishap,
  type Redo,
  type Spent,
} from '../approach/index.ts';
import type { EarlierEnd, EarlierRepair } from '../damage/index.ts';
import { METHOD_IDS } from '../family/index.ts';
import type { Job } from '../job/index.ts';
import type { ChosenLayout, LayoutWishes, Pin, SearchedLayout } from '../layout/index.ts';
import { LAYOUT_KINDS } from '../practice/index.ts';
import { MISHAPS } from '../step/index.ts';
import { findingSchema } from './findingSchema.ts';
import { harnessSchema, machineSchema } from './harnessSchemas.ts';
import { mappingSchema } from './mappingSchemas.ts';
import {
  cavityText,
  above0,
  date,
  flag,
  id,
  lengthMm,
  list,
  longText,
  positionMm,
  saidBy,
  text,
} from './schema/fields.ts';
import { named, needed, oneOf, shape, usual } from './schema/shape.ts';

type EntryOf<K extends keyof Gate> = NonNullable<Gate[K]>;
export const gateSchema = named(
  'gate',
  shape<Gate>({
    isolation: shape<EntryOf<'isolation'>>({ how: needed(oneOf(['provedDead', 'batteryOff'])), ...saidBy }),
    airbag: shape<EntryOf<'airbag'>>({ procedure: needed(longText), ...saidBy }),
    highVoltage: shape<EntryOf<'highVoltage'>>({ procedure: needed(longText), ...saidBy }),
    vapour: shape<EntryOf<'vapour'>>({ reading: needed(longText), ...saidBy }),
  }),
  'What people have confirmed before any work.',
);

export const useSchema = oneOf([...METHOD_IDS, ...COVER_IDS, ...WAYS]);
const choiceSchema = named(
  'choice',
  shape<Choice>({ findingId: needed(id), use: needed(useSchema), terminal: text, reason: needed(longText), ...saidBy }),
);
const pinSchema = named(
  'pin',
  shape<Pin>({
    findingId: needed(id),
    side: needed(oneOf(['only', 'left', 'right'])),
    centreMm: needed(lengthMm),
    runId: id,
  }),
);
/** What a mishap has used up. */
export const spentSchema = shape<Spent>({
  partIds: needed(list(id)),
  sleeveCuts: needed(list(shape<Spent['sleeveCuts'][number]>({ partId: needed(id), cutMm: needed(lengthMm) }))),
  wireMm: lengthMm,
});
const mishapSchema = shape<Mishap>({
  kind: needed(oneOf(MISHAPS)),
  leftMm: needed(lengthMm),
  rightMm: needed(lengthMm),
  tailMm: lengthMm,
  spent: needed(spentSchema),
});
const redoSchema = named(
  'redo',
  shape<Redo>({
    id: needed(id),
    findingId: needed(id),
    lostFromMm: needed(positionMm),
    lostToMm: needed(positionMm),
    mishap: mishapSchema,
    because: needed(longText),
    ...saidBy,
  }),
);

const onWireFields = {
  circuitId: needed(id),
  runId: needed(id),
  kind: needed(oneOf(['splice', 'cover'])),
  fromMm: needed(positionMm),
  toMm: needed(positionMm),
  diameterMm: needed(above0(200)),
};
/** A repair's body on the wire, as it is kept in a record. */
export const onWireSchema = named('onWire', shape<Omit<EarlierRepair, 'id' | 'words' | 'method'>>(onWireFields));
/** A repair of an earlier job that is on a wire already. */
export const earlierSchema = named(
  'earlierRepair',
  shape<EarlierRepair>({ id: needed(id), ...onWireFields, words: needed(text), method: text }),
);

/** The last work of an earlier job at a cavity or an end. */
const earlierEndSchema = named(
  'earlierEnd',
  shape<EarlierEnd>({
    id: needed(id),
    circuitId: needed(id),
    nodeId: needed(id),
    cavity: needed(cavityText),
    words: needed(text),
    method: text,
  }),
);

const chosenFields = {
  runId: needed(id),
  kind: needed(oneOf(LAYOUT_KINDS)),
  apartMm: Joi.number().min(0).max(2000),
};

/** What a longer search found for a layout of a run. */
export const searchedSchema = named(
  'searchedLayout',
  shape<SearchedLayout>({
    ...chosenFields,
    places: needed(list(pinSchema)),
    endedFor: Joi.string().max(64),
  }),
);

/** What people decided about the layout. */
export const layoutSchema = named(
  'layout',
  shape<LayoutWishes>({
    pins: usual(list(pinSchema), []),
    atOne: usual(list(id), []),
    found: usual(list(pinSchema), []),
    chosen: list(shape<ChosenLayout>(chosenFields)),
    searched: list(searchedSchema),
    otherColours: flag,
  }),
);

const heldSchema = named(
  'held',
  shape<BegunWork>({
    findingId: needed(id),
    way: needed(id),
    use: oneOf([...METHOD_IDS, ...COVER_IDS]),
    partIds: needed(list(text)),
    takes: list(id),
    cutsOut: list(id),
    otherColours: flag,
  }),
);

const jobFields = {
  number: needed(text),
  title: needed(text),
  asOf: date,
  findings: usual(list(findingSchema), []),
  gate: usual(gateSchema, {}),
  choices: usual(list(choiceSchema), []),
  pins: usual(list(pinSchema), []),
  redos: usual(list(redoSchema), []),
  held: list(heldSchema),
  earlier: list(earlierSchema),
  earlierEnds: list(earlierEndSchema),
  mappings: list(mappingSchema),
  layout: layoutSchema,
};
/** A job as it stands in a file; its number serves as id where it has none. */
export const jobSchema = named(
  'job',
  shape<Omit<Job, 'id'> & { readonly id?: string }>({
    id,
    ...jobFields,
    machine: needed(machineSchema),
    harness: needed(harnessSchema),
  }),
);
/** A job whose harness is read apart. */
export const jobWithoutHarnessSchema = named(
  'jobWithoutHarness',
  shape<Omit<Job, 'machine' | 'harness'>>({ id: needed(id), ...jobFields }),
);

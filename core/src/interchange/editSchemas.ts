import Joi from 'joi';
import type { Growth } from '../harness/index.ts';
import { LIMITS } from '../job/index.ts';
import type { HarnessEdit, RunChange } from '../survey/index.ts';
import { above0, id, lengthMm, list, text } from './schema/fields.ts';
import { named, needed, oneOf, shape, variants, withFields, type FieldsOf } from './schema/shape.ts';
import {
  cableSchema,
  featureSchema,
  nodeSchema,
  pinoutSourcesSchema,
  routedCircuitSchema,
  runSchema,
  zoneSchema,
} from './harnessSchemas.ts';

type EditOf<W extends HarnessEdit['do']> = Extract<HarnessEdit, { readonly do: W }>;
const edit = <W extends HarnessEdit['do']>(word: W, fields: FieldsOf<Omit<EditOf<W>, 'do'>>): Joi.ObjectSchema =>
  withFields(shape<Omit<EditOf<W>, 'do'>>(fields), { do: needed(oneOf([word])) });

/** Without defaults: what is not named stays as it is. */
const runChange = shape<RunChange>({
  name: text,
  zone: zoneSchema,
  features: list(featureSchema),
  conduitInsideMm: above0(500).allow(null),
  atLeast: Joi.valid(true, null),
});

/** One edit of a harness, as data. */
export const harnessEditSchema = named(
  'harnessEdit',
  variants<HarnessEdit, 'do'>('do', {
    addRun: edit('addRun', { run: needed(runSchema), node: nodeSchema }),
    changeRun: edit('changeRun', { runId: needed(id), change: needed(runChange.min(1)) }),
    setLength: edit('setLength', { runId: needed(id), lengthMm: needed(lengthMm.greater(0)) }),
    growRun: edit('growRun', {
      runId: needed(id),
      growths: needed(list(shape<Growth>({ byMm: needed(lengthMm), beyondMm: needed(lengthMm) }))),
    }),
    splitRun: edit('splitRun', {
      runId: needed(id),
      atMm: needed(lengthMm),
      node: needed(nodeSchema),
      newRunId: needed(id),
      newName: needed(text),
    }),
    joinRuns: edit('joinRuns', { nodeId: needed(id) }),
    moveNode: edit('moveNode', { nodeId: needed(id), byMm: needed(Joi.number().min(-1e6).max(1e6)) }),
    changeNode: edit('changeNode', { node: needed(nodeSchema) }),
    extendEnd: edit('extendEnd', { byMm: needed(lengthMm), node: needed(nodeSchema) }),
    removeRun: edit('removeRun', { runId: needed(id) }),
    setCable: edit('setCable', { cable: needed(cableSchema) }),
    removeCable: edit('removeCable', { cableId: needed(id) }),
    setCircuit: edit('setCircuit', { circuit: needed(routedCircuitSchema) }),
    removeCircuit: edit('removeCircuit', { circuitId: needed(id) }),
    setCircuits: edit('setCircuits', {
      circuits: needed(Joi.array().items(routedCircuitSchema).max(LIMITS.circuits.most)),
    }),
    setSources: edit('setSources', { sources: needed(pinoutSourcesSchema) }),
  }),
  'One change to a harness, as data: done again in order it gives the same harness.',
);

import Joi from 'joi';
import { LIMITS } from '../job/index.ts';
import { id, lengthMm, list, text } from './fields.ts';
import { cableSchema, circuitSchema, featureSchema, nodeSchema, runSchema, zoneSchema } from './harnessSchemas.ts';

const edit = (word: string, fields: Joi.SchemaMap): { is: string; then: Joi.ObjectSchema } => ({
  is: word,
  then: Joi.object({ do: Joi.valid(word).required(), ...fields }),
});
/** Without defaults: what is not named stays as it is. */
const runChange = Joi.object({
  name: text,
  zone: zoneSchema,
  features: list(featureSchema),
  conduitInsideMm: Joi.number().greater(0).max(500).allow(null),
  cable: cableSchema.allow(null),
});
/** A circuit whose way follows from its ends may come without one. */
const routedCircuit = circuitSchema.keys({ runIds: Joi.array().items(id).max(LIMITS.runs.most).default([]) });
const nodeIn = nodeSchema.required();

/** One edit of a harness, as data. */
export const harnessEditSchema = Joi.alternatives().conditional('.do', {
  switch: [
    edit('addRun', { run: runSchema.required(), node: nodeSchema }),
    edit('changeRun', { runId: id.required(), change: runChange.min(1).required() }),
    edit('setLength', { runId: id.required(), lengthMm: lengthMm.greater(0).required() }),
    edit('splitRun', {
      runId: id.required(),
      atMm: lengthMm.required(),
      node: nodeIn,
      newRunId: id.required(),
      newName: text.required(),
    }),
    edit('joinRuns', { nodeId: id.required() }),
    edit('moveNode', { nodeId: id.required(), byMm: Joi.number().min(-1e6).max(1e6).required() }),
    edit('changeNode', { node: nodeIn }),
    edit('removeRun', { runId: id.required() }),
    edit('setCircuit', { circuit: routedCircuit.required() }),
    edit('removeCircuit', { circuitId: id.required() }),
    edit('setCircuits', { circuits: Joi.array().items(routedCircuit).max(LIMITS.circuits.most).required() }),
  ],
  otherwise: Joi.object({
    do: Joi.valid(
      'addRun',
      'changeRun',
      'setLength',
      'splitRun',
      'joinRuns',
      'moveNode',
      'changeNode',
      'removeRun',
      'setCircuit',
      'removeCircuit',
      'setCircuits',
    ).required(),
  }).unknown(),
});

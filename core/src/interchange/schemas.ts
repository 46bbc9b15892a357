export { describe } from './schema/described.ts';
export { fieldAt, inWords, unitOf, wantedOf, withoutEmpty } from './schema/wanted.ts';
export { partSchema, toolSchema, wireStockSchema } from './catalogueSchemas.ts';
export { findingSchema } from './findingSchema.ts';
export { quickConnectorSchema, quickSchema } from './quickSchema.ts';
export {
  circuitSchema,
  machineSchema,
  namedHarnessSchema,
  nodeSchema,
  routedCircuitSchema,
  cableSchema,
  runSchema,
} from './harnessSchemas.ts';
export { figuresSchema, practiceSchema } from './practiceSchema.ts';
export { readingSchema, readingValueSchema } from './readingSchema.ts';

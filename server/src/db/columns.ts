import type { EntitySchemaColumnOptions } from 'typeorm';

// What the columns of tables are made of.
export const text = { type: 'text' } as const satisfies EntitySchemaColumnOptions;
export const real = { type: 'real' } as const satisfies EntitySchemaColumnOptions;
export const whole = { type: 'integer' } as const satisfies EntitySchemaColumnOptions;
export const json = { type: 'simple-json' } as const satisfies EntitySchemaColumnOptions;
export const key = { type: 'text', primary: true } as const satisfies EntitySchemaColumnOptions;
export const optional = <T extends EntitySchemaColumnOptions>(column: T): T & { nullable: true } => ({
  ...column,
  nullable: true,
});

/** Its place in the chain of records and audit lines, with the hash that holds it there. */
export const inChain = {
  chainRow: { ...whole, default: 0 },
  hash: { ...text, default: '' },
  signature: optional(text),
} as const;
/** The version of the job that came of it. */
export const atVersion = { ...whole, default: 1 } as const satisfies EntitySchemaColumnOptions;

export const ofHarness = [{ target: 'harness', columnNames: ['harnessId'], referencedColumnNames: ['id'] }];
export const ofJob = [{ target: 'job', columnNames: ['jobId'], referencedColumnNames: ['id'] }];

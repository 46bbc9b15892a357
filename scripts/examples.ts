import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { jobFileJsonSchema, manifestJsonSchema, recordsJsonSchema } from '../core/src/interchange/index.ts';
import { EXAMPLES } from '../server/src/cli/examples.ts';

// npm run examples: writes the example job files and the JSON Schema of the documentation again, from demo and schemas.
const formats = resolve(import.meta.dirname, '../docs/formats');
const write = (name: string, content: object): void =>
  writeFileSync(join(formats, name), `${JSON.stringify(content, null, 2)}\n`);
for (const [name, make] of Object.entries(EXAMPLES)) write(join('examples', name), make());
write('job.schema.json', jobFileJsonSchema());
write('parcel.schema.json', manifestJsonSchema());
write('record.schema.json', recordsJsonSchema());
console.log(`Wrote ${Object.keys(EXAMPLES).length} examples and three schemas to docs/formats.`);

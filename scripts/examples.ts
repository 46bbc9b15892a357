import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { EXAMPLES } from '../server/src/cli/examples.ts';

// npm run examples: writes the example job files of the documentation again, from the demo.
const folder = resolve(import.meta.dirname, '../docs/formats/examples');
for (const [name, make] of Object.entries(EXAMPLES))
  writeFileSync(join(folder, name), `${JSON.stringify(make(), null, 2)}\n`);
console.log(`Wrote ${Object.keys(EXAMPLES).length} examples to docs/formats/examples.`);

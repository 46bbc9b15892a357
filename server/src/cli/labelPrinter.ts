import { mkdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { portWords } from '../port.ts';

/** A label printer that is none: what is sent to it is kept as a file. It listens on this machine only. */
const HOST = '127.0.0.1';
const port = Number(process.env.LABEL_PORT ?? 9100);
const folder = resolve(process.env.LABELS_PRINTED ?? 'labels-printed');
/** No label is larger, bytes. */
const MOST = 5_000_000;

let count = 0;
const server = createServer((socket) => {
  const parts: Buffer[] = [];
  let bytes = 0;
  socket.on('data', (part) => {
    bytes += part.length;
    if (bytes > MOST) socket.destroy();
    else parts.push(part);
  });
  socket.on('error', () => undefined);
  socket.on('end', () => {
    const document = Buffer.concat(parts);
    if (document.subarray(0, 5).toString('latin1') !== '%PDF-') {
      console.log(`${document.length} bytes that are no PDF: not printed.`);
      return;
    }
    count += 1;
    mkdirSync(folder, { recursive: true });
    const file = resolve(folder, `label-${new Date().toISOString().replace(/[:.]/g, '-')}-${count}.pdf`);
    writeFileSync(file, document);
    console.log(`Label ${count}: ${file}`);
  });
});
server.once('error', (error) => {
  console.error(portWords(HOST, port, error));
  process.exit(1);
});
server.listen(port, HOST, () => {
  console.log(`The label printer waits at ${HOST}:${port}; labels go into ${folder}.`);
  console.log(`Start Mendum with MENDUM_LABEL_PRINTER=${HOST}:${port}`);
});

import { createServer } from 'node:net';

/** What is said when a port cannot be listened on. */
export const portWords = (host: string, port: number, error: Error): string =>
  (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
    ? `Port ${port} on ${host} is taken. Stop what uses it, or choose another: PORT=4601 npm run demo`
    : `Cannot listen on ${host}:${port}: ${error.message}`;

/** Why a port cannot be listened on, in words; nothing when it is free. */
export const whyNoPort = (host: string, port: number): Promise<string | undefined> =>
  new Promise((done) => {
    const probe = createServer();
    probe.once('error', (error) => done(portWords(host, port, error)));
    probe.listen(port, host, () => probe.close(() => done(undefined)));
  });

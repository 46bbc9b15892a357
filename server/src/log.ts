import { pino, type Logger } from 'pino';

/** The log of the server: lines of JSON, and easy on the eye where somebody looks at a terminal. */
export const makeLog = (level: string): Logger =>
  process.stdout.isTTY
    ? pino({ level, transport: { target: 'pino-pretty', options: { ignore: 'pid,hostname', singleLine: true } } })
    : pino({ level });

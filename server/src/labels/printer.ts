import { connect } from 'node:net';
import { AppError } from '../errors.ts';

/** Where labels are printed: a printer that takes PDF by a plain connection. */
export interface PrinterAddress {
  readonly host: string;
  readonly port: number;
}

/** A printer that takes longer than this to take a label is not there, ms. */
const WAIT_MS = 10_000;

/** Sends a document to a printer. @throws AppError PRINTER_REFUSED where it is not there or does not take it */
export const sendToPrinter = ({ host, port }: PrinterAddress, document: Uint8Array): Promise<void> =>
  new Promise((done, fail) => {
    const socket = connect({ host, port });
    const refused = (why: string) => {
      socket.destroy();
      fail(new AppError('PRINTER_REFUSED', `The label printer at ${host}:${port} ${why}.`));
    };
    socket.setTimeout(WAIT_MS, () => refused(`took nothing within ${WAIT_MS / 1000} s`));
    socket.once('error', (error) => refused(`does not answer: ${error.message}`));
    socket.once('connect', () => socket.end(document));
    socket.once('close', (failed) => {
      if (!failed) done();
    });
    // It says nothing; what it says all the same is read, so that the connection ends.
    socket.resume();
  });

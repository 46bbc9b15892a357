import { STATUS_CODES, type Server } from 'node:http';
import { AppError } from '../errors.ts';

/** What no route ever sees, since it cannot be read as a request at all, is answered in the one shape as well. */
export function answerBadRequests(server: Server): void {
  server.on('clientError', (error: NodeJS.ErrnoException, socket) => {
    if (error.code === 'ECONNRESET' || !socket.writable) {
      socket.destroy();
      return;
    }
    const refusal =
      error.code === 'HPE_HEADER_OVERFLOW'
        ? new AppError('BAD_REQUEST', 'The head of the request is too long.')
        : new AppError('BAD_REQUEST', 'This cannot be read as a request.');
    const body = JSON.stringify(refusal.body());
    socket.end(
      `HTTP/1.1 ${refusal.status} ${STATUS_CODES[refusal.status] ?? ''}\r\nContent-Type: application/json; charset=utf-8\r\nContent-Length: ${Buffer.byteLength(body)}\r\nConnection: close\r\n\r\n${body}`,
    );
  });
}
